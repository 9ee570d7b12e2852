<script lang="ts">
  import { api, ask, type StoredEntry, type Whereabouts } from '../api/client';
  import Glyphs from '../parts/Glyphs.svelte';
  import { date } from '../parts/times';
  import type { Listing } from './listing.svelte';
  import { hide, hold, label, pin } from './marks';
  import Marked from './Marked.svelte';
  import Told from './Told.svelte';

  interface Props {
    listing: Listing;
    row: StoredEntry;
    names: Record<string, string>;
  }
  let { listing, row, names }: Props = $props();

  const entry = $derived(row.entry);
  const id = $derived(row.entry.id);
  let where = $state<Whereabouts[]>();
  let broken = $state('');
  let adding = $state('');

  // Where it is on show is asked once the owner has stayed at it for a moment, and again when something is done to it.
  $effect(() => {
    const of = id;
    void [row.hidden, row.held, row.labels];
    const timer = setTimeout(() => void look(of), 120);
    return () => clearTimeout(timer);
  });

  async function look(of: string): Promise<void> {
    try {
      const answer = await ask(api.GET('/entries/where', { params: { query: { id: of } } }));
      if (of === id) [where, broken] = [answer.widgets, ''];
    } catch (error) {
      if (of === id) [where, broken] = [undefined, (error as Error).message];
    }
  }

  async function pinIn(widget: Whereabouts): Promise<void> {
    await pin(id, widget, true);
    await look(id);
  }
</script>

<article class="reading" aria-label="The entry">
  {#if row.held}
    <div class="held">
      <p><strong>Held.</strong> It is not shown anywhere until you decide.</p>
      <ul>
        {#each row.heldFor as reason (reason)}<li>{reason}</li>{/each}
      </ul>
      <button class="field" onclick={() => hold(listing, [id], false)}>Release</button>
      <button class="field" onclick={() => hide(listing, [id], true)}>Hide everywhere</button>
    </div>
  {/if}
  <p class="small head">
    {#if entry.rating && row.rating}<Glyphs stars={entry.rating.stars} spoken={row.rating} />{:else}<span class="quiet"
        >{entry.kind === 'post' ? 'A post' : 'No rating'}</span
      >{/if}
    <span class="quiet">{entry.published ? date(entry.published) : 'no date'}</span>
  </p>
  {#if entry.title}<h2 dir="auto" lang={entry.language}><Marked text={entry.title} words={listing.search} /></h2>{/if}
  {#if entry.text}<p class="text" dir="auto" lang={entry.language}>
      <Marked text={entry.text} words={listing.search} />
    </p>{:else}<p class="quiet">A rating without text.</p>{/if}
  <p class="small by">
    <bdi><Marked text={entry.author.name ?? 'Somebody'} words={listing.search} /></bdi>{#if entry.author.role}, {entry
        .author.role}{/if}{#if entry.author.place}, {entry.author.place}{/if}
    <span class="quiet"
      >{names[entry.source ?? ''] ?? entry.source}{#if entry.updated}, edited {date(
          entry.updated,
        )}{/if}{#if row.revisions > 0},
        {row.revisions} earlier {row.revisions === 1 ? 'version' : 'versions'} kept{/if}{#if row.gone}, deleted at the
        source
        {date(row.gone)}{/if}</span
    >
    {#if entry.url}<a class="link" href={entry.url} target="_blank" rel="noopener nofollow">View at the source</a>{/if}
    {#if entry.kind === 'testimonial' && entry.source === 'by-hand'}<a
        class="link"
        href="/sources/add/hand?edit={entry.id.replace(/^by-hand:/, '')}">Edit</a
      >{/if}
  </p>
  {#if entry.reply}<p class="reply small"><strong>Your reply.</strong> {entry.reply.text}</p>{/if}
  {#if entry.tags.length > 0}<p class="small quiet">{entry.tags.map((tag) => `#${tag}`).join(' ')}</p>{/if}
  {#if row.barred}<p class="small attention">It contains a word that this site blocks.</p>{/if}
  {#if row.told > 0}<Told {id} duplicate={row.duplicate} told={row.told} {names} onparted={() => listing.load()} />{/if}

  <form
    class="labels small"
    onsubmit={(event) => {
      event.preventDefault();
      if (adding.trim() !== '') void label(listing, [id], adding.trim(), true);
      adding = '';
    }}
  >
    {#each row.labels as one (one)}
      <button class="plain one" type="button" onclick={() => label(listing, [id], one, false)}
        >{one} <span aria-hidden="true">×</span><span class="unseen">remove this label</span></button
      >
    {/each}
    <input class="field" aria-label="Add a label" placeholder="Add a label" maxlength="100" bind:value={adding} />
  </form>

  <h2 class="where-title">Where it is shown</h2>
  {#if broken}<p class="small attention">{broken}</p>
  {:else if !where}<p class="small quiet">Loading…</p>
  {:else if where.length === 0}<p class="small quiet">No widget is published yet.</p>
  {:else}
    <ul class="where">
      {#each where as one (one.key)}
        <li>
          <a class="link" href="/widgets/{one.key}">{one.name}</a>
          {#if one.place !== null}<strong class="small">place {one.place}</strong>{:else}<span class="small quiet"
              >not shown</span
            >{/if}
          <span class="small why">{one.reason}</span>
          {#if one.place === null && !row.hidden && !row.held && !row.duplicate && !row.gone}<button
              class="plain link small"
              onclick={() => pinIn(one)}>Pin it there</button
            >{/if}
        </li>
      {/each}
    </ul>
  {/if}
  <p class="acts">
    <button class="plain link" onclick={() => hide(listing, [id], !row.hidden)}
      >{row.hidden ? 'Show again' : 'Hide everywhere'}</button
    >
    {#if !row.held}<button class="plain link" onclick={() => hold(listing, [id], true)}>Hold</button>{/if}
  </p>
</article>

<style>
  .reading {
    display: grid;
    gap: 10px;
    align-content: start;
    padding: 2px 2px 24px 20px;
  }
  .held {
    border-left: 3px solid var(--attention);
    padding: 2px 0 4px 12px;
  }
  .held ul {
    color: var(--attention);
    margin-bottom: 6px;
  }
  .held .field {
    cursor: pointer;
    min-height: 32px;
    margin-right: 6px;
  }
  .head {
    display: flex;
    gap: 12px;
    align-items: center;
  }
  h2 {
    font: 600 18px/1.35 var(--font-serif);
  }
  .where-title {
    font: 600 15px/1.4 var(--font-sans);
    margin-top: 6px;
  }
  .text {
    font: 16px/1.6 var(--font-serif);
    white-space: pre-line;
    overflow-wrap: anywhere;
  }
  .by bdi {
    font-weight: 600;
  }
  .reply {
    padding-left: 10px;
    border-left: 2px solid var(--line);
    color: var(--quiet);
  }
  .attention {
    color: var(--attention);
  }
  .labels {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 10px;
    align-items: center;
  }
  .labels input {
    width: 130px;
    min-height: 28px;
    padding: 2px 8px;
  }
  .one {
    border-bottom: 2px solid var(--accent-mid);
    min-height: 24px;
  }
  .where li {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 0 10px;
    padding: 6px 0;
    border-top: 1px solid var(--line);
  }
  .why {
    grid-column: 1 / -1;
    color: var(--quiet);
  }
  .where button {
    justify-self: start;
  }
  .acts {
    display: flex;
    gap: 16px;
  }
</style>
