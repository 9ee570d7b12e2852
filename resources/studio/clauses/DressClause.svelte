<script lang="ts">
  import type { WholeBrief } from '../api/client';
  import type { Bench } from '../bench/bench.svelte';

  let { bench, brief }: { bench: Bench; brief: WholeBrief } = $props();

  const dressings = [
    ['paper', 'Paper', 'Dark ink on white', '#ffffff', '#1d2333'],
    ['night-ink', 'Night ink', 'Light ink on a night sky', '#161b2c', '#eceef5'],
  ] as const;
</script>

<div class="row" role="group" aria-label="Dressing">
  {#each dressings as [dressing, name, what, ground, ink] (dressing)}
    <button
      class="plain"
      aria-pressed={brief.dress.name === dressing}
      onclick={() => bench.change((changed) => (changed.dress.name = dressing))}
    >
      <svg width="120" height="56" viewBox="0 0 120 56" aria-hidden="true">
        <rect x=".5" y=".5" width="119" height="55" fill={ground} stroke="var(--line)" />
        <path d="M12 16l5-5 5 5-5 5zM26 16l5-5 5 5-5 5z" fill={ink} />
        <path d="M12 31h84M12 40h60" stroke={ink} stroke-width="2.500" />
      </svg>
      <strong>{name}</strong> <span class="small quiet">{what}</span>
    </button>
  {/each}
</div>

<style>
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 16px;
  }
  button {
    display: grid;
    padding: 8px;
    border: 1px solid transparent;
    border-radius: 3px;
  }
  button[aria-pressed='true'] {
    border-color: var(--accent);
    box-shadow: inset 0 -3px 0 var(--accent);
  }
  strong {
    font-weight: 600;
    margin-top: 4px;
  }
</style>
