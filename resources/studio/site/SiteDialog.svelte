<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import Modal from 'flowbite-svelte/Modal.svelte';
  import { api, ask, type SiteSettings } from '../api/client';
  import Choice from '../clauses/Choice.svelte';
  import Code from '../parts/Code.svelte';
  import { notices } from '../parts/notices.svelte';
  import { tellDaysIn } from '../parts/times';

  let { open = $bindable() }: { open: boolean } = $props();

  let site = $state<SiteSettings>();
  let broken = $state('');
  let everywhere = $state(true);
  let allowed = $state('');
  let lockedOut = $state<string[]>([]);
  const zones = Intl.supportedValuesOf('timeZone');

  $effect(() => {
    if (open) void load();
  });

  async function load(): Promise<void> {
    try {
      [site, broken] = [await ask(api.GET('/site')), ''];
      everywhere = site.allowed === null;
      allowed = (site.allowed ?? []).join('\n');
    } catch (error) {
      broken = (error as Error).message;
    }
  }

  type Changes = Partial<Pick<SiteSettings, 'timezone' | 'languages' | 'website' | 'allowed' | 'counts'>>;
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
    const { timezone, languages, website, counts } = $state.snapshot(site);
    const next = { timezone, languages, website, counts, allowed: everywhere ? null : hosts() };
    open = false;
    void ask(api.GET('/site')).then(
      (before) => save(next, before),
      (error) => notices.fail(error),
    );
  }

  const hosts = (): string[] =>
    allowed
      .split(/[\s,]+/)
      .map((one) => one.trim())
      .filter(Boolean);

  // Who would be locked out is told before anybody is.
  $effect(() => {
    const body = { allowed: everywhere ? null : hosts() };
    const timer = setTimeout(async () => {
      lockedOut = open ? (await ask(api.POST('/site/hosts', { body })).catch(() => ({ lockedOut: [] }))).lockedOut : [];
    }, 300);
    return () => clearTimeout(timer);
  });

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

<Modal bind:open title={site?.name ?? 'Site'} size="md">
  {#if site}
    <form onsubmit={submit}>
      <label
        >Front page of the website
        <input class="field" type="text" inputmode="url" bind:value={site.website} /></label
      >
      <div class="tag">
        <span>The one tag of the whole site, for the head or the foot of all pages</span>
        <Code code={site.tag} what="The tag of the site" name="site-tag" />
        <span class="small quiet">Paste it once. What it puts where is decided under Pages.</span>
      </div>
      <fieldset>
        <legend>Where widgets show</legend>
        <Choice type="radio" name="hosts" checked={everywhere} onchange={() => (everywhere = true)}
          >Wherever their code stands</Choice
        >
        <Choice type="radio" name="hosts" checked={!everywhere} onchange={() => (everywhere = false)}
          >On the website above, and on these addresses</Choice
        >
        {#if !everywhere}
          <textarea
            class="field"
            rows="2"
            aria-label="Further addresses, one a line"
            placeholder="*.quillmoor.example"
            bind:value={allowed}></textarea>
          <span class="small quiet"
            >A star stands for any part of a name. Elsewhere, a plain link to your website is shown.</span
          >
          {#if lockedOut.length > 0}
            <p class="attention small">
              ▲ Widgets were seen there in the last 30 days, and would show no more: {lockedOut.join(', ')}
            </p>
          {/if}
        {/if}
      </fieldset>
      <Choice type="checkbox" checked={site.counts} onchange={() => (site!.counts = !site!.counts)}
        >Count views, without cookies and without knowing who</Choice
      >
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
  .tag {
    display: grid;
    gap: 4px;
  }
  .attention {
    color: var(--attention);
  }
  .languages {
    columns: 3;
  }
</style>
