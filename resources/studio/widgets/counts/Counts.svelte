<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ask, type Widget } from '../../api/client';
  import type { components } from '../../api/schema';
  import { clock } from '../../parts/clock.svelte';
  import Situation from '../../parts/Situation.svelte';
  import { date, since } from '../../parts/times';
  import DayChart from './DayChart.svelte';
  import TrialPanel from './TrialPanel.svelte';

  let { key }: { key: string } = $props();

  let widget = $state<Pick<Widget, 'name'>>();
  let counts = $state<components['schemas']['Counts']>();
  let days = $state(30);
  let broken = $state('');

  onMount(() => {
    void load();
    const timer = setInterval(load, 30_000);
    return () => clearInterval(timer);
  });

  async function load(): Promise<void> {
    try {
      const path = { key };
      [widget, counts] = await Promise.all([
        ask(api.GET('/widgets/{key}', { params: { path } })),
        ask(api.GET('/widgets/{key}/counts', { params: { path, query: { days } } })),
      ]);
      broken = '';
    } catch (error) {
      broken = (error as Error).message;
    }
  }

  const number = (value: number): string => value.toLocaleString('en-GB');
  const count = (value: number, one: string): string => `${number(value)} ${one}${value === 1 ? '' : 's'}`;
  const list = new Intl.ListFormat('en-GB');
  /** What visitors did, and no word of what none did. */
  const did = (total: { openings: number; reads: number; clicks: number }): string => {
    const parts = [
      [total.openings, 'opened'],
      [total.reads, 'read on'],
      [total.clicks, 'left for a source'],
    ] as const;
    const told = parts.filter(([value]) => value > 0).map(([value, what]) => `${what} ${count(value, 'time')}`);
    return told.length ? `; ${list.format(told)}` : '';
  };
  const KINDS = { hidden: 'the page hid it', narrow: 'it had no room', pictures: 'pictures did not come' } as const;
  /** What the widget itself told of a page, by kind. */
  const wrong = (errors: Partial<Record<keyof typeof KINDS, number>>): string[] =>
    (Object.keys(KINDS) as (keyof typeof KINDS)[])
      .filter((kind) => errors[kind])
      .map((kind) => `${count(errors[kind] ?? 0, 'time')} (${KINDS[kind]})`);
  const widest = $derived(Math.max(1, ...(counts?.pages ?? []).map((page) => page.views)));
  /** A chart begins a week before there was anything to see, and no sooner. */
  const first = $derived(
    Math.max(
      0,
      Math.min(
        (counts?.days ?? []).findIndex((day) => day.shown > 0),
        (counts?.days.length ?? 7) - 1,
      ) - 6,
    ),
  );
  const used = $derived(Math.max(1, ...(counts?.entries ?? []).map((one) => one.openings + one.reads + one.clicks)));
</script>

{#if counts && widget}
  <nav class="small" aria-label="Way back">
    <a class="link" href="/widgets">Widgets</a> · <a class="link" href="/widgets/{key}">{widget.name} on the bench</a>
  </nav>
  <header>
    <h1>Who sees {widget.name}</h1>
    <select class="field" aria-label="How far back" bind:value={days} onchange={load}>
      {#each [[7, 'a week'], [30, '30 days'], [90, '90 days'], [365, 'a year']] as const as [value, name] (value)}<option
          {value}>{name}</option
        >{/each}
    </select>
    <a class="link small" href="/api/widgets/{key}/counts.csv" download>All counts as CSV</a>
  </header>
  {#if broken}<p role="alert" class="wrong">✕ {broken} This is how it was last.</p>{/if}
  <p class="line">
    Seen <strong>{count(counts.total.views, 'time')}</strong>, on {count(counts.pages.length, 'page')}{did(
      counts.total,
    )}.
  </p>
  {#if !counts.counts}
    <p class="attention">▲ Views are not counted: you have switched that off for the site.</p>
  {:else if counts.total.shown === 0}
    <Situation
      kind="empty"
      title="Nobody has seen it yet"
      text="A view counts when half of the widget was in sight for a second. Counts come a minute after a visitor leaves the page."
    />
  {/if}
  {#if counts.total.shown > 0}
    <DayChart days={counts.days.slice(first)} />
    <div class="tables">
      <section>
        <h2>On which pages</h2>
        <table>
          <thead
            ><tr
              ><th scope="col">Page</th><th scope="col">Views</th><th scope="col">Used</th><th scope="col">Width</th><th
                scope="col">Seen</th
              ></tr
            ></thead
          >
          <tbody>
            {#each counts.pages as page (page.page)}
              <tr>
                <th scope="row"><span class="path">{page.page}</span></th>
                <td class="figures seen"
                  ><span class="bar" style:width="{(60 * page.views) / widest}px"></span>{number(page.views)}</td
                >
                <td class="figures">{number(page.openings + page.reads + page.clicks)}</td>
                <td class="small"
                  >{page.narrowest === null
                    ? 'no room'
                    : page.narrowest === page.widest
                      ? `${page.narrowest} px`
                      : `${page.narrowest} to ${page.widest} px`}</td
                >
                <td class="small quiet"
                  >{#if page.firstAt}since {date(page.firstAt)}, last {since(page.lastAt, clock.now)}{/if}</td
                >
              </tr>
              {#if wrong(page.errors).length > 0}
                <tr>
                  <td colspan="5" class="small attention">▲ Not as it should be {list.format(wrong(page.errors))}.</td>
                </tr>
              {/if}
            {/each}
          </tbody>
        </table>
      </section>
      <section>
        <h2>Which entries are opened</h2>
        {#if counts.entries.length === 0}<p class="quiet">None yet.</p>{/if}
        <ol>
          {#each counts.entries as one (one.ref)}
            <li>
              <span class="bar" style:width="{(80 * (one.openings + one.reads + one.clicks)) / used}px"></span>
              <span class="figures">{number(one.openings + one.reads + one.clicks)}</span>
              <span
                ><strong>{one.name ?? 'An entry that is gone'}</strong>
                <span class="quiet">{one.says ?? ''}</span></span
              >
            </li>
          {/each}
        </ol>
        <h2>How wide</h2>
        <dl>
          {#each counts.widths as one (one.width)}<dt>
              {{ phone: 'As on a phone', tablet: 'As on a tablet', desktop: 'As on a desktop' }[one.width]}
            </dt>
            <dd>{count(one.views, 'view')}</dd>{/each}
        </dl>
      </section>
    </div>
    <details>
      <summary>By day, in numbers</summary>
      <table>
        <thead
          ><tr
            >{#each ['Day', 'Views', 'Openings', 'Read on', 'To a source', 'Editions'] as name (name)}<th scope="col"
                >{name}</th
              >{/each}</tr
          ></thead
        >
        <tbody>
          {#each [...counts.days].reverse() as day (day.day)}
            <tr
              ><th scope="row">{day.day}</th><td class="figures">{number(day.views)}</td><td class="figures"
                >{number(day.openings)}</td
              ><td class="figures">{number(day.reads)}</td><td class="figures">{number(day.clicks)}</td><td
                >{day.editions.map((one) => one.number).join(', ')}</td
              ></tr
            >
          {/each}
        </tbody>
      </table>
    </details>
  {/if}
  <TrialPanel {key} trial={counts.trial} ended={counts.trials} onchanged={load} />
  <p class="small quiet foot">
    No cookie, nothing kept with visitors, no address written down. Whoever asks not to be tracked is not counted, and
    neither are programs that name themselves as robots. Anybody can send a count: these are good to compare, and no
    proof.
  </p>
{:else if broken}
  <Situation alone kind="broken" title="The counts cannot be loaded" text={broken}>
    {#snippet step()}<a class="link" href="/widgets">All widgets</a>{/snippet}
  </Situation>
{:else}
  <Situation alone kind="loading" title="Adding up" />
{/if}

<style>
  header {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 16px;
    align-items: center;
    margin: 4px 0;
  }
  h1 {
    flex: 1;
  }
  h2 {
    margin: 16px 0 6px;
  }
  .line {
    font: 400 24px/1.5 var(--font-serif);
    max-width: 36em;
    margin: 8px 0 16px;
  }
  .line strong {
    font-weight: 600;
  }
  .tables {
    display: grid;
    grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr);
    gap: 0 40px;
  }
  table {
    width: 100%;
    border-collapse: collapse;
  }
  th,
  td {
    text-align: left;
    font-weight: 400;
    padding: 6px 10px 6px 0;
    border-bottom: 1px solid var(--line);
    vertical-align: baseline;
  }
  thead th {
    font-size: 13px;
    color: var(--quiet);
  }
  .tables th[scope='row'] {
    min-width: 11ch;
  }
  .seen {
    white-space: nowrap;
  }
  .path {
    font: 14px/1.4 var(--font-mono);
    overflow-wrap: anywhere;
  }
  .bar {
    display: inline-block;
    height: 9px;
    margin-right: 8px;
    background: var(--accent);
    clip-path: polygon(0 0, 100% 40%, 100% 60%, 0 100%);
  }
  ol li {
    display: grid;
    grid-template-columns: 88px 40px minmax(0, 1fr);
    padding: 5px 0;
    border-bottom: 1px solid var(--line);
    align-items: baseline;
  }
  dl {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 2px 20px;
  }
  .attention {
    color: var(--attention);
  }
  .wrong {
    color: var(--harm);
  }
  details {
    margin-top: 18px;
  }
  summary {
    cursor: pointer;
    font-weight: 600;
  }
  .foot {
    margin-top: 28px;
    max-width: 80ch;
  }
  @media (max-width: 900px) {
    .tables {
      grid-template-columns: 1fr;
    }
  }
</style>
