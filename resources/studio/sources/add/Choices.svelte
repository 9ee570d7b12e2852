<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import type { Choice, NewSource } from '../../api/client';
  import State from './State.svelte';
  import { connectAll, Work } from './work.svelte';

  interface Props {
    legend: string;
    choices: Choice[];
    channel: NewSource['channel'];
    grant?: number;
  }
  let { legend, choices, channel, grant }: Props = $props();

  let ticked = $state<Record<string, boolean>>({});
  const work = new Work();
  const chosen = $derived(choices.filter(({ id }) => ticked[id]));
  const connect = (): Promise<unknown> =>
    work.during(() =>
      connectAll(chosen.map(({ id, name }) => ({ channel, address: id, name, home: null, grant: grant ?? null }))),
    );
</script>

<fieldset>
  <legend>{legend}</legend>
  {#each choices as choice (choice.id)}
    <label>
      <input type="checkbox" bind:checked={ticked[choice.id]} />
      <span><strong>{choice.name}</strong> <span class="quiet">{choice.detail}</span></span>
      {#if choice.connected}<em class="small quiet">already connected</em>{/if}
    </label>
  {/each}
</fieldset>
<Button disabled={work.busy || chosen.length === 0} onclick={connect}
  >{chosen.length === 1
    ? `Connect ${chosen[0]?.name}`
    : chosen.length > 1
      ? `Connect ${chosen.length}`
      : 'Connect'}</Button
>
<State {work} doing="Connecting…" />

<style>
  fieldset {
    margin: 14px 0;
  }
  legend {
    margin-bottom: 6px;
  }
  label {
    display: grid;
    grid-template-columns: auto 1fr auto;
    gap: 12px;
    align-items: baseline;
    padding: 9px 2px;
    border-top: 1px solid var(--line);
    cursor: pointer;
  }
  input {
    accent-color: var(--accent);
  }
</style>
