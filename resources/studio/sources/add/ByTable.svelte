<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import { onDestroy } from 'svelte';
  import { api, ask, type Import } from '../../api/client';
  import { notices } from '../../parts/notices.svelte';
  import { router } from '../../parts/router.svelte';
  import Columns from './Columns.svelte';
  import DryRun from './DryRun.svelte';
  import { sent } from './sending';
  import State from './State.svelte';
  import { Work } from './work.svelte';

  const work = new Work();
  let kind = $state<'entries' | 'subjects'>('entries');
  let files = $state<FileList>();
  let table = $state<Import>();
  let watch: ReturnType<typeof setTimeout> | undefined;
  onDestroy(() => clearTimeout(watch));

  const busy = $derived(table?.state === 'looking' || table?.state === 'importing');
  const id = new URLSearchParams(location.search).get('import');
  // An import goes on when the page is left; coming back shows how far it is.
  if (id)
    void work.during(async () => follow(await ask(api.GET('/imports/{id}', { params: { path: { id: Number(id) } } }))));

  function follow(now: Import): void {
    table = now;
    history.replaceState(null, '', `/sources/add/table?import=${now.id}`);
    if (now.state === 'looking' || now.state === 'importing')
      watch = setTimeout(() => {
        ask(api.GET('/imports/{id}', { params: { path: { id: now.id } } })).then(
          follow,
          (error) => (work.wrong = (error as Error).message),
        );
      }, 500);
    if (now.state === 'done') notices.say(`${now.name} is imported.`);
  }

  const hand = (): Promise<unknown> =>
    work.during(async () => follow(await sent<Import>('/imports', { kind, file: files?.[0] ?? null })));

  const correct = (columns: Record<string, number>, dates: Import['dates']): Promise<unknown> =>
    work.during(async () => {
      if (table)
        follow(
          await ask(
            api.PATCH('/imports/{id}', {
              params: { path: { id: table.id } },
              body: { columns, dates: dates as 'day first' | 'month first' | null },
            }),
          ),
        );
    });

  const apply = (): Promise<unknown> =>
    work.during(async () => {
      if (table) follow(await ask(api.POST('/imports/{id}/applied', { params: { path: { id: table.id } } })));
    });

  function again(): void {
    table = undefined;
    files = undefined;
    history.replaceState(null, '', '/sources/add/table');
  }
</script>

{#if !table}
  <form onsubmit={(event) => (event.preventDefault(), hand())}>
    <fieldset>
      <legend>What does it hold?</legend>
      <label
        ><input type="radio" name="kind" value="entries" bind:group={kind} /> Past entries: who said what, when, with which
        rating</label
      >
      <label
        ><input type="radio" name="kind" value="subjects" bind:group={kind} /> Subjects, with their addresses on each channel</label
      >
    </fieldset>
    <label for="table-file">CSV, TSV, XLSX, ODS or JSON Lines, up to 10 MB</label>
    <div class="row">
      <input
        id="table-file"
        type="file"
        required
        accept=".csv,.tsv,.txt,.xlsx,.ods,.jsonl,.ndjson,text/csv,application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"
        bind:files
      />
      <Button type="submit" disabled={work.busy || !files?.length}>Look at it</Button>
    </div>
    <p class="small quiet">
      Nothing is imported before you have seen what each row would do. A table to fill in:
      <a class="link" href="/api/templates/{kind}.csv" download>as CSV</a>,
      <a class="link" href="/api/templates/{kind}.xlsx" download>as a workbook</a>.
    </p>
  </form>
  <State {work} doing="Handing it over…" />
{:else}
  <p class="name">
    <strong>{table.name}</strong> <button class="plain link small" onclick={again}>Take another file</button>
  </p>
  {#if busy}
    <div role="status">
      <label for="progress"
        >{table.state === 'looking' ? 'Looking at it' : 'Importing; you can leave this page'}, {table.done} of {table.total ||
          '?'} rows</label
      >
      <progress id="progress" max={table.total || 1} value={table.done}></progress>
    </div>
  {/if}
  {#if table.reason}<p class={table.state === 'failed' ? 'wrong' : 'attention'} role="alert">
      {table.state === 'failed' ? '✕ ' : ''}{table.reason}
    </p>{/if}
  {#if table.state === 'ready' || table.state === 'asking'}
    {#if table.header.length > 0}<Columns {table} disabled={work.busy} onchange={correct} />{/if}
    <DryRun {table} />
    {#if table.state === 'ready' && table.counts}
      <p class="acts">
        <Button disabled={work.busy || table.counts.new + table.counts.changed === 0} onclick={apply}
          >{table.counts.new + table.counts.changed === 0
            ? 'Nothing new to import'
            : `Import ${table.counts.new + table.counts.changed} ${table.counts.new + table.counts.changed === 1 ? 'row' : 'rows'}`}</Button
        >
      </p>
    {/if}
  {:else if table.state === 'done' && table.counts}
    <p>
      {table.counts.new} new and {table.counts.changed} changed are in; {table.counts.same} were there already{table
        .counts.wrong > 0
        ? `; ${table.counts.wrong} could not be taken`
        : ''}.
    </p>
    <p class="acts">
      <Button onclick={() => router.go(table?.kind === 'subjects' ? '/sources/subjects' : '/entries')}
        >{table.kind === 'subjects' ? 'See the subjects' : 'See the entries'}</Button
      >
    </p>
  {/if}
  <State {work} />
{/if}

<style>
  form,
  fieldset,
  [role='status'] {
    display: grid;
    gap: 8px;
  }
  legend {
    margin-bottom: 4px;
  }
  fieldset input {
    accent-color: var(--accent);
    margin-right: 6px;
  }
  .row {
    display: flex;
    gap: 12px;
    align-items: center;
  }
  .name {
    margin-bottom: 12px;
  }
  progress {
    width: 100%;
    height: 8px;
    accent-color: var(--accent);
  }
  .acts {
    margin-top: 14px;
  }
  .wrong {
    color: var(--harm);
  }
  .attention {
    color: var(--attention);
  }
</style>
