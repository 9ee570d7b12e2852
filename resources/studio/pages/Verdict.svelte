<script lang="ts">
  import type { Told } from './pages.svelte';

  let { told }: { told: Pick<Told, 'label' | 'shows' | 'verdict'> } = $props();
  const glyph = $derived(told.verdict === 'right' ? '✓' : told.shows ? '▲' : '✕');
</script>

<span class="verdict" data-tone={told.verdict === 'right' ? 'good' : told.shows ? 'attention' : 'harm'}
  ><span aria-hidden="true">{glyph}</span> {told.label}</span
>

<style>
  .verdict {
    white-space: nowrap;
    font-weight: 600;
  }
  [data-tone='good'] {
    color: var(--accent);
  }
  [data-tone='attention'] {
    color: var(--attention);
  }
  [data-tone='harm'] {
    color: var(--harm);
  }
</style>
