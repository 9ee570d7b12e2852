<script lang="ts">
  import { api, ask, type Import, type Rows } from '../../api/client';
  import { notices } from '../../parts/notices.svelte';
  import { date } from '../../parts/times';

  let { table }: { table: Import } = $props();

  type What = 'new' | 'changed' | 'same' | 'wrong';
  const words: Record<What, string> = { new: 'new', changed: 'changed', same: 'already there', wrong: 'wrong' };
  let what = $state<What>();
  let rows = $state<Rows['rows']>([]);
  let next = $state<number | null>(null);

  // Looked at again, the table has other rows.
  $effect(() => {
    void table;
    void load(what, 0);
  });

  async function load(only: What | undefined, from: number): Promise<void> {
    try {
      const query = { what: only, from };
      const page = await ask(api.GET('/imports/{id}/rows', { params: { path: { id: table.id }, query } }));
      rows = from === 0 ? page.rows : [...rows, ...page.rows];
      next = page.next;
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

{#if table.counts}
  {@const counts = table.counts}
  <div class="counts" role="group" aria-label="What the rows would do">
    {#each ['new', 'changed', 'same', 'wrong'] as const as one (one)}
      <button
        class="plain"
        aria-pressed={what === one}
        data-what={one}
        onclick={() => (what = what === one ? undefined : one)}
        ><strong class="figures">{counts[one]}</strong>
        {words[one]}</button
      >
    {/each}
    {#if counts.wrong > 0}<a class="link small" href="/api/imports/{table.id}/wrong.csv" download
        >Download the wrong rows, with the reasons</a
      >{/if}
  </div>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="scroll" tabindex="0" role="region" aria-label="Rows">
    <table>
      <caption class="unseen">The rows of the table and what each would do</caption>
      <thead><tr><th scope="col">Row</th><th scope="col">Result</th><th scope="col">Content</th></tr></thead>
      <tbody>
        {#each rows as row (row.number)}
          <tr data-what={row.what}>
            <th scope="row" class="figures">{row.number}</th>
            <td class="what">{words[row.what]}</td>
            <td>
              {#if row.entry}
                {@const entry = row.entry}
                <span dir="auto"
                  ><strong>{entry.author.name ?? 'Somebody'}</strong>{#if entry.rating}, {entry.rating.value} of {entry
                      .rating.best}{/if}{#if entry.published}, {date(entry.published)}{/if}{#if entry.source}, at {entry.source}{/if}:
                  {(entry.title ? `${entry.title}. ` : '') + entry.text.slice(0, 110)}</span
                >
              {:else if row.subject}
                <strong>{row.subject.name || 'No name'}</strong>
                {Object.entries(row.subject.addresses)
                  .map(([channel, address]) => `${channel}: ${address}`)
                  .join(', ')}
              {/if}
              {#each row.notes as note (note)}<span class="note">{note}</span>{/each}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
    {#if next !== null}<button class="plain link more" onclick={() => load(what, next ?? 0)}>Show more rows</button
      >{/if}
  </div>
{/if}

<style>
  .counts {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 26px;
    align-items: baseline;
    margin: 14px 0 8px;
  }
  .counts button {
    padding-bottom: 3px;
    border-bottom: 3px solid transparent;
  }
  .counts strong {
    font-size: 18px;
  }
  .counts button[aria-pressed='true'] {
    border-image: linear-gradient(to right, var(--accent) 40%, transparent) 1;
  }
  .counts [data-what='wrong'] strong {
    color: var(--harm);
  }
  .scroll {
    max-height: 300px;
    overflow: auto;
    border: 1px solid var(--line);
    background: var(--surface);
  }
  table {
    width: 100%;
    border-collapse: collapse;
    font-size: 13px;
  }
  th,
  td {
    text-align: left;
    vertical-align: top;
    padding: 5px 10px;
    border-bottom: 1px solid var(--line);
    font-weight: 400;
  }
  thead th {
    position: sticky;
    top: 0;
    background: var(--surface);
    color: var(--quiet);
  }
  .what {
    white-space: nowrap;
  }
  [data-what='new'] .what {
    color: var(--accent);
    font-weight: 600;
  }
  [data-what='changed'] .what {
    color: var(--attention);
    font-weight: 600;
  }
  [data-what='wrong'] .what {
    color: var(--harm);
    font-weight: 600;
  }
  .note {
    display: block;
    color: var(--harm);
  }
  tr:not([data-what='wrong']) .note {
    color: var(--attention);
  }
  .more {
    padding: 8px 10px;
  }
</style>
