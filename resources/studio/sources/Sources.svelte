<script lang="ts">
  import { onMount } from 'svelte';
  import Button from 'flowbite-svelte/Button.svelte';
  import { api, ask, type Source } from '../api/client';
  import { clock } from '../parts/clock.svelte';
  import { ago } from '../parts/times';
  import { notices } from '../parts/notices.svelte';
  import { told } from '../parts/rounds';
  import Situation from '../parts/Situation.svelte';
  import AddSource from './AddSource.svelte';
  import Cadence from './Cadence.svelte';

  let sources = $state<Source[]>();
  let broken = $state('');
  let adding = $state(false);
  /** Sources whose round was started here, with the round that was their last before. */
  let awaited = $state<Record<string, number>>({});

  onMount(() => {
    void load();
    const timer = setInterval(() => void load(), 2000);
    return () => clearInterval(timer);
  });

  async function load(): Promise<void> {
    try {
      sources = (await ask(api.GET('/sources'))).sources;
      broken = '';
      for (const source of sources) {
        const before = awaited[source.key];
        const round = source.lastRound;
        if (before !== undefined && round && round.id > before && round.outcome !== 'running')
          delete awaited[source.key];
      }
    } catch (error) {
      broken = (error as Error).message;
    }
  }

  async function act(work: () => Promise<unknown>): Promise<void> {
    try {
      await work();
      await load();
    } catch (error) {
      notices.fail(error);
    }
  }

  const round = (source: Source): Promise<void> =>
    act(async () => {
      awaited[source.key] = source.lastRound?.id ?? 0;
      await ask(api.POST('/sources/{key}/rounds', { params: { path: { key: source.key } } }));
    });

  const connect = (source: Source, connected: boolean): Promise<void> =>
    act(async () => {
      await ask(api.PATCH('/sources/{key}', { params: { path: { key: source.key } }, body: { connected } }));
      if (!connected)
        notices.say(
          `${source.name} is disconnected. Its entries stay, and are shown as before.`,
          () => void connect(source, true),
        );
    });

  function connected(source: Source): void {
    adding = false;
    awaited[source.key] = source.lastRound?.id ?? 0;
    notices.say(`${source.name} is connected; its entries are coming in.`);
    void load();
  }

  const stateOf = (source: Source): string =>
    source.key in awaited
      ? 'Being looked at'
      : {
          waiting: 'Waiting for its first round',
          running: 'Being looked at',
          well: 'Well',
          held: 'Held',
          failed: 'Failed',
          disconnected: 'Disconnected',
        }[source.state];
</script>

<header>
  <h1>Sources</h1>
  <Button size="sm" onclick={() => (adding = true)}>Add a source</Button>
</header>

{#if sources && sources.length > 0}
  {#if broken}<p role="alert" class="wrong">✕ {broken} What you see is as it was last.</p>{/if}
  <div class="scroll">
    <table>
      <caption class="unseen">The site's sources</caption>
      <thead>
        <tr
          ><th scope="col">Source</th><th scope="col">State</th><th scope="col" class="number">Entries</th><th
            scope="col">Newest</th
          ><th scope="col">Last round</th><th scope="col">Looked at</th><th scope="col"
            ><span class="unseen">What you can do</span></th
          ></tr
        >
      </thead>
      <tbody>
        {#each sources as source (source.key)}
          <tr data-state={source.state}>
            <th scope="row"
              ><strong>{source.name}</strong><span class="small quiet address" title={source.address}
                >{source.channelName}, {source.address.replace(/^https?:\/\//, '')}</span
              ></th
            >
            <td>
              <span class="state" class:busy={source.key in awaited}>{stateOf(source)}</span>
              {#if source.lastRound?.outcome === 'running' && source.lastRound.received > 0}
                <span class="small quiet after">{source.lastRound.received} read so far</span>
              {/if}
              {#if source.reason}<span class="small reason">{source.reason}</span>{/if}
            </td>
            <td class="number figures">{source.entries}</td>
            <td>{ago(source.newest, clock.now)}</td>
            <td
              >{ago(
                source.lastRound?.finishedAt,
                clock.now,
              )}{#if source.lastRound && ['changed', 'unchanged'].includes(source.lastRound.outcome)}<span
                  class="small quiet after">{told(source.lastRound)}</span
                >{/if}</td
            >
            <td><Cadence {source} onchange={load} /></td>
            <td class="acts">
              {#if source.state === 'disconnected'}
                <button class="plain link" onclick={() => connect(source, true)}>Connect again</button>
              {:else}
                <button class="plain link" disabled={source.key in awaited} onclick={() => round(source)}
                  >Look now</button
                >
                <button class="plain link" onclick={() => connect(source, false)}>Disconnect</button>
              {/if}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
{:else if sources}
  <Situation
    kind="empty"
    title="No source is connected"
    text="A source is one place where people speak of you: a listing in a directory, a feed of posts. Give its address, or look yourself up by name."
  >
    {#snippet step()}<Button size="sm" onclick={() => (adding = true)}>Add the first source</Button>{/snippet}
  </Situation>
{:else if broken}
  <Situation kind="broken" title="The sources cannot be shown" text={broken}>
    {#snippet step()}<button class="plain link" onclick={load}>Try again</button>{/snippet}
  </Situation>
{:else}
  <Situation kind="loading" title="Asking after the sources" />
{/if}

<AddSource bind:open={adding} onconnect={connected} />

<style>
  header {
    display: flex;
    justify-content: space-between;
    align-items: center;
    margin-bottom: 20px;
  }
  .scroll {
    overflow-x: auto;
  }
  table {
    width: 100%;
    border-collapse: collapse;
    background: var(--surface);
    border: 1px solid var(--line);
  }
  th,
  td {
    text-align: left;
    vertical-align: top;
    padding: 9px 12px;
    border-bottom: 1px solid var(--line);
    font-weight: 400;
  }
  thead th {
    font-size: 13px;
    color: var(--quiet);
    white-space: nowrap;
  }
  .number {
    text-align: right;
  }
  tbody th strong {
    font-weight: 600;
    display: block;
  }
  .address {
    display: block;
    max-width: 210px;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .state,
  td {
    white-space: nowrap;
  }
  .state::before {
    content: '';
    display: inline-block;
    width: 8px;
    height: 8px;
    margin-right: 7px;
    clip-path: polygon(0 100%, 100% 0, 100% 100%);
    background: var(--accent);
  }
  [data-state='failed'] .state::before {
    background: var(--harm);
  }
  [data-state='held'] .state::before,
  .busy.state::before {
    background: var(--attention);
  }
  [data-state='disconnected'] .state::before {
    background: var(--quiet);
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
