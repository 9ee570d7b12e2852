<script lang="ts">
  import type { Import } from '../../api/client';
  import Button from 'flowbite-svelte/Button.svelte';

  interface Props {
    table: Import;
    disabled: boolean;
    onchange: (columns: Record<string, number>, dates: Import['dates']) => void;
  }
  let { table, disabled, onchange }: Props = $props();

  const held = $derived(Object.fromEntries(Object.entries(table.columns).map(([name, index]) => [index, name])));
  const asksDates = $derived(table.asks === 'dates' || table.dates !== null);

  function turn(index: number, name: string): void {
    const columns = Object.fromEntries(
      Object.entries(table.columns).filter(([known, at]) => at !== index && known !== name),
    );
    if (name) columns[name] = index;
    onchange(columns, table.dates);
  }
</script>

<div class="scroll">
  <table>
    <caption
      >Which column is which? {#if table.asks !== 'columns'}<span class="small quiet"
          >Gnomic remembers this for tables with the same first row.</span
        >{/if}</caption
    >
    <tbody>
      {#each table.header as column, index (index)}
        <tr>
          <th scope="row">{column.name || `Column ${index + 1}`}</th>
          <td>
            <select
              class="field"
              aria-label="What {column.name} holds"
              {disabled}
              value={held[index] ?? ''}
              onchange={(event) => turn(index, event.currentTarget.value)}
            >
              <option value="">not used</option>
              {#each table.known as name (name)}<option value={name}>{name}</option>{/each}
            </select>
          </td>
          <td class="quiet small sample">{column.sample.join(' · ')}</td>
        </tr>
      {/each}
    </tbody>
  </table>
</div>
{#if table.asks === 'columns'}
  <p class="right">
    <Button {disabled} onclick={() => onchange(table.columns, table.dates)}>These columns are right</Button>
  </p>
{/if}
{#if asksDates}
  <fieldset>
    <legend>Numeric dates are</legend>
    {#each ['day first', 'month first'] as order (order)}
      <label
        ><input
          type="radio"
          name="dates"
          {disabled}
          checked={table.dates === order}
          onchange={() => onchange(table.columns, order as Import['dates'])}
        />
        {order === 'day first' ? 'day first, 31/12/2026' : 'month first, 12/31/2026'}</label
      >
    {/each}
  </fieldset>
{/if}

<style>
  .scroll {
    max-height: 230px;
    overflow: auto;
    border-block: 1px solid var(--line);
    margin-top: 10px;
  }
  table {
    width: 100%;
    border-collapse: collapse;
  }
  caption {
    text-align: left;
    padding: 6px 0;
  }
  th {
    text-align: left;
    font-weight: 500;
    padding-right: 12px;
  }
  td,
  th {
    padding-block: 2px;
  }
  td .field {
    min-height: 30px;
    padding: 2px 28px 2px 8px;
  }
  .sample {
    max-width: 380px;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    padding-left: 12px;
  }
  .right {
    margin-block: 12px 16px;
  }
  fieldset {
    display: flex;
    gap: 20px;
    margin-top: 10px;
  }
  legend {
    float: left;
    margin-right: 14px;
  }
  input {
    accent-color: var(--accent);
  }
</style>
