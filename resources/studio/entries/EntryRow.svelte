<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { StoredEntry } from '../api/client';
  import { date } from '../parts/times';
  import Glyphs from '../parts/Glyphs.svelte';
  import Marked from './Marked.svelte';
  import Told from './Told.svelte';

  interface Props {
    row: StoredEntry;
    /** The source's name. */
    source: string;
    /** What was searched for: it is marked in the words. @default '' */
    words?: string;
    /** Whether the keyboard stands on it. @default false */
    current?: boolean;
    onhide?: (hidden: boolean) => void;
    /** Whether two are being joined, and whether this is the first of them. */
    joining?: 'this' | 'other' | undefined;
    onjoin?: () => void;
    onparted?: () => unknown;
    /** Names of sources by key, for those that tell the same. @default {} */
    names?: Record<string, string>;
    /** In place of the usual buttons. */
    acts?: Snippet;
    /** Why it is here, where there is a reason to tell. */
    reason?: string;
  }
  let {
    row,
    source,
    words = '',
    current = false,
    onhide,
    joining,
    onjoin,
    onparted,
    names = {},
    acts,
    reason,
  }: Props = $props();
  const entry = $derived(row.entry);
  let whole = $state(false);
  const long = $derived(entry.text.length > 420);
  const text = $derived(long && !whole ? `${entry.text.slice(0, 360).replace(/\s+\S*$/, '')} …` : entry.text);
</script>

<li data-current={current} class:hidden={row.hidden || row.gone !== null}>
  <div class="side small">
    {#if entry.rating && row.rating}<Glyphs stars={entry.rating.stars} spoken={row.rating} />{:else}<span class="quiet"
        >{entry.kind === 'post' ? 'Post' : 'No rating'}</span
      >{/if}
    <span class="quiet">{entry.published ? date(entry.published) : 'no date'}</span>
    <span class="quiet">{source}</span>
  </div>
  <div class="words">
    {#if reason}<p class="reason small">{reason}</p>{/if}
    {#if entry.title}<p class="title" dir="auto" lang={entry.language}><Marked text={entry.title} {words} /></p>{/if}
    {#if entry.text}
      <p class="text" dir="auto" lang={entry.language}><Marked {text} {words} /></p>
      {#if long}<button class="plain link small" onclick={() => (whole = !whole)}
          >{whole ? 'Read less' : 'Read more'}</button
        >{/if}
    {:else}
      <p class="quiet">A rating without text.</p>
    {/if}
    <p class="small by">
      <bdi><Marked text={entry.author.name ?? 'Somebody'} {words} /></bdi>{#if entry.updated}<span class="quiet"
          >, edited {date(entry.updated)}</span
        >{/if}{#if row.revisions > 0}<span class="quiet"
          >, {row.revisions} earlier {row.revisions === 1 ? 'version' : 'versions'} kept</span
        >{/if}
      {#if entry.url}<a class="link" href={entry.url} target="_blank" rel="noopener nofollow">View at the source</a
        >{/if}
    </p>
    {#if row.told > 0}<Told id={entry.id} duplicate={row.duplicate} told={row.told} {names} {onparted} />{/if}
    {#if entry.reply}<p class="reply small">
        <strong>Your reply.</strong>
        <Marked text={entry.reply.text} {words} />
      </p>{/if}
  </div>
  <div class="acts small">
    {#if acts}{@render acts()}{:else}
      {#if row.gone}<span class="quiet">deleted at the source {date(row.gone)}</span>{/if}
      {#if row.hidden}<span>Hidden everywhere</span>{/if}
      {#if entry.kind === 'testimonial' && entry.source === 'by-hand'}<a
          class="link"
          href="/sources/add/hand?edit={entry.id.replace(/^by-hand:/, '')}">Edit</a
        >{/if}
      {#if onhide}<button class="plain link" onclick={() => onhide(!row.hidden)}
          >{row.hidden ? 'Show again' : 'Hide everywhere'}</button
        >{/if}
      {#if onjoin && joining === 'this'}<button class="plain link" onclick={onjoin}>Cancel</button>
      {:else if onjoin && joining === 'other'}<button class="plain link" onclick={onjoin}>This one</button>
      {:else if onjoin}<button class="plain link quiet same" onclick={onjoin}>Duplicate of…</button>{/if}
    {/if}
  </div>
</li>

<style>
  li {
    display: grid;
    grid-template-columns: 150px minmax(0, 1fr) 130px;
    gap: 24px;
    padding: 14px 8px 14px 12px;
    border-bottom: 1px solid var(--line);
    position: relative;
    list-style: none;
  }
  li[data-current='true']::before {
    content: '';
    position: absolute;
    inset: 0 auto 0 0;
    width: 4px;
    background: var(--accent);
    clip-path: polygon(0 0, 100% 0, 0 100%);
  }
  @media (max-width: 760px) {
    li {
      grid-template-columns: minmax(0, 1fr);
      gap: 4px;
    }
  }
  .side {
    display: grid;
    align-content: start;
    gap: 2px;
  }
  .words {
    max-width: 72ch;
  }
  .title {
    font-weight: 600;
  }
  .text {
    font: 16px/1.55 var(--font-serif);
    white-space: pre-line;
    overflow-wrap: anywhere;
  }
  .by {
    margin-top: 4px;
  }
  .by bdi {
    font-weight: 600;
  }
  .reply {
    margin-top: 6px;
    padding-left: 10px;
    border-left: 2px solid var(--line);
    color: var(--quiet);
  }
  .same {
    font-size: 13px;
  }
  .reason {
    color: var(--attention);
  }
  .acts {
    display: grid;
    align-content: start;
    justify-items: end;
    gap: 6px;
    text-align: right;
  }
  .hidden .text,
  .hidden .title {
    color: var(--quiet);
  }
  @media (max-width: 900px) {
    li {
      grid-template-columns: 1fr;
      gap: 6px;
    }
    .acts {
      justify-items: start;
    }
  }
</style>
