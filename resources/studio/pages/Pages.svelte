<script lang="ts">
  import { onMount } from 'svelte';
  import Button from 'flowbite-svelte/Button.svelte';
  import { api, ask } from '../api/client';
  import { clock } from '../parts/clock.svelte';
  import Situation from '../parts/Situation.svelte';
  import { notices } from '../parts/notices.svelte';
  import { router } from '../parts/router.svelte';
  import { since } from '../parts/times';
  import { PageList, worst, type Page } from './pages.svelte';
  import Verdict from './Verdict.svelte';

  const pages = new PageList();
  let address = $state('');
  let adding = $state(false);

  onMount(() => {
    if (new URLSearchParams(location.search).get('state') === 'missing') pages.wanted.state = 'missing';
    void pages.load();
    return () => pages.leave();
  });

  const AT_ONCE = 100;
  const count = (number: number, one: string): string =>
    `${number.toLocaleString('en-GB')} ${one}${number === 1 ? '' : 's'}`;
  const grouped = $derived.by(() => {
    const groups: [string, Page[]][] = [];
    for (const page of pages.list?.pages ?? []) {
      const last = groups.at(-1);
      if (last && last[0] === page.branch) last[1].push(page);
      else groups.push([page.branch, [page]]);
    }
    return groups;
  });

  /** What all titles end with, such as the name of the site, says nothing of a page. */
  const ending = $derived.by(() => {
    const titles = (pages.list?.pages ?? []).map((page) => page.title ?? '').filter(Boolean);
    const parts = titles.map((title) => / [·|–—-] [^·|–—-]+$/.exec(title)?.[0] ?? '');
    const [first = ''] = parts;
    return titles.length > 2 && parts.filter((part) => part === first).length > titles.length / 2 ? first : '';
  });
  const titled = (page: Page): string =>
    ending && page.title?.endsWith(ending)
      ? page.title.slice(0, -ending.length)
      : (page.title ?? (page.failure ? '' : 'Not opened yet'));

  async function read(): Promise<void> {
    try {
      await ask(api.POST('/pages/read'));
      await pages.load();
    } catch (error) {
      notices.fail(error);
    }
  }

  async function checkAll(): Promise<void> {
    try {
      await ask(api.POST('/pages/checked'));
      notices.say('The pages that widgets should be on are being checked. It takes a second or two a page.');
      setTimeout(() => void pages.load(), 4000);
      setTimeout(() => void pages.load(), 12_000);
    } catch (error) {
      notices.fail(error);
    }
  }

  async function add(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    try {
      const page = await ask(api.POST('/pages', { body: { address } }));
      address = '';
      adding = false;
      router.go(`/pages/${page.id}`);
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<header>
  <h1>Pages</h1>
  <Button size="sm" color="light" onclick={() => (adding = !adding)} aria-expanded={adding}>Add a page</Button>
  <Button size="sm" color="light" onclick={checkAll}>Check all now</Button>
  <Button size="sm" onclick={read} disabled={pages.isReading}>{pages.isReading ? 'Reading' : 'Find pages'}</Button>
</header>
{#if adding}
  <form class="row add" onsubmit={add}>
    <input
      class="field"
      aria-label="Address of the page"
      placeholder="/visit or a whole address"
      bind:value={address}
      required
    />
    <Button size="sm" type="submit">Add the page</Button>
  </form>
{/if}
{#if pages.list}
  {@const list = pages.list}
  {#if pages.broken}<p role="alert" class="wrong">✕ {pages.broken} This is how it was last.</p>{/if}
  {#if list.read}
    <div class="small quiet read" role="status">
      {#if list.read.state === 'reading'}Finding the pages of {list.website}: {list.read.found.toLocaleString('en-GB')} so
        far. You can leave this screen.
      {:else if list.read.state === 'failed'}<strong class="wrong">✕ {list.read.reason}</strong>
      {:else}{count(list.read.found, 'page')} found {list.read.sitemaps > 0 ? 'by the sitemap' : 'by following links'},
        {since(list.read.at, clock.now)}.{/if}
      {#if list.read.problems.length > 0}
        <details>
          <summary>{count(list.read.problems.length, 'problem')}</summary>
          <ul>
            {#each list.read.problems as problem (problem)}<li>{problem}</li>{/each}
          </ul>
        </details>
      {/if}
    </div>
  {/if}
  {#if list.all === 0}
    <Situation
      kind="empty"
      title="No pages yet"
      text="Gnomic finds them by the sitemap of {list.website}, or by following its links. Nothing on your site is changed."
    >
      {#snippet step()}<Button size="sm" onclick={read} disabled={pages.isReading}>Find the pages</Button>{/snippet}
    </Situation>
  {:else}
    <div class="asked">
      <input
        type="search"
        class="field"
        aria-label="Search pages"
        placeholder="Path or title"
        value={pages.wanted.search}
        oninput={(event) => pages.ask({ search: event.currentTarget.value })}
      />
      <select
        class="field"
        aria-label="Part of the site"
        value={pages.wanted.branch ?? ''}
        onchange={(event) => pages.ask({ branch: event.currentTarget.value || null })}
      >
        <option value="">Everywhere, {list.all.toLocaleString('en-GB')}</option>
        {#each list.branches as { branch, pages: number } (branch)}
          <option value={branch}>{branch === '/' ? 'At the root' : branch}, {number.toLocaleString('en-GB')}</option>
        {/each}
      </select>
      {#each [[null, 'All pages'], ['placed', 'With widgets'], ['missing', 'Something is missing']] as const as [state, name] (name)}
        <button
          class="plain link small"
          aria-pressed={pages.wanted.state === state}
          onclick={() => pages.ask({ state })}>{name}</button
        >
      {/each}
      <span class="small quiet" role="status">
        {#if pages.answered}{count(list.total, 'page')} with “{pages.answered}”{/if}
      </span>
    </div>
    {#if list.pages.length === 0}
      <Situation
        kind="empty"
        title="No page fits"
        text={pages.wanted.state === 'missing'
          ? 'Every widget is where it should be.'
          : 'Search for less, or look everywhere.'}
      />
    {/if}
    {#each grouped as [branch, group] (branch)}
      <section aria-label={branch === '/' ? 'At the root' : branch}>
        {#if list.branches.length > 1}<h2 class="branch">{branch === '/' ? 'At the root' : branch}</h2>{/if}
        <ul>
          {#each group as page (page.id)}
            {@const told = worst(page)}
            <li>
              <a href="/pages/{page.id}">
                <span class="path">{page.path}</span>
                <span class="title"
                  >{titled(page)}{#if page.language}<span class="small quiet lang">{page.language}</span>{/if}</span
                >
                <span class="on">
                  {#if told}
                    <Verdict {told} />
                    <span class="quiet"
                      >{told.verdict === 'right'
                        ? page.findings.map((one) => one.widget.name).join(', ')
                        : page.findings.find((one) => one.told[0] === told)?.widget.name}</span
                    >
                  {:else if page.failure}<span class="small quiet">{page.failure}</span>{/if}
                </span>
                <span class="when small quiet"
                  >{page.checkedAt ? since(page.checkedAt, clock.now) : page.seenAt ? 'opened' : ''}</span
                >
              </a>
            </li>
          {/each}
        </ul>
      </section>
    {/each}
    {#if list.total > AT_ONCE}
      <p class="turn">
        <button
          class="plain link"
          disabled={pages.after === 0}
          onclick={() => ((pages.after -= AT_ONCE), void pages.load())}>Previous</button
        >
        {pages.after + 1} to {Math.min(list.total, pages.after + AT_ONCE)} of {list.total.toLocaleString('en-GB')}
        <button
          class="plain link"
          disabled={pages.after + AT_ONCE >= list.total}
          onclick={() => ((pages.after += AT_ONCE), void pages.load())}>Next</button
        >
      </p>
    {/if}
  {/if}
{:else if pages.broken}
  <Situation kind="broken" title="The pages cannot be loaded" text={pages.broken}>
    {#snippet step()}<button class="plain link" onclick={() => pages.load()}>Try again</button>{/snippet}
  </Situation>
{:else}
  <Situation kind="loading" title="Loading the pages" />
{/if}

<style>
  header {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    align-items: center;
    margin-bottom: 8px;
  }
  h1 {
    flex: 1;
  }
  .add {
    max-width: 560px;
    margin-bottom: 8px;
  }
  .read {
    margin-bottom: 12px;
  }
  .wrong {
    color: var(--harm);
  }
  .asked {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 16px;
    align-items: center;
    margin-bottom: 8px;
  }
  .asked [type='search'] {
    flex: 0 1 280px;
  }
  .asked button {
    min-height: 28px;
  }
  .asked [aria-pressed='true'] {
    font-weight: 600;
    color: var(--ink);
    text-decoration: none;
  }
  .branch {
    font: 600 15px/1.4 var(--font-mono);
    margin: 18px 0 4px;
  }
  ul {
    border-top: 1px solid var(--line);
  }
  li {
    border-bottom: 1px solid var(--line);
  }
  li a {
    display: grid;
    grid-template-columns: minmax(120px, 24%) minmax(110px, 20%) minmax(0, 1fr) 110px;
    gap: 4px 20px;
    align-items: baseline;
    min-height: 38px;
    padding: 7px 4px;
  }
  li a:hover {
    background: var(--accent-soft);
  }
  .path {
    font: 14px/1.5 var(--font-mono);
    overflow-wrap: anywhere;
  }
  .lang {
    margin-left: 8px;
  }
  .on {
    display: flex;
    gap: 0 10px;
    min-width: 0;
  }
  .on .quiet {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .when {
    text-align: right;
  }
  .turn {
    margin-top: 16px;
    display: flex;
    gap: 16px;
  }
  summary {
    cursor: pointer;
  }
  @media (max-width: 760px) {
    li a {
      grid-template-columns: 1fr;
    }
    .when {
      text-align: left;
    }
  }
</style>
