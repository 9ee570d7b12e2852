<script lang="ts">
  import { tick } from 'svelte';
  import type { StoredEntry } from '../api/client';
  import Glyphs from '../parts/Glyphs.svelte';
  import { date } from '../parts/times';
  import type { Listing } from './listing.svelte';
  import Marked from './Marked.svelte';

  interface Props {
    listing: Listing;
    names: Record<string, string>;
  }
  let { listing, names }: Props = $props();

  /** Pixels; all rows are of one height, so that a hundred thousand of them cost no more than those in sight. */
  const HEIGHT = 62;
  const BEYOND = 6;
  let top = $state(0);
  let room = $state(600);
  let box = $state<HTMLElement>();
  let last = 0;

  const first = $derived(Math.max(0, Math.floor(top / HEIGHT) - BEYOND));
  const end = $derived(Math.min(listing.count ?? 0, Math.ceil((top + room) / HEIGHT) + BEYOND));
  const inSight = $derived(Array.from({ length: Math.max(0, end - first) }, (_, index) => first + index));

  $effect(() => {
    void listing.ensure(first, end);
  });

  // A new list begins at its top.
  $effect(() => {
    if (listing.at === 0 && box) box.scrollTop = 0;
  });

  /** Moves to a row, and brings it in sight. */
  export async function go(to: number, focus: boolean): Promise<void> {
    listing.at = Math.max(0, Math.min((listing.count ?? 1) - 1, to));
    if (!box) return;
    const y = listing.at * HEIGHT;
    if (y < box.scrollTop) box.scrollTop = y;
    else if (y + HEIGHT > box.scrollTop + box.clientHeight) box.scrollTop = y + HEIGHT - box.clientHeight;
    await tick();
    if (focus) box.querySelector<HTMLElement>('[data-current=true] .open')?.focus({ preventScroll: true });
  }

  function choose(event: MouseEvent, row: StoredEntry, index: number): void {
    if (event.shiftKey) listing.selectThrough(last, index);
    else listing.turn(row.entry.id);
    last = index;
  }

  const said = (row: StoredEntry): string => [row.entry.title, row.entry.text].filter(Boolean).join(' — ');
</script>

<div
  class="box"
  bind:this={box}
  bind:clientHeight={room}
  onscroll={(event) => (top = event.currentTarget.scrollTop)}
  role="list"
  aria-label="Entries"
>
  <div style:height="{(listing.count ?? 0) * HEIGHT}px" role="presentation">
    {#each inSight as index (index)}
      {@const row = listing.rows.get(index)}
      <div
        class="row"
        role="listitem"
        aria-setsize={listing.count}
        aria-posinset={index + 1}
        data-current={index === listing.at}
        class:off={row && (row.hidden || row.gone !== null)}
        style:top="{index * HEIGHT}px"
        style:height="{HEIGHT}px"
      >
        {#if row}
          {@const entry = row.entry}
          <input
            type="checkbox"
            aria-label="Select {entry.author.name ?? 'Somebody'}"
            checked={listing.selected.has(entry.id)}
            onclick={(event) => choose(event, row, index)}
          />
          <button class="plain open" tabindex={index === listing.at ? 0 : -1} onclick={() => (listing.at = index)}>
            <span class="side small">
              {#if entry.rating && row.rating}<Glyphs stars={entry.rating.stars} spoken={row.rating} />{:else}<span
                  class="quiet">{entry.kind === 'post' ? 'Post' : 'No rating'}</span
                >{/if}
              <span class="quiet">{entry.published ? date(entry.published) : 'no date'}</span>
            </span>
            <span class="main">
              <span class="by small"
                ><bdi><Marked text={entry.author.name ?? 'Somebody'} words={listing.search} /></bdi>
                <span class="quiet">{names[entry.source ?? ''] ?? entry.source ?? ''}</span>
                {#if row.held}<span class="flag held">held</span>{/if}
                {#if row.hidden}<span class="flag">hidden</span>{/if}
                {#if row.barred}<span class="flag">blocked</span>{/if}
                {#if row.gone}<span class="flag">deleted</span>{/if}
                {#if row.told > 0}<span class="flag">{row.told + 1} places</span>{/if}
                {#each row.labels as label (label)}<span class="flag label">{label}</span>{/each}
              </span>
              <span class="said" class:quiet={!entry.text} dir="auto" lang={entry.language}
                ><Marked text={said(row).slice(0, 180) || 'A rating without text.'} words={listing.search} /></span
              >
            </span>
          </button>
        {:else}
          <span class="quiet wait">…</span>
        {/if}
      </div>
    {/each}
  </div>
</div>

<style>
  .box {
    overflow-y: auto;
    border-top: 1px solid var(--line);
    position: relative;
    height: 100%;
  }
  .box > div {
    position: relative;
  }
  .row {
    position: absolute;
    left: 0;
    right: 0;
    display: grid;
    grid-template-columns: 24px minmax(0, 1fr);
    align-items: center;
    gap: 10px;
    padding: 0 12px 0 14px;
    border-bottom: 1px solid var(--line);
  }
  .row[data-current='true'] {
    background: var(--surface);
  }
  .row[data-current='true']::before {
    content: '';
    position: absolute;
    inset: 0 auto 0 0;
    width: 4px;
    background: var(--accent);
    clip-path: polygon(0 0, 100% 0, 0 100%);
  }
  .row input {
    accent-color: var(--accent);
    width: 16px;
    height: 16px;
    margin: 4px;
  }
  .open {
    display: grid;
    grid-template-columns: 140px minmax(0, 1fr);
    gap: 14px;
    height: 100%;
    align-items: center;
  }
  .open:focus-visible {
    outline-offset: -2px;
  }
  @media (max-width: 600px) {
    .open {
      grid-template-columns: 104px minmax(0, 1fr);
    }
    .side :global(svg) {
      width: 56px;
    }
    .side :global(.rating) {
      gap: 4px;
    }
  }
  .side,
  .main {
    display: grid;
    gap: 2px;
    min-width: 0;
  }
  .by,
  .said {
    overflow: hidden;
    white-space: nowrap;
    text-overflow: ellipsis;
  }
  .by bdi {
    font-weight: 600;
    margin-right: 6px;
  }
  .said {
    font: 15px/1.4 var(--font-serif);
    display: block;
  }
  .flag {
    border-bottom: 2px solid var(--line);
    margin-left: 8px;
  }
  .flag.held {
    border-color: var(--attention);
    color: var(--attention);
  }
  .flag.label {
    border-color: var(--accent-mid);
  }
  .off .said,
  .off bdi {
    color: var(--quiet);
  }
  .wait {
    grid-column: 2;
  }
</style>
