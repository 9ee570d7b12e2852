<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import { api, ask, type Source } from '../api/client';
  import { clock } from '../parts/clock.svelte';
  import { ago, since } from '../parts/times';
  import { notices } from '../parts/notices.svelte';
  import { told } from '../parts/rounds';
  import { Refreshed } from '../parts/refreshed.svelte';
  import Situation from '../parts/Situation.svelte';
  import { router } from '../parts/router.svelte';
  import Details from './Details.svelte';
  import Tabs from './Tabs.svelte';

  /** The source whose details are open. */
  let open = $state('');
  /** Sources whose round was started here, with the round that was their last before. */
  let awaited = $state<Record<string, number>>({});

  const screen = new Refreshed(async () => {
    const { sources } = await ask(api.GET('/sources'));
    for (const { key, lastRound } of sources) {
      const before = awaited[key];
      if (before !== undefined && lastRound && lastRound.id > before && lastRound.outcome !== 'running')
        delete awaited[key];
    }
    return sources;
  }, 2000);
  const sources = $derived(screen.value);

  const round = (source: Source): Promise<void> =>
    screen.act(async () => {
      awaited[source.key] = source.lastRound?.id ?? 0;
      await ask(api.POST('/sources/{key}/rounds', { params: { path: { key: source.key } } }));
    });

  const connect = (source: Source, connected: boolean): Promise<void> =>
    screen.act(async () => {
      await ask(api.PATCH('/sources/{key}', { params: { path: { key: source.key } }, body: { connected } }));
      if (!connected)
        notices.say(
          `${source.name} is disconnected. Its entries stay and are still shown.`,
          () => void connect(source, true),
        );
    });

  const acceptLoss = (source: Source): Promise<void> =>
    screen.act(async () => {
      awaited[source.key] = source.lastRound?.id ?? 0;
      await ask(api.PATCH('/sources/{key}', { params: { path: { key: source.key } }, body: { acceptsLoss: true } }));
    });

  const remove = (source: Source): Promise<void> =>
    screen.act(async () => {
      const turn = (removed: 0 | 1) =>
        ask(api.DELETE('/sources/{key}', { params: { path: { key: source.key }, query: { removed } } }));
      const { entries } = await turn(1);
      open = '';
      notices.say(
        `${source.name} is removed, and ${entries === 1 ? 'one entry' : `${entries} entries`} with it. You can undo this for a day.`,
        () => void screen.act(() => turn(0)),
      );
    });

  /** Beyond the moment at which workers begin, and two beats of the clock. */
  const LATE = 180_000;
  const isLate = (source: Source): boolean =>
    source.nextAt !== null && clock.now.getTime() - new Date(source.nextAt).getTime() > LATE;

  const stateOf = (source: Source): string =>
    source.key in awaited
      ? 'Being checked'
      : {
          waiting: 'Waiting for its first check',
          running: 'Being checked',
          well: isLate(source) ? 'Late' : 'Healthy',
          held: 'Paused',
          failed: 'Failed',
          disconnected: 'Disconnected',
          ended: 'Needs your permission again',
          kept: 'Kept in Gnomic',
        }[source.state];
</script>

<Tabs />

{#if sources && sources.length > 0}
  {#if screen.broken}<p role="alert" class="wrong">✕ {screen.broken} This is how it was last.</p>{/if}
  <div class="scroll">
    <table class="sheet">
      <caption class="unseen">The site's sources</caption>
      <thead>
        <tr
          ><th scope="col">Source</th><th scope="col">State</th><th scope="col" class="number">Entries</th><th
            scope="col">Newest</th
          ><th scope="col">Last check</th><th scope="col">Next</th><th scope="col"
            ><span class="unseen">What you can do</span></th
          ></tr
        >
      </thead>
      <tbody>
        {#each sources as source (source.key)}
          <tr data-state={source.state}>
            <th scope="row"
              ><button
                class="plain open"
                aria-expanded={open === source.key}
                aria-controls="details-{source.key}"
                onclick={() => (open = open === source.key ? '' : source.key)}><strong>{source.name}</strong></button
              ><span class="small quiet address" title={source.address}
                >{source.channelName}{source.subject && source.subject !== source.name
                  ? `, ${source.subject}`
                  : ''}</span
              ></th
            >
            <td data-label="">
              <span class="state" class:busy={source.key in awaited}>{stateOf(source)}</span>
              {#if source.lastRound?.outcome === 'running' && source.lastRound.received > 0}
                <span class="small quiet after">{source.lastRound.received} read so far</span>
              {/if}
              {#if source.reason}<span class="small reason">{source.reason}</span>{/if}
              {#if source.state === 'held'}<button class="plain link small" onclick={() => acceptLoss(source)}
                  >Mark as removed</button
                >{/if}
              {#if source.state === 'ended'}<a class="link small" href="/sources/add/{source.channel}"
                  >Give permission again</a
                >{/if}
            </td>
            <td class="number figures" data-label="Entries">{source.entries}</td>
            <td data-label="Newest">{ago(source.newest, clock.now)}</td>
            <td data-label="Checked"
              >{since(
                source.lastRound?.finishedAt,
                clock.now,
              )}{#if source.lastRound && ['changed', 'unchanged'].includes(source.lastRound.outcome)}<span
                  class="small quiet after">{told(source.lastRound)}</span
                >{/if}</td
            >
            <td data-label="Next"
              >{source.nextAt && source.state !== 'disconnected' ? ago(source.nextAt, clock.now) : ''}</td
            >
            <td class="acts">
              {#if source.state === 'disconnected'}
                <button class="plain link" onclick={() => connect(source, true)}>Connect again</button>
              {:else if !source.isAsked}
                <a class="link" href="/sources/add/{source.channel === 'hand' ? 'hand' : 'table'}"
                  >{source.channel === 'hand' ? 'Add another' : 'Import more'}</a
                >
              {:else}
                <button class="plain link" disabled={source.key in awaited} onclick={() => round(source)}
                  >Check now</button
                >
                <button class="plain link" onclick={() => connect(source, false)}>Disconnect</button>
              {/if}
            </td>
          </tr>
          {#if open === source.key}
            <tr id="details-{source.key}"
              ><td colspan="7"><Details {source} onchange={() => screen.load()} onremove={() => remove(source)} /></td
              ></tr
            >
          {/if}
        {/each}
      </tbody>
    </table>
  </div>
{:else if sources}
  <Situation
    kind="empty"
    title="No source is connected"
    text="A source is a place where people write about you: a directory listing, a feed of posts. Paste its address or look it up by name."
  >
    {#snippet step()}<Button size="sm" onclick={() => router.go('/sources/add')}>Add the first source</Button>{/snippet}
  </Situation>
{:else if screen.broken}
  <Situation kind="broken" title="The sources cannot be loaded" text={screen.broken}>
    {#snippet step()}<button class="plain link" onclick={() => screen.load()}>Try again</button>{/snippet}
  </Situation>
{:else}
  <Situation kind="loading" title="Loading the sources" />
{/if}

<style>
  .scroll {
    overflow-x: auto;
  }
  .number {
    text-align: right;
  }
  /* On a phone each source is a card: its state beside its name, what can be done below. */
  @media (max-width: 760px) {
    thead {
      position: absolute;
      clip-path: inset(50%);
    }
    table,
    tbody,
    tr,
    td,
    th {
      display: block;
      width: auto;
    }
    tr {
      display: grid;
      grid-template-columns: minmax(0, 1fr) auto;
      border-bottom: 1px solid var(--line);
    }
    td,
    th {
      border: 0;
      padding: 6px 12px;
    }
    .number {
      text-align: left;
    }
    td:not([data-label]) {
      grid-column: 1 / -1;
    }
    td[data-label]::before {
      content: attr(data-label) ' ';
      font-size: 13px;
      color: var(--quiet);
    }
  }
  .state,
  td {
    white-space: nowrap;
  }
  .reason {
    display: block;
    max-width: 36ch;
    white-space: normal;
    color: var(--harm);
  }
  [data-state='held'] .reason {
    color: var(--attention);
  }
  .open {
    text-align: left;
    position: relative;
    padding-right: 16px;
  }
  .open:hover strong {
    text-decoration: underline;
    text-underline-offset: 3px;
  }
  .open strong::after {
    content: '';
    position: absolute;
    right: 0;
    top: 9px;
    border: 4px solid transparent;
    border-top-color: var(--quiet);
    border-bottom: 0;
  }
  .after {
    display: block;
    white-space: nowrap;
  }
  .acts {
    white-space: nowrap;
  }
  .acts button {
    margin-right: 12px;
  }
  .acts button:disabled {
    opacity: 0.5;
    cursor: default;
  }
  .wrong {
    color: var(--harm);
  }
</style>
