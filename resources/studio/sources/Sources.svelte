<script lang="ts">
  import { onMount } from 'svelte';
  import Button from 'flowbite-svelte/Button.svelte';
  import { api, ask, type Source } from '../api/client';
  import { clock } from '../parts/clock.svelte';
  import { ago, since } from '../parts/times';
  import { notices } from '../parts/notices.svelte';
  import { told } from '../parts/rounds';
  import Situation from '../parts/Situation.svelte';
  import { router } from '../parts/router.svelte';
  import Details from './Details.svelte';
  import Tabs from './Tabs.svelte';

  let sources = $state<Source[]>();
  let broken = $state('');
  /** The source whose details are open. */
  let open = $state('');
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

  const acceptLoss = (source: Source): Promise<void> =>
    act(async () => {
      awaited[source.key] = source.lastRound?.id ?? 0;
      await ask(api.PATCH('/sources/{key}', { params: { path: { key: source.key } }, body: { acceptsLoss: true } }));
    });

  const remove = (source: Source): Promise<void> =>
    act(async () => {
      const turn = (removed: 0 | 1) =>
        ask(api.DELETE('/sources/{key}', { params: { path: { key: source.key }, query: { removed } } }));
      const { entries, editions } = await turn(1);
      open = '';
      notices.say(
        `${source.name} is removed, and ${entries === 1 ? 'one entry' : `${entries} entries`} with it; ${editions === 0 ? 'no widget' : editions === 1 ? 'one widget' : `${editions} widgets`} changed. For a day it can be brought back.`,
        () => void act(() => turn(0)),
      );
    });

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
          ended: 'Access ended',
          kept: 'Kept here',
        }[source.state];
</script>

<Tabs />

{#if sources && sources.length > 0}
  {#if broken}<p role="alert" class="wrong">✕ {broken} What you see is as it was last.</p>{/if}
  <div class="scroll">
    <table class="sheet">
      <caption class="unseen">The site's sources</caption>
      <thead>
        <tr
          ><th scope="col">Source</th><th scope="col">State</th><th scope="col" class="number">Entries</th><th
            scope="col">Newest</th
          ><th scope="col">Last round</th><th scope="col">Next</th><th scope="col"
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
            <td>
              <span class="state" class:busy={source.key in awaited}>{stateOf(source)}</span>
              {#if source.lastRound?.outcome === 'running' && source.lastRound.received > 0}
                <span class="small quiet after">{source.lastRound.received} read so far</span>
              {/if}
              {#if source.reason}<span class="small reason">{source.reason}</span>{/if}
              {#if source.state === 'held'}<button class="plain link small" onclick={() => acceptLoss(source)}
                  >It is right: they are gone</button
                >{/if}
              {#if source.state === 'ended'}<a class="link small" href="/sources/add/{source.channel}"
                  >Grant access again</a
                >{/if}
            </td>
            <td class="number figures">{source.entries}</td>
            <td>{ago(source.newest, clock.now)}</td>
            <td
              >{since(
                source.lastRound?.finishedAt,
                clock.now,
              )}{#if source.lastRound && ['changed', 'unchanged'].includes(source.lastRound.outcome)}<span
                  class="small quiet after">{told(source.lastRound)}</span
                >{/if}</td
            >
            <td>{source.nextAt && source.state !== 'disconnected' ? ago(source.nextAt, clock.now) : ''}</td>
            <td class="acts">
              {#if source.state === 'disconnected'}
                <button class="plain link" onclick={() => connect(source, true)}>Connect again</button>
              {:else if !source.isAsked}
                <a class="link" href="/sources/add/{source.channel === 'hand' ? 'hand' : 'table'}"
                  >{source.channel === 'hand' ? 'Write another' : 'Hand over more'}</a
                >
              {:else}
                <button class="plain link" disabled={source.key in awaited} onclick={() => round(source)}
                  >Look now</button
                >
                <button class="plain link" onclick={() => connect(source, false)}>Disconnect</button>
              {/if}
            </td>
          </tr>
          {#if open === source.key}
            <tr id="details-{source.key}"
              ><td colspan="7"><Details {source} onchange={load} onremove={() => remove(source)} /></td></tr
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
    text="A source is one place where people speak of you: a listing in a directory, a feed of posts. Give its address, or look yourself up by name."
  >
    {#snippet step()}<Button size="sm" onclick={() => router.go('/sources/add')}>Add the first source</Button>{/snippet}
  </Situation>
{:else if broken}
  <Situation kind="broken" title="The sources cannot be shown" text={broken}>
    {#snippet step()}<button class="plain link" onclick={load}>Try again</button>{/snippet}
  </Situation>
{:else}
  <Situation kind="loading" title="Asking after the sources" />
{/if}

<style>
  .scroll {
    overflow-x: auto;
  }
  .number {
    text-align: right;
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
