<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ask, type Round, type Today } from '../api/client';
  import { clock } from '../parts/clock.svelte';
  import { since } from '../parts/times';
  import { told } from '../parts/rounds';
  import Code from '../parts/Code.svelte';
  import Situation from '../parts/Situation.svelte';
  import Verdict from '../pages/Verdict.svelte';

  let today = $state<Today>();
  let broken = $state('');

  onMount(() => {
    void load();
    const timer = setInterval(load, 10_000);
    return () => clearInterval(timer);
  });

  async function load(): Promise<void> {
    try {
      today = await ask(api.GET('/today'));
      broken = '';
    } catch (error) {
      broken = (error as Error).message;
    }
  }

  const count = (number: number, one: string, many = `${one}s`): string =>
    `${number.toLocaleString('en-GB')} ${number === 1 ? one : many}`;

  /** What is wrong with a page is told once, whatever it is wrong for. */
  const missing = $derived.by(() => {
    const told: { first: Today['missing'][number]; names: string[] }[] = [];
    for (const one of today?.missing ?? []) {
      const same = told.find(({ first }) => first.page.id === one.page.id && first.told?.verdict === one.told?.verdict);
      if (same) same.names.push(one.widget.name);
      else told.push({ first: one, names: [one.widget.name] });
    }
    return told;
  });

  const consequence = (round: Round): string =>
    round.editions === 0 ? 'no widget changed' : `${count(round.editions, 'widget')} updated`;
</script>

<h1>Today</h1>
{#if today}
  {#if broken}<p role="alert" class="wrong">✕ {broken} This is how it was last.</p>{/if}
  <p class="line">
    <a href="/entries">{count(today.entries, 'entry', 'entries')}</a> from
    <a href="/sources">{count(today.sources, 'source')}</a>;
    <a href="/widgets">{today.out} of {count(today.widgets, 'widget')}</a> published.
  </p>
  {#if today.held > 0}
    <p class="held">
      ▲ <a class="link" href="/entries?state=held"
        >{count(today.held, 'new entry is waiting', 'new entries are waiting')}</a
      > for your decision, not shown anywhere until then.
    </p>
  {/if}
  {#if today.fullLog}
    <p class="held">
      ▲ Visitors are not counted for now: too much is waiting to be added up, or the disk is nearly full. Widgets are
      shown all the same.
    </p>
  {/if}
  {#if today.missing.length > 0}
    <h2>Not where it should be</h2>
    <ul class="missing">
      {#each missing as { first, names } (`${first.page.id} ${first.told?.says}`)}
        <li>
          <span class="when quiet">{since(first.since, clock.now)}</span>
          <span
            ><a class="name" href="/pages/{first.page.id}">{names.join(', ')} on {first.page.path}</a>
            {#if first.told}<Verdict told={first.told} />
              {first.told.says}
              {#if first.told.next}<span class="next">{first.told.next}</span>{/if}
              {#if first.told.line}<Code code={first.told.line} what="The line" />{/if}{/if}</span
          >
        </li>
      {/each}
    </ul>
  {/if}
  <h2>Latest checks</h2>
  {#if today.rounds.length === 0}
    <Situation
      kind="empty"
      title="Nothing has been checked yet"
      text="Connect a source, and its first check starts at once."
    >
      {#snippet step()}<a class="link" href="/sources">Connect a source</a>{/snippet}
    </Situation>
  {:else}
    <ol>
      {#each today.rounds as { source, round } (round.id)}
        <li data-outcome={round.outcome}>
          <span class="when quiet">{since(round.finishedAt ?? round.startedAt, clock.now)}</span>
          <span class="what">
            <a class="name" href="/sources">{source.name}</a>
            {#if round.outcome === 'failed'}<strong class="tone">failed</strong> {round.reason}
            {:else if round.outcome === 'held'}<strong class="tone">paused</strong> {round.reason}
            {:else if round.outcome === 'running'}is being checked now
            {:else}{told(round)}, {consequence(round)}{/if}
            {#if round.problems.length > 0}
              <details>
                <summary>{count(round.problems.length, 'problem')}</summary>
                <ul>
                  {#each round.problems as problem (problem)}<li>{problem}</li>{/each}
                </ul>
              </details>
            {/if}
          </span>
        </li>
      {/each}
    </ol>
  {/if}
{:else if broken}
  <Situation kind="broken" title="Today cannot be loaded" text={broken}>
    {#snippet step()}<button class="plain link" onclick={load}>Try again</button>{/snippet}
  </Situation>
{:else}
  <Situation kind="loading" title="Loading the latest checks" />
{/if}

<style>
  .line {
    font: 400 24px/1.5 var(--font-serif);
    margin: 12px 0 24px;
    max-width: 34em;
  }
  .line a {
    border-bottom: 1px solid var(--accent-mid);
  }
  .line a:hover {
    color: var(--accent);
  }
  .held {
    color: var(--attention);
    margin-bottom: 24px;
  }
  .missing {
    margin: 8px 0 24px;
    border-top: 1px solid var(--line);
    max-width: 960px;
  }
  .missing li {
    display: grid;
    grid-template-columns: 140px 1fr;
    gap: 16px;
    padding: 8px 0;
    border-bottom: 1px solid var(--line);
  }
  .next {
    display: block;
  }
  ol {
    margin-top: 8px;
    border-top: 1px solid var(--line);
    max-width: 960px;
  }
  ol > li {
    display: grid;
    grid-template-columns: 140px 1fr;
    gap: 16px;
    padding: 8px 0;
    border-bottom: 1px solid var(--line);
  }
  .name {
    font-weight: 600;
    margin-right: 6px;
  }
  .tone {
    font-weight: 600;
  }
  [data-outcome='failed'] .tone {
    color: var(--harm);
  }
  [data-outcome='held'] .tone {
    color: var(--attention);
  }
  .wrong {
    color: var(--harm);
  }
  summary {
    cursor: pointer;
    color: var(--attention);
  }
  @media (max-width: 760px) {
    ol > li {
      grid-template-columns: 1fr;
      gap: 0;
    }
  }
</style>
