<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import { api, ask, type NewSource, type Subjects } from '../../api/client';
  import { notices } from '../../parts/notices.svelte';
  import { router } from '../../parts/router.svelte';
  import { Refreshed } from '../../parts/refreshed.svelte';
  import Situation from '../../parts/Situation.svelte';
  import Tabs from '../Tabs.svelte';

  const screen = new Refreshed(() => ask(api.GET('/subjects')), 3000);
  const table = $derived(screen.value);
  let name = $state('');
  /** The cell in which an address is being written. */
  let writing = $state('');
  let address = $state('');
  /** The subject of which the day is being written on which it reopened. */
  let dating = $state('');

  type Subject = Subjects['subjects'][number];
  type Cell = Subject['cells'][number]['addresses'][number];
  const states: Record<string, string> = {
    well: 'healthy',
    waiting: 'waiting',
    running: 'being checked',
    held: 'paused',
    failed: 'failed',
    disconnected: 'disconnected',
    ended: 'needs permission',
    known: 'not connected',
  };
  /** Channels that need no more than an address; the others lead to their way in. */
  const isDirect = (channel: string): boolean => ['wayleaf', 'page', 'feed'].includes(channel);

  const cellOf = (subject: Subject, channel: string): Cell[] =>
    subject.cells.find((cell) => cell.channel === channel)?.addresses ?? [];

  const reopen = (key: string, day: string | null, before: string | null): Promise<void> =>
    screen.act(async () => {
      await ask(api.PATCH('/subjects/{key}', { params: { path: { key } }, body: { reopenedOn: day } }));
      notices.say('Saved. Widgets that show only what came since then follow.', () => void reopen(key, before, day));
    });

  const add = (): Promise<void> =>
    screen.act(async () => {
      await ask(api.POST('/subjects', { body: { name } }));
      name = '';
    });

  const keep = (subject: Subject, channel: string): Promise<void> =>
    screen.act(async () => {
      await ask(
        api.PUT('/subjects/{key}/addresses', {
          params: { path: { key: subject.key } },
          body: { channel, address, keep: true },
        }),
      );
      writing = address = '';
    });

  function connect(subject: Subject, channel: string, cell: Cell): void {
    if (!isDirect(channel)) return router.go(`/sources/add/${channel}`);
    void screen.act(async () => {
      await ask(
        api.POST('/sources', {
          body: {
            channel: channel as NewSource['channel'],
            address: cell.address,
            name: subject.name,
            home: null,
            subject: subject.name,
          },
        }),
      );
      notices.say(`${subject.name} is connected; its entries are on their way.`);
    });
  }
</script>

<Tabs />
{#if table}
  <div class="scroll">
    <table class="sheet">
      <caption class="unseen">Subjects by channels: what is connected, what is missing</caption>
      <thead>
        <tr
          ><th scope="col">Subject</th>{#each table.channels as channel (channel.key)}<th scope="col">{channel.name}</th
            >{/each}</tr
        >
      </thead>
      <tbody>
        {#each table.subjects as subject (subject.key)}
          <tr>
            <th scope="row"
              ><strong>{subject.name}</strong><span class="small quiet"
                >{[
                  subject.kind,
                  subject.entries === 1 ? 'one entry' : subject.entries > 0 ? `${subject.entries} entries` : '',
                ]
                  .filter(Boolean)
                  .join(', ')}</span
              >{#if subject.reopenedOn || dating === subject.key}<label class="small quiet reopened"
                  >reopened on <input
                    class="field"
                    type="date"
                    value={subject.reopenedOn ?? ''}
                    onchange={(event) => reopen(subject.key, event.currentTarget.value || null, subject.reopenedOn)}
                  /></label
                >{:else}<button class="plain link small reopen" onclick={() => (dating = subject.key)}>Reopened…</button
                >{/if}</th
            >
            {#each table.channels as channel (channel.key)}
              {@const cells = cellOf(subject, channel.key)}
              {@const here = `${subject.key} ${channel.key}`}
              <td class:missing={cells.length === 0}>
                {#each cells as cell (cell.address)}
                  <div class="cell" data-state={cell.state}>
                    {#if cell.source}
                      <strong class="figures">{cell.entries}</strong>
                      <span class="state">{states[cell.state] ?? cell.state}</span>
                    {:else}
                      <button class="plain link" onclick={() => connect(subject, channel.key, cell)}
                        >Connect<span class="unseen"> {subject.name} on {channel.name}</span></button
                      >
                    {/if}
                    <span class="small quiet address" title={cell.address}
                      >{cell.address.replace(/^https?:\/\/[^/]+/, '')}</span
                    >
                  </div>
                {/each}
                {#if writing === here}
                  <form onsubmit={(event) => (event.preventDefault(), keep(subject, channel.key))}>
                    <!-- svelte-ignore a11y_autofocus -->
                    <input
                      class="field"
                      autofocus
                      required
                      aria-label="Address of {subject.name} on {channel.name}"
                      bind:value={address}
                      onkeydown={(event) => event.key === 'Escape' && (writing = '')}
                    />
                    <button class="plain link small">Save</button>
                  </form>
                {:else if cells.length === 0}
                  <button
                    class="plain dash"
                    aria-label="Add the address of {subject.name} on {channel.name}"
                    onclick={() => ((writing = here), (address = ''))}>–</button
                  >
                {/if}
              </td>
            {/each}
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
  {#if table.subjects.length === 0}
    <Situation
      kind="empty"
      title="No subjects yet"
      text="A subject is what reviews are about: a venue, a product, a service. Add one here, or import a table of many."
    />
  {/if}
  <form class="new" onsubmit={(event) => (event.preventDefault(), add())}>
    <label>New subject <input class="field" required maxlength="100" bind:value={name} /></label>
    <Button type="submit" size="sm">Add</Button>
    <a class="link" href="/sources/add/table">Import a table</a>
  </form>
{:else if screen.broken}
  <Situation kind="broken" title="The subjects cannot be loaded" text={screen.broken}>
    {#snippet step()}<button class="plain link" onclick={() => screen.load()}>Try again</button>{/snippet}
  </Situation>
{:else}
  <Situation kind="loading" title="Loading the subjects" />
{/if}

<style>
  .reopened {
    display: flex;
    align-items: center;
    gap: 6px;
    margin-top: 4px;
    white-space: nowrap;
  }
  .reopen {
    display: block;
  }
  .reopened input {
    min-height: 26px;
    padding: 0 6px;
    width: 132px;
    font-size: 13px;
  }
  th,
  td {
    border-left: 1px solid var(--line);
    min-width: 108px;
  }
  .address {
    max-width: 150px;
  }
  .scroll {
    overflow-x: auto;
  }
  .missing {
    background: var(--ground);
  }
  .dash {
    color: var(--quiet);
    width: 100%;
    min-height: 24px;
  }
  td form {
    display: flex;
    gap: 6px;
  }
  td .field {
    width: 120px;
    min-height: 28px;
    padding: 2px 6px;
  }
  .new {
    display: flex;
    flex-wrap: wrap;
    gap: 14px;
    align-items: end;
    margin-top: 18px;
  }
  .new label {
    display: grid;
    gap: 2px;
  }
  .new a {
    margin: 0 0 8px 12px;
  }
</style>
