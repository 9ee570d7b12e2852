<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ask, type StoredEntry, type WholeBrief } from '../api/client';
  import EntryRow from '../entries/EntryRow.svelte';
  import Situation from '../parts/Situation.svelte';
  import type { Bench } from './bench.svelte';

  interface Props {
    bench: Bench;
    step: string;
    /** Those that the step left, or those that it kept out. */
    kept: boolean;
    onclose: () => void;
    onturn: (kept: boolean) => void;
  }
  let { bench, step, kept, onclose, onturn }: Props = $props();

  let rows = $state<(StoredEntry & { reason: string })[]>();
  let next = $state<number | null>(null);
  let looser = $state<{ text: string; brief: Record<string, unknown> }[]>([]);
  let broken = $state('');
  let panel = $state<HTMLElement>();

  const account = $derived(bench.proof?.sieve.find((one) => one.key === step));
  const names = $derived(Object.fromEntries(bench.sources.map((source) => [source.key, source.name])));

  onMount(() => {
    const from = document.activeElement as HTMLElement | null;
    panel?.focus();
    return () => from?.focus();
  });

  $effect(() => {
    void load(step, kept, bench.proof?.brief as WholeBrief | undefined);
  });

  async function load(of: string, side: boolean, brief: WholeBrief | undefined, from = 0): Promise<void> {
    if (!brief) return;
    try {
      const page = await ask(api.POST('/sieve', { body: { brief, step: of, kept: side, from } }));
      rows = from === 0 ? page.entries : [...(rows ?? []), ...page.entries];
      next = page.next;
      looser = page.looser;
      broken = '';
    } catch (error) {
      broken = (error as Error).message;
    }
  }
</script>

<!-- Wherever the focus is: what it stood on may have left the list. -->
<svelte:window onkeydown={(event) => event.key === 'Escape' && onclose()} />

<div class="behind" role="dialog" tabindex="-1" aria-label="Entries behind the number" bind:this={panel}>
  <header>
    <h2>{account?.phrase ?? step}</h2>
    <button class="plain side" aria-pressed={kept} onclick={() => onturn(true)}
      >{account?.kept ?? 0} {step === 'shown' ? 'shown' : 'kept'}</button
    >
    {#if (account?.dropped ?? 0) > 0}
      <button class="plain side" aria-pressed={!kept} onclick={() => onturn(false)}
        >{account?.dropped} {step === 'shown' ? 'more' : 'left out'}</button
      >
    {/if}
    <button class="plain link close" onclick={onclose}>Close</button>
    {#if looser.length > 0}
      <p class="looser small">
        {#if account?.alone != null && account.dropped > 0}
          <span class="quiet"
            >Without this condition {account.alone} more would pass, {account.more === 0 ? 'none' : account.more} of them
            shown at once.</span
          >
        {/if}
        {#each looser as one (one.text)}
          <button class="field" onclick={() => bench.take(one.brief as WholeBrief)}>{one.text}</button>
        {/each}
      </p>
    {/if}
  </header>
  <div class="list">
    {#if broken}
      <Situation kind="broken" title="These entries cannot be loaded" text={broken} />
    {:else if !rows}
      <Situation kind="loading" title="Loading the entries" />
    {:else if rows.length === 0}
      <Situation
        kind="empty"
        title="None"
        text={kept ? 'Nothing is left at this step.' : 'Nothing is left out at this step.'}
      />
    {:else}
      <ol>
        {#each rows as row (row.entry.id)}
          {@const id = row.entry.id}
          <EntryRow {row} source={names[row.entry.source ?? ''] ?? ''} reason={row.reason}>
            {#snippet acts()}
              <button class="plain link" onclick={() => bench.pin(id)}
                >{bench.brief?.sift.pins.includes(id) ? 'Unpin' : 'Pin first'}</button
              >
              <button class="plain link" onclick={() => bench.hide(id)}
                >{bench.brief?.sift.hidden.includes(id) ? 'Show again here' : 'Hide here'}</button
              >
              {#if bench.brief?.shape.click === 'address'}
                <input
                  class="field"
                  type="url"
                  aria-label="Where a click on it leads"
                  placeholder="https:// for this one"
                  value={bench.brief.shape.addresses.find((one) => one.id === id)?.url ?? ''}
                  onchange={(event) =>
                    event.currentTarget.reportValidity() && bench.lead(id, event.currentTarget.value.trim())}
                />
              {/if}
            {/snippet}
          </EntryRow>
        {/each}
      </ol>
      {#if next !== null}<button
          class="plain link more"
          onclick={() => load(step, kept, bench.proof?.brief as WholeBrief, next ?? 0)}>Show more</button
        >{/if}
    {/if}
  </div>
</div>

<style>
  .behind {
    position: absolute;
    bottom: 100%;
    left: 0;
    right: 0;
    height: min(420px, 60vh);
    display: grid;
    grid-template-rows: auto minmax(0, 1fr);
    background: var(--surface);
    border-top: 1px solid var(--line);
    box-shadow: 0 -12px 32px var(--shade);
    outline: 0;
    z-index: 5;
  }
  header {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 4px 20px;
    padding: 10px 28px 8px;
    white-space: nowrap;
    border-bottom: 1px solid var(--line);
  }
  .side {
    color: var(--quiet);
    min-height: 28px;
  }
  .side[aria-pressed='true'] {
    color: var(--accent);
    font-weight: 600;
    border-bottom: 2px solid var(--accent);
  }
  .close {
    margin-left: auto;
  }
  .looser {
    flex-basis: 100%;
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 6px;
  }
  .looser span {
    margin-right: 10px;
  }
  .looser button {
    min-height: 28px;
    padding: 2px 10px;
    cursor: pointer;
  }
  .list {
    overflow-y: auto;
    padding: 0 28px;
  }
  .more {
    margin: 12px 0;
  }
  @media (max-width: 760px) {
    header,
    .list {
      padding-inline: 16px;
    }
  }
</style>
