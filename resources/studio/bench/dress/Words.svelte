<script lang="ts">
  import { onMount } from 'svelte';
  import Button from 'flowbite-svelte/Button.svelte';
  import { api, ask, type WholeBrief } from '../../api/client';
  import type { components } from '../../api/schema';
  import { notices } from '../../parts/notices.svelte';
  import type { Bench } from '../bench.svelte';
  import Select from '../shape/Select.svelte';
  import { placed, plainly } from './words';

  let { bench, brief }: { bench: Bench; brief: WholeBrief } = $props();

  type Own = { key: string; language?: string | null; says: string };
  let words = $state<components['schemas']['VisitorWords']>();
  let language = $state('');
  let place = $state<'widget' | 'site'>('widget');
  let searched = $state('');
  /** The text that is being changed, and what visitors are to read. */
  let open = $state<string>();
  let says = $state('');
  const id = $props.id();

  onMount(() => void load(''));

  async function load(beside: string): Promise<void> {
    language = beside;
    try {
      words = await ask(api.GET('/words', { params: { query: beside === '' ? {} : { language: beside } } }));
    } catch (error) {
      notices.fail(error);
    }
  }

  const groups = $derived(placed(words?.usual ?? {}, words?.beside ?? {}, searched));
  const name = (key: string): string => words?.languages.find((one) => one.key === key)?.name ?? key;
  const isOf = (one: Own, key: string): boolean => one.key === key && (one.language ?? null) === (language || null);
  const own = (key: string): Own | undefined =>
    brief.dress.words.find((one) => isOf(one, key)) ?? words?.own.find((one) => isOf(one, key));
  const whole = (own: Own[]): { key: string; language: string | null; says: string }[] =>
    own.map((one) => ({ ...one, language: one.language ?? null }));

  async function saveSite(changed: Own[]): Promise<void> {
    try {
      const told = await ask(api.PUT('/words', { body: { own: whole(changed) } }));
      if (words) words.own = told.own;
      notices.say('Words of the site are changed; its widgets follow.');
    } catch (error) {
      notices.fail(error);
    }
  }
  /** Words instead of the usual ones, on the widget or on the site; none: the usual ones again, on both. */
  function say(key: string, text: string): void {
    const more: Own[] = text === '' ? [] : [{ key, language: language || null, says: text }];
    const others = (own: Own[]): Own[] => own.filter((one) => !isOf(one, key));
    if (text === '' ? words?.own.some((one) => isOf(one, key)) : place === 'site')
      void saveSite([...others(words?.own ?? []), ...(place === 'site' ? more : [])]);
    if (text === '' || place === 'widget')
      bench.change(({ dress }) => (dress.words = whole([...others(dress.words), ...more])));
    open = undefined;
  }
  function change(key: string): void {
    says = own(key)?.says ?? (language === '' ? words?.usual[key] : words?.beside?.[key]) ?? '';
    open = key;
  }
</script>

<div class="line">
  <span><label for={id}>Search words</label><br /><input {id} class="field" type="search" bind:value={searched} /></span
  >
  <Select
    label="Beside {words ? name(words.language) : ''}"
    value={language}
    options={[['', 'no other language'], ...(words?.languages ?? []).map((one) => [one.key, one.name] as const)]}
    onchange={(value) => void load(value)}
  />
  <Select
    label="Change on"
    value={place}
    options={[
      ['widget', 'this widget'],
      ['site', 'all widgets of the site'],
    ]}
    onchange={(value) => (place = value)}
  />
</div>
{#each bench.proof?.dress.words ?? [] as wrong (wrong)}<p class="small attention">{wrong}</p>{/each}
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="scroll" role="region" tabindex="0" aria-label="Words">
  {#each groups as [title, said], index (title)}
    <p class="small quiet" id="{id}-{index}">{title}</p>
    <ul aria-labelledby="{id}-{index}">
      {#each said as one (one.key)}
        {@const mine = own(one.key)}
        <li class:pair={language !== ''}>
          <span class:was={mine && language === ''} lang={words?.language} title={one.usual}>{plainly(one.usual)}</span>
          {#if language !== ''}<span class:was={mine} lang={language} dir="auto" title={one.beside}
              >{plainly(one.beside)}</span
            >{/if}
          {#if open === one.key}
            <form
              onsubmit={(event) => {
                event.preventDefault();
                if (says.trim() !== '') say(one.key, says);
              }}
            >
              <!-- svelte-ignore a11y_autofocus -->
              <input
                class="field"
                maxlength="400"
                autofocus
                dir="auto"
                aria-label="Visitors read instead of {plainly(one.usual)}"
                bind:value={says}
                onkeydown={(event) => {
                  if (event.key === 'Escape') {
                    event.stopPropagation();
                    open = undefined;
                  }
                }}
              />
              <Button type="submit" size="sm" disabled={says.trim() === ''}>Use these words</Button>
              <button type="button" class="plain link" onclick={() => (open = undefined)}>Cancel</button>
            </form>
          {:else}
            <span class="own">
              {#if mine}“{plainly(mine.says)}”
                <button class="plain link" onclick={() => say(one.key, '')}>Use the usual words</button>
              {/if}
              <button class="plain link" aria-label="Change “{plainly(one.usual)}”" onclick={() => change(one.key)}
                >Change</button
              >
            </span>
          {/if}
        </li>
      {/each}
    </ul>
  {:else}
    {#if words}<p class="quiet">No words contain “{searched}”.</p>{/if}
  {/each}
</div>
<p class="small quiet">
  A widget speaks the language of the page around it, if the site has it. What you change holds in {language === ''
    ? 'every language'
    : name(language)}. Numbers and plurals stand in braces.
</p>

<style>
  .line {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 16px;
    align-items: end;
  }
  .scroll {
    max-height: 320px;
    overflow: auto;
    margin: 8px 0;
  }
  .scroll p {
    margin: 8px 0 2px;
  }
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
  }
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 2px 16px;
    align-items: center;
    min-height: 34px;
    border-bottom: 1px solid var(--line);
  }
  li.pair {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) minmax(0, 1fr);
  }
  .was {
    color: var(--quiet);
    text-decoration: line-through;
  }
  .own {
    text-align: end;
  }
  form {
    display: flex;
    gap: 8px;
  }
  form .field {
    flex: 1;
    min-width: 0;
  }
  .attention {
    color: var(--attention);
  }
  @media (max-width: 600px) {
    li,
    li.pair {
      grid-template-columns: minmax(0, 1fr);
    }
    .own {
      text-align: start;
    }
  }
</style>
