<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ask, type View } from '../api/client';
  import Controls from '../clauses/Controls.svelte';
  import More from '../clauses/More.svelte';
  import { inDialog, isTyping } from '../parts/keys';
  import Sentence from '../parts/Sentence.svelte';
  import Situation from '../parts/Situation.svelte';
  import Ask from './Ask.svelte';
  import Export from './Export.svelte';
  import { Listing, type State } from './listing.svelte';
  import { hide, hold, join, label, part, pin } from './marks';
  import Reading from './Reading.svelte';
  import Rows from './Rows.svelte';
  import RulesPanel from './RulesPanel.svelte';
  import Selected from './Selected.svelte';
  import Views from './Views.svelte';

  const listing = new Listing();
  let rows = $state<Rows>();
  let asking = $state<'label' | 'pin' | null>(null);
  let ruling = $state(false);
  /** The first of two that the owner says are the same; the second is chosen next. */
  let joining = $state('');

  const names = $derived(Object.fromEntries(listing.sources.map((one) => [one.key, one.name])));
  const states: [State, string][] = [
    ['', 'All'],
    ['held', 'Waiting for your decision'],
    ['shown', 'Shown by a widget now'],
    ['hidden', 'Hidden by you'],
    ['duplicate', 'Duplicates'],
    ['barred', 'With blocked words'],
    ['gone', 'Deleted at the source'],
  ];

  /** What only a widget is asked. */
  const widgetsAlone = ['most', 'allowed', 'apart', 'hand'];
  /** What is not asked yet. */
  const left = $derived(
    (listing.offered?.topics ?? []).filter(
      ({ key }) => !widgetsAlone.includes(key) && !listing.sentence.some((phrase) => phrase.key === key),
    ),
  );

  onMount(() => {
    const state = new URLSearchParams(location.search).get('state');
    if (states.some(([one]) => one === state)) listing.state = state as State;
    void listing.load();
    void listing.loadAround();
  });

  function show(view: View): void {
    listing.show(view);
  }

  async function same(id: string): Promise<void> {
    const first = joining;
    joining = first === '' ? id : '';
    if (first !== '' && first !== id) await join(listing, [first, id]);
  }

  /** Says that the current one is no duplicate. */
  async function apart(id: string): Promise<void> {
    const { group } = await ask(api.GET('/likeness', { params: { query: { id } } }));
    const other = group.find(({ entry }) => entry.id !== id);
    if (other) await part(listing, id, other.entry.id);
  }

  function onkeydown(event: KeyboardEvent): void {
    if (event.defaultPrevented || isTyping(event) || inDialog()) return;
    if (event.key === 'Escape') {
      if (joining) joining = '';
      else if (listing.open) close();
      else listing.selected.clear();
      return;
    }
    if (event.key === 'ArrowDown' && listing.open && (event.target as Element).matches('[data-phrase]')) {
      event.preventDefault();
      document.querySelector<HTMLElement>('#controls :is(input:not([disabled]), select, textarea, button, a)')?.focus();
      return;
    }
    const row = listing.current;
    const targets = listing.targets();
    const inList = (event.target as Element).closest('.box') !== null || event.target === document.body;
    const acts: Record<string, () => unknown> = {
      j: () => rows?.go(listing.at + 1, true),
      k: () => rows?.go(listing.at - 1, true),
      x: () => hide(listing, targets, !(listing.selected.size > 0 ? false : (row?.hidden ?? false))),
      r: () => hold(listing, targets, false),
      h: () => hold(listing, targets, true),
      s: () => row && listing.turn(row.entry.id),
      A: () => listing.selectAll(),
      l: () => (asking = 'label'),
      p: () => (asking = 'pin'),
      d: () => row && same(row.entry.id),
      D: () => row && row.told > 0 && apart(row.entry.id),
    };
    if (inList && event.key === 'ArrowDown') void rows?.go(listing.at + 1, true);
    else if (inList && event.key === 'ArrowUp') void rows?.go(listing.at - 1, true);
    else if (acts[event.key] && (row || targets.length > 0)) void acts[event.key]?.();
    else return;
    event.preventDefault();
  }

  function close(): void {
    const was = listing.open;
    listing.open = null;
    (
      document.querySelector<HTMLElement>(`[data-phrase="${was}"]`) ??
      document.querySelector<HTMLElement>('[data-phrase="more"]')
    )?.focus();
  }
</script>

<svelte:window {onkeydown} />

<div class="entries">
  <header>
    <h1>Entries</h1>
    <input
      class="field search"
      type="search"
      placeholder="Search words and names"
      aria-label="Search"
      bind:value={listing.search}
      oninput={() => listing.later()}
    />
    <select class="field" aria-label="State" bind:value={listing.state} onchange={() => listing.load()}>
      {#each states as [state, name] (state)}<option value={state}>{name}</option>{/each}
    </select>
    <Views {listing} onshow={show} />
    <Export query={listing.query} />
    <button class="field press" onclick={() => (ruling = true)}>Rules</button>
  </header>

  {#if listing.count !== null}
    <div class="chosen">
      <Sentence
        small
        phrases={listing.sentence}
        open={listing.open}
        onopen={(phrase) => (listing.open = phrase === listing.open ? null : phrase)}
      />
      {#each listing.doubts as doubt (doubt)}<p class="doubt small" role="status">▲ {doubt}</p>{/each}
      {#if listing.open && listing.brief}
        {@const brief = listing.brief}
        <section id="controls" aria-label="Conditions of the list">
          {#if listing.open === 'more'}<More topics={left} onopen={(key) => (listing.open = key)} />
          {:else}<Controls topic={listing.open} holder={listing} {brief} />{/if}
        </section>
      {/if}
      {#if listing.broken}<p role="alert" class="wrong">✕ {listing.broken}</p>{/if}
      {#if joining}<p class="doubt small" role="status">▲ Go to its duplicate and press d. Escape cancels.</p>{/if}
      <Selected {listing} onlabel={() => (asking = 'label')} />
    </div>
    {#if listing.count === 0 && listing.narrowed}
      <Situation kind="empty" title="No entry matches" text="Try fewer words, another source or other stars.">
        {#snippet step()}<button class="plain link" onclick={() => listing.clear()}>Show all entries</button>{/snippet}
      </Situation>
    {:else if listing.count === 0}
      <Situation
        kind="empty"
        title="No entries yet"
        text="What people say about you arrives here from the sources you connect."
      >
        {#snippet step()}<a class="link" href="/sources">Connect a source</a>{/snippet}
      </Situation>
    {:else}
      <div class="panes">
        <Rows {listing} {names} bind:this={rows} />
        <div class="pane">
          {#if listing.current}{#key listing.current.entry.id}<Reading
                {listing}
                row={listing.current}
                {names}
              />{/key}{/if}
        </div>
      </div>
    {/if}
  {:else if listing.broken}
    <Situation kind="broken" title="The entries cannot be loaded" text={listing.broken}>
      {#snippet step()}<button class="plain link" onclick={() => listing.load()}>Try again</button>{/snippet}
    </Situation>
  {:else}
    <Situation kind="loading" title="Loading the entries" />
  {/if}
</div>

<Ask
  bind:open={() => asking === 'label', (open) => !open && (asking = null)}
  title="Label {listing.targets().length === 1 ? 'it' : `${listing.targets().length} entries`}"
  label="Label"
  offers={listing.offered?.labels ?? []}
  free
  onchoose={(chosen) => label(listing, listing.targets(), chosen.name, true).then(() => listing.loadAround())}
/>
<Ask
  bind:open={() => asking === 'pin', (open) => !open && (asking = null)}
  title="Pin first in a widget"
  label="Widget"
  offers={listing.offered?.widgets ?? []}
  onchoose={(chosen) => listing.current && pin(listing.current.entry.id, chosen, true)}
/>
<RulesPanel bind:open={ruling} onchange={() => listing.load()} />

<style>
  .entries {
    display: grid;
    grid-template-rows: auto auto minmax(0, 1fr);
    height: 100%;
  }
  header {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px;
    margin-bottom: 10px;
  }
  h1 {
    margin-right: auto;
  }
  .search {
    width: 240px;
  }
  header select {
    padding-right: 30px;
  }
  .press {
    cursor: pointer;
  }
  .chosen {
    padding-bottom: 6px;
  }
  #controls {
    margin: 10px 0 4px;
    padding: 14px 16px;
    background: var(--surface);
    border: solid var(--line);
    border-width: 1px 0;
  }
  .panes {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(300px, 400px);
    min-height: 320px;
  }
  .pane {
    overflow-y: auto;
    border-top: 1px solid var(--line);
    padding-top: 12px;
  }
  .doubt {
    color: var(--attention);
  }
  .wrong {
    color: var(--harm);
  }
  @media (max-width: 900px) {
    .entries {
      display: block;
      height: auto;
    }
    .panes {
      grid-template-columns: 1fr;
      grid-template-rows: 60vh auto;
    }
  }
</style>
