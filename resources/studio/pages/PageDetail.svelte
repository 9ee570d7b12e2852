<script lang="ts">
  import { onMount } from 'svelte';
  import Button from 'flowbite-svelte/Button.svelte';
  import { api, ask } from '../api/client';
  import { clock } from '../parts/clock.svelte';
  import Code from '../parts/Code.svelte';
  import Situation from '../parts/Situation.svelte';
  import { notices } from '../parts/notices.svelte';
  import { router } from '../parts/router.svelte';
  import { date, since } from '../parts/times';
  import type { Page, PlacedSpot } from './pages.svelte';
  import SpotEditor from './spots/SpotEditor.svelte';
  import Verdict from './Verdict.svelte';

  let { key }: { key: string } = $props();
  const id = $derived(Number(key));

  let page = $state<Page>();
  let spots = $state<PlacedSpot[]>([]);
  let broken = $state('');
  let checking = $state(false);
  /** A spot that is being changed; "new": one that is being made. */
  let open = $state<PlacedSpot | 'new' | null>(null);

  onMount(load);

  async function load(): Promise<void> {
    try {
      page = await ask(api.GET('/pages/{id}', { params: { path: { id } } }));
      spots = (await ask(api.GET('/spots'))).spots;
      broken = '';
    } catch (error) {
      broken = (error as Error).message;
    }
  }

  async function check(): Promise<void> {
    checking = true;
    try {
      page = await ask(api.POST('/pages/{id}/checked', { params: { path: { id } } }));
    } catch (error) {
      notices.fail(error);
    }
    checking = false;
  }

  async function show(): Promise<void> {
    // Opened at once, so that the browser takes it for the owner's own doing.
    const tab = window.open('', '_blank');
    try {
      const { address } = await ask(api.POST('/owner-link', { body: { page: page?.address ?? null } }));
      if (tab) tab.location.href = address;
    } catch (error) {
      tab?.close();
      notices.fail(error);
    }
  }

  async function remove(): Promise<void> {
    try {
      await ask(api.DELETE('/pages/{id}', { params: { path: { id } } }));
      const { address } = page!;
      notices.say(`${page!.path} is off the list.`, () => void ask(api.POST('/pages', { body: { address } })));
      router.go('/pages');
    } catch (error) {
      notices.fail(error);
    }
  }

  async function turn(spot: PlacedSpot, removed: 0 | 1): Promise<void> {
    try {
      await ask(api.DELETE('/spots/{key}', { params: { path: { key: spot.key }, query: { removed } } }));
      if (removed) notices.say(`${spot.widget.name} is taken away from ${spot.phrase}.`, () => void turn(spot, 0));
      open = null;
      await load();
    } catch (error) {
      notices.fail(error);
    }
  }

  /** Whether a pattern fits the page is the server's to say; on this screen, those that name it or that were found on it. */
  const path = $derived(page ? new URL(page.address).pathname : '');
  const here = $derived(spots.filter((spot) => fits(spot)));
  function fits({ spot }: PlacedSpot): boolean {
    const one = (pattern: string): boolean =>
      pattern === path ||
      new RegExp(
        `^${pattern
          .split('*')
          .map((part) => part.replace(/[.+?^${}()|[\]\\]/g, '\\$&').replace(/:[\w]+/g, '[^/]+'))
          .join('.*')}$`,
      ).test(path);
    return spot.pages.some(one) && !(spot.except ?? []).some(one);
  }
</script>

{#if page}
  <nav class="small" aria-label="Way back"><a class="link" href="/pages">Pages</a></nav>
  <header>
    <div>
      <h1>{page.title ?? page.path}</h1>
      <p class="small quiet">
        <a class="link address" href={page.address} target="_blank" rel="noopener">{page.address}</a>
        {#if page.language}· language {page.language}{/if}
        · {page.seenAt ? `opened ${since(page.seenAt, clock.now)}` : 'not opened yet'}
        {#if page.modified}· changed {page.modified.slice(0, 10)}, as the sitemap says{/if}
      </p>
    </div>
    <Button size="sm" color="light" onclick={show}>Show me the links on my page</Button>
    <Button size="sm" onclick={check} disabled={checking}>{checking ? 'Checking' : 'Check now'}</Button>
  </header>

  <h2>Is it there?</h2>
  {#if page.failure}<p class="failure">✕ {page.failure}</p>{/if}
  {#if page.findings.length === 0}
    <p class="quiet none">
      {page.checkedAt
        ? 'No widget was found on this page, and none is meant for it.'
        : 'This page was not checked yet.'}
    </p>
  {:else}
    <ul class="findings" aria-busy={checking}>
      {#each page.findings as finding (finding.widget.key)}
        <li>
          <p class="what"><a class="name" href="/widgets/{finding.widget.key}">{finding.widget.name}</a></p>
          <div>
            {#each finding.told as told (told.says)}
              <div class="told">
                <p><Verdict {told} /> {told.says}</p>
                {#if told.next}<p class="next"><strong>Next:</strong> {told.next}</p>{/if}
                {#if told.line}<Code code={told.line} what="The line" />{/if}
              </div>
            {/each}
            <p class="small quiet">
              Checked {since(finding.checkedAt, clock.now)}.
              {#if finding.missingSince && finding.lastThereAt}It was there until {since(
                  finding.lastThereAt,
                  clock.now,
                )}.
              {:else if finding.missingSince}It was not there yet.
              {:else if finding.firstThereAt}There since {date(finding.firstThereAt)}.{/if}
              <a class="link" href="/widgets/{finding.widget.key}/counts">Who sees it</a>
            </p>
          </div>
        </li>
      {/each}
    </ul>
  {/if}

  <h2>What stands here</h2>
  <ul class="spots">
    {#each here as spot (spot.key)}
      <li>
        {#if open !== 'new' && open?.key === spot.key}
          <SpotEditor
            widget={spot.widget}
            {spot}
            address={page.address}
            onsaved={() => ((open = null), void load())}
            oncancel={() => (open = null)}
          />
        {:else}
          <div class="spot">
            <p>
              <a class="name" href="/widgets/{spot.widget.key}">{spot.widget.name}</a>
              on {spot.phrase}{#if spot.overrides.length > 0}<span class="quiet">; {spot.overrides.join(', ')}</span
                >{/if}
            </p>
            {#if spot.collides.length > 0}
              <p class="attention">
                ▲ Another spot has the same place on the same pages. {spot.decides
                  ? 'This one decides.'
                  : 'The other one decides, and this one does not show.'}
              </p>
            {/if}
            {#if !spot.isDue}<p class="attention">▲ Not scheduled for today.</p>{/if}
            <p class="small">
              <button class="plain link" onclick={() => (open = spot)}>Change</button>
              <button class="plain link" onclick={() => turn(spot, 1)}>Take away</button>
            </p>
          </div>
        {/if}
      </li>
    {/each}
  </ul>
  {#if open === 'new'}
    <SpotEditor address={page.address} onsaved={() => ((open = null), void load())} oncancel={() => (open = null)} />
  {:else}
    <Button size="sm" color="light" onclick={() => (open = 'new')}>Put a widget here</Button>
  {/if}
  <p class="small foot"><button class="plain link" onclick={remove}>Take this page off the list</button></p>
{:else if broken}
  <Situation alone kind="broken" title="This page cannot be opened" text={broken}>
    {#snippet step()}
      <button class="plain link" onclick={load}>Try again</button>
      <a class="link" href="/pages">All pages</a>
    {/snippet}
  </Situation>
{:else}
  <Situation alone kind="loading" title="Opening the page" />
{/if}

<style>
  header {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    align-items: start;
    margin: 4px 0 20px;
  }
  header > div {
    flex: 1 1 320px;
    min-width: 0;
  }
  .address {
    overflow-wrap: anywhere;
  }
  h2 {
    margin: 20px 0 6px;
  }
  .findings {
    border-top: 1px solid var(--line);
    max-width: 1000px;
  }
  .findings > li {
    display: grid;
    grid-template-columns: 200px minmax(0, 1fr);
    gap: 4px 24px;
    padding: 12px 0;
    border-bottom: 1px solid var(--line);
  }
  .name {
    font-weight: 600;
  }
  .name:hover {
    color: var(--accent);
  }
  .told {
    margin-bottom: 8px;
  }
  .next {
    margin: 2px 0 6px;
  }
  .failure {
    color: var(--harm);
    margin-bottom: 8px;
  }
  .none {
    margin-bottom: 8px;
  }
  .attention {
    color: var(--attention);
  }
  .spots {
    max-width: 1000px;
    margin-bottom: 12px;
  }
  .spot {
    padding: 8px 0;
    border-bottom: 1px solid var(--line);
  }
  .spot .small {
    display: flex;
    gap: 20px;
  }
  .foot {
    margin-top: 28px;
  }
  @media (max-width: 760px) {
    .findings > li {
      grid-template-columns: 1fr;
    }
  }
</style>
