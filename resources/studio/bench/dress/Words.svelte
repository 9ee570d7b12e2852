<script lang="ts">
  import { onMount } from 'svelte';
  import Button from 'flowbite-svelte/Button.svelte';
  import { api, ask, type WholeBrief } from '../../api/client';
  import { notices } from '../../parts/notices.svelte';
  import type { Bench } from '../bench.svelte';
  import Select from '../shape/Select.svelte';

  let { bench, brief }: { bench: Bench; brief: WholeBrief } = $props();

  type Own = { key: string; language?: string | null; says: string };
  let usual = $state<Record<string, string>>({});
  let ofSite = $state<Own[]>([]);
  let key = $state('more.button');
  let says = $state('');
  let language = $state('');
  let place = $state<'widget' | 'site'>('widget');
  const id = $props.id();

  onMount(async () => {
    try {
      const words = await ask(api.GET('/words'));
      usual = words.usual;
      ofSite = words.own;
    } catch (error) {
      notices.fail(error);
    }
  });

  const others = (own: Own[]): Own[] =>
    own.filter((one) => one.key !== key || (one.language ?? null) !== (language || null));
  async function saveSite(own: Own[]): Promise<void> {
    try {
      ofSite = (
        await ask(api.PUT('/words', { body: { own: own.map((one) => ({ ...one, language: one.language ?? null })) } }))
      ).own;
      notices.say('Words of the site are changed; its widgets follow.');
    } catch (error) {
      notices.fail(error);
    }
  }
  function add(): void {
    const own = { key, language: language || null, says };
    if (place === 'site') void saveSite([...others(ofSite), own]);
    else
      bench.change(
        ({ dress }) =>
          (dress.words = [...others(dress.words).map((one) => ({ ...one, language: one.language ?? null })), own]),
      );
    says = '';
  }
</script>

<form
  onsubmit={(event) => {
    event.preventDefault();
    if (says.trim() !== '') add();
  }}
>
  <Select
    label="Instead of"
    value={key}
    options={Object.entries(usual).map(([name, text]) => [name, `${text.slice(0, 60)} (${name})`] as const)}
    onchange={(value) => (key = value)}
  />
  <span
    ><label for={id}>Visitors read</label><br />
    <input {id} class="field" maxlength="400" placeholder={usual[key] ?? ''} bind:value={says} /></span
  >
  <span
    ><label for="{id}-in">In language</label><br />
    <input
      id="{id}-in"
      class="field short"
      maxlength="3"
      pattern="[a-z]{'{2,3}'}"
      placeholder="all"
      bind:value={language}
    /></span
  >
  <Select
    label="On"
    value={place}
    options={[
      ['widget', 'this widget'],
      ['site', 'all widgets of the site'],
    ]}
    onchange={(value) => (place = value)}
  />
  <Button type="submit" size="sm" disabled={says.trim() === ''}>Say so</Button>
</form>
{#each bench.proof?.dress.words ?? [] as wrong (wrong)}<p class="small attention">{wrong}</p>{/each}
<ul>
  {#each brief.dress.words as one, index (index)}
    <li>
      “{one.says}”
      <span class="quiet">instead of {one.key}{one.language ? ` in ${one.language}` : ''}, on this widget</span>
      <button
        class="plain link"
        onclick={() => bench.change(({ dress }) => (dress.words = dress.words.filter((_, at) => at !== index)))}
        >Take back</button
      >
    </li>
  {/each}
  {#each ofSite as one, index (index)}
    <li>
      “{one.says}”
      <span class="quiet">instead of {one.key}{one.language ? ` in ${one.language}` : ''}, on all widgets</span>
      <button class="plain link" onclick={() => saveSite(ofSite.filter((_, at) => at !== index))}>Take back</button>
    </li>
  {/each}
</ul>
<p class="small quiet">
  A widget speaks the language of the page around it, of those that the site speaks. Numbers and plurals are written as
  in “{usual['more.said'] ?? ''}”: what stands in braces is put in.
</p>

<style>
  form {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 16px;
    align-items: end;
  }
  form .field {
    width: 220px;
  }
  form .short {
    width: 70px;
  }
  ul {
    list-style: none;
    margin: 8px 0;
    padding: 0;
  }
  li {
    padding: 3px 0;
  }
  .attention {
    color: var(--attention);
  }
</style>
