<script lang="ts">
  import { onMount, tick } from 'svelte';
  import { api, ask, type Source, type StoredEntry } from '../api/client';
  import { inDialog, isTyping } from '../parts/keys';
  import { notices } from '../parts/notices.svelte';
  import Situation from '../parts/Situation.svelte';
  import EntryRow from './EntryRow.svelte';

  let search = $state('');
  let source = $state('');
  let stars = $state('');
  let hiddenOnly = $state('');
  let sources = $state<Source[]>([]);
  let rows = $state<StoredEntry[]>();
  let count = $state(0);
  let next = $state<number | null>(null);
  let broken = $state('');
  let at = $state(0);
  let waiting: ReturnType<typeof setTimeout> | undefined;
  let asked = 0;

  const narrowed = $derived(search !== '' || source !== '' || stars !== '' || hiddenOnly !== '');
  const names = $derived(Object.fromEntries(sources.map((one) => [one.key, one.name])));

  onMount(() => {
    void load();
    ask(api.GET('/sources')).then(
      (answer) => (sources = answer.sources),
      (error) => notices.fail(error),
    );
  });

  async function load(from = 0): Promise<void> {
    const mine = ++asked;
    try {
      const query = {
        search: search || undefined,
        source: source || undefined,
        stars: (stars || undefined) as '1' | undefined,
        state: (hiddenOnly || undefined) as 'hidden' | undefined,
        before: from || undefined,
      };
      const page = await ask(api.GET('/entries', { params: { query } }));
      if (mine !== asked) return; // a later question has been asked meanwhile
      rows = from === 0 ? page.entries : [...(rows ?? []), ...page.entries];
      [count, next, broken] = [page.count, page.next, ''];
      if (from === 0) at = 0;
    } catch (error) {
      if (mine === asked) broken = (error as Error).message;
    }
  }

  function later(): void {
    clearTimeout(waiting);
    waiting = setTimeout(() => void load(), 180);
  }

  async function hide(row: StoredEntry, hidden: boolean): Promise<void> {
    try {
      const { editions } = await ask(api.POST('/entries/hidden', { body: { ids: [row.entry.id], hidden } }));
      rows = rows?.map((one) => (one.entry.id === row.entry.id ? { ...one, hidden } : one));
      const widgets = editions === 0 ? 'No widget showed it.' : `${editions} brought up to date.`;
      notices.say(
        hidden ? `Hidden in every widget. ${widgets}` : `It may be shown again. ${widgets}`,
        () => void hide(row, !hidden),
      );
    } catch (error) {
      notices.fail(error);
    }
  }

  /** The first of two that the owner says are the same; the second is chosen next. */
  let joining = $state('');

  async function join(row: StoredEntry): Promise<void> {
    const first = joining;
    joining = first === '' ? row.entry.id : '';
    if (first === '' || first === row.entry.id) return;
    try {
      await ask(api.POST('/likeness/joined', { body: { ids: [first, row.entry.id] } }));
      await load();
      notices.say(
        'They are told as one.',
        () =>
          void ask(api.POST('/likeness/parted', { body: { id: row.entry.id } })).then(
            () => load(),
            (error) => notices.fail(error),
          ),
      );
    } catch (error) {
      notices.fail(error);
    }
  }

  function clear(): void {
    search = source = stars = hiddenOnly = '';
    void load();
  }

  async function onkeydown(event: KeyboardEvent): Promise<void> {
    if (isTyping(event) || inDialog() || !rows) return;
    const step = { j: 1, k: -1 }[event.key];
    const row = rows[at];
    if (step) {
      at = Math.max(0, Math.min(rows.length - 1, at + step));
      if (at > rows.length - 5 && next !== null) void load(next);
      await tick();
      document.querySelector('[data-current=true]')?.scrollIntoView({ block: 'nearest' });
    } else if (event.key === 'x' && row) void hide(row, !row.hidden);
    else if (event.key === 'd' && row) void join(row);
    else if (event.key === 'Escape') joining = '';
  }
</script>

<svelte:window {onkeydown} />

<header>
  <h1>Entries</h1>
  <div class="narrow">
    <input
      class="field"
      type="search"
      placeholder="Search words and names"
      aria-label="Search"
      bind:value={search}
      oninput={later}
    />
    <select class="field" aria-label="Source" bind:value={source} onchange={() => load()}>
      <option value="">All sources</option>
      {#each sources as one (one.key)}<option value={one.key}>{one.name}</option>{/each}
    </select>
    <select class="field" aria-label="Stars" bind:value={stars} onchange={() => load()}>
      <option value="">Any stars</option>
      {#each [5, 4, 3, 2, 1] as number (number)}<option value={String(number)}
          >{number} {number === 1 ? 'star' : 'stars'}</option
        >{/each}
      <option value="none">No rating</option>
    </select>
    <select class="field" aria-label="State" bind:value={hiddenOnly} onchange={() => load()}>
      <option value="">Shown and hidden</option>
      <option value="hidden">Hidden by you</option>
      <option value="gone">Gone at the source</option>
      <option value="duplicate">Told elsewhere too</option>
    </select>
  </div>
</header>

{#if rows}
  {#if broken}<p role="alert" class="wrong">✕ {broken}</p>{/if}
  <p class="quiet" role="status">
    {count}
    {count === 1 ? 'entry' : 'entries'}{narrowed ? ' like this' : ''}, newest first
  </p>
  {#if rows.length === 0 && narrowed}
    <Situation
      kind="empty"
      title="No entry is like this"
      text="Fewer words, another source or other stars may find some."
    >
      {#snippet step()}<button class="plain link" onclick={clear}>Show all entries</button>{/snippet}
    </Situation>
  {:else if rows.length === 0}
    <Situation
      kind="empty"
      title="No entries yet"
      text="What people say of you comes in here, from the sources you connect."
    >
      {#snippet step()}<a class="link" href="/sources">Connect a source</a>{/snippet}
    </Situation>
  {:else}
    <ol>
      {#each rows as row, index (row.entry.id)}
        <EntryRow
          {row}
          source={names[row.entry.source ?? ''] ?? row.entry.source ?? ''}
          words={search}
          current={index === at}
          onhide={(hidden) => hide(row, hidden)}
          joining={joining ? (joining === row.entry.id ? 'this' : 'other') : undefined}
          onjoin={() => join(row)}
          onparted={() => load()}
          {names}
        />
      {/each}
    </ol>
    {#if next !== null}
      <button class="plain link more" onclick={() => load(next ?? 0)}
        >Show {Math.min(40, count - rows.length)} more of {count}</button
      >
    {/if}
  {/if}
{:else if broken}
  <Situation kind="broken" title="The entries cannot be shown" text={broken}>
    {#snippet step()}<button class="plain link" onclick={() => load()}>Try again</button>{/snippet}
  </Situation>
{:else}
  <Situation kind="loading" title="Fetching the entries" />
{/if}

<style>
  header {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    align-items: center;
    gap: 12px 24px;
    margin-bottom: 8px;
  }
  .narrow {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }
  .narrow select {
    padding-right: 30px;
  }
  ol {
    margin-top: 8px;
    border-top: 1px solid var(--line);
  }
  .more {
    margin: 16px 0;
  }
  .wrong {
    color: var(--harm);
  }
</style>
