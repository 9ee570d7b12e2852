<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import Modal from 'flowbite-svelte/Modal.svelte';
  import { api, ask, type SiteSettings } from '../api/client';
  import Choice from '../clauses/Choice.svelte';
  import { notices } from '../parts/notices.svelte';
  import { tellDaysIn } from '../parts/times';

  let { open = $bindable() }: { open: boolean } = $props();

  let site = $state<SiteSettings>();
  let broken = $state('');
  const zones = Intl.supportedValuesOf('timeZone');

  $effect(() => {
    if (open) void load();
  });

  async function load(): Promise<void> {
    try {
      [site, broken] = [await ask(api.GET('/site')), ''];
    } catch (error) {
      broken = (error as Error).message;
    }
  }

  type Changes = Pick<SiteSettings, 'timezone' | 'languages'>;
  async function save(next: Changes, before?: Changes): Promise<void> {
    try {
      const { timezone } = await ask(api.PATCH('/site', { body: next }));
      tellDaysIn(timezone);
      notices.say('Saved. Published widgets are being updated.', before && (() => void save(before)));
    } catch (error) {
      notices.fail(error);
    }
  }

  function submit(event: SubmitEvent): void {
    event.preventDefault();
    if (!site) return;
    const { timezone, languages } = $state.snapshot(site);
    open = false;
    void ask(api.GET('/site')).then(
      (before) => save({ timezone, languages }, { timezone: before.timezone, languages: before.languages }),
      (error) => notices.fail(error),
    );
  }

  /** The first is spoken on pages of other languages; one is always left. */
  function turn(key: string): void {
    if (!site) return;
    const next = site.languages.includes(key) ? site.languages.filter((one) => one !== key) : [...site.languages, key];
    if (next.length > 0) site.languages = next;
  }

  function putFirst(key: string): void {
    if (site) site.languages = [key, ...site.languages.filter((one) => one !== key)];
  }
</script>

<Modal bind:open title={site?.name ?? 'Site'} size="sm">
  {#if site}
    <form onsubmit={submit}>
      <label
        >Time zone
        <select class="field" bind:value={site.timezone}>
          {#each zones.includes(site.timezone) ? zones : [site.timezone, ...zones] as zone (zone)}
            <option value={zone}>{zone.replaceAll('_', ' ')}</option>
          {/each}
        </select>
        <span class="small quiet">Days and dates in your widgets follow it.</span></label
      >
      <fieldset>
        <legend>Languages of your pages</legend>
        <div class="languages">
          {#each site.offered as language (language.key)}
            <Choice type="checkbox" checked={site.languages.includes(language.key)} onchange={() => turn(language.key)}
              >{language.name}</Choice
            >
          {/each}
        </div>
        <span class="small quiet">Buttons, dates and notes of a widget are in the language of its page.</span>
      </fieldset>
      {#if site.languages.length > 1}
        <label
          >On pages in other languages
          <select class="field" value={site.languages[0]} onchange={(event) => putFirst(event.currentTarget.value)}>
            {#each site.offered.filter(({ key }) => site?.languages.includes(key)) as language (language.key)}
              <option value={language.key}>{language.name}</option>
            {/each}
          </select></label
        >
      {/if}
      <p><Button type="submit">Save</Button></p>
    </form>
  {:else if broken}<p role="alert">{broken}</p>
  {:else}<p>Loading…</p>{/if}
</Modal>

<style>
  form,
  label {
    display: grid;
    gap: 4px;
    color: var(--ink);
  }
  form {
    gap: 16px;
  }
  .languages {
    columns: 2;
  }
</style>
