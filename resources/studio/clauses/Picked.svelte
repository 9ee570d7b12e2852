<script lang="ts">
  import { api, ask, type StoredEntry, type WholeBrief } from '../api/client';
  import type { Bench } from '../bench/bench.svelte';

  let { bench, id }: { bench: Bench; id: string } = $props();
  let row = $state<StoredEntry | null>();

  // An entry picked by hand tells itself by a sieve of it alone: pinned, it passes every rule.
  $effect(() => {
    const brief = { version: 2, sift: { pins: [id], limit: 1 } } as WholeBrief;
    ask(api.POST('/sieve', { body: { brief, step: 'shown', kept: true } })).then(
      (page) => (row = page.entries.find((one) => one.entry.id === id) ?? null),
      () => (row = null),
    );
  });
  const name = $derived(bench.sources.find((source) => source.key === row?.entry.source)?.name);
</script>

<span class="picked">
  {#if row}<bdi><strong>{row.entry.author.name ?? 'Anonymous'}</strong></bdi>
    <span class="quiet" dir="auto">{row.entry.title ?? row.entry.text.slice(0, 60)}</span>
    {#if name}<span class="small quiet">{name}</span>{/if}
  {:else if row === null}<span class="quiet">An entry that no longer exists.</span>
  {:else}<span class="quiet">…</span>{/if}
</span>

<style>
  .picked {
    flex: 1;
    min-width: 0;
    overflow: hidden;
    white-space: nowrap;
    text-overflow: ellipsis;
  }
</style>
