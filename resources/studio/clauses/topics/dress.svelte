<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import type { Bench } from '../../bench/bench.svelte';

  let { holder: bench, brief }: { holder: Bench; brief: WholeBrief } = $props();
</script>

<div class="row" role="group" aria-label="Look">
  {#each bench.offered?.looks ?? [] as { key, name, about, tokens } (key)}
    <button
      class="plain"
      aria-pressed={brief.dress.name === key}
      onclick={() => bench.change((changed) => (changed.dress.name = key))}
    >
      <svg width="120" height="56" viewBox="0 0 120 56" aria-hidden="true">
        <rect x=".5" y=".5" width="119" height="55" fill={tokens.ground} stroke="var(--line)" />
        <path d="M12 16l5-5 5 5-5 5zM26 16l5-5 5 5-5 5z" fill={tokens.glyph} />
        <path d="M12 31h84M12 40h60" stroke={tokens.ink} stroke-width="2.5" />
        <path d="M12 48h36" stroke={tokens.quiet} stroke-width="1.5" />
      </svg>
      <strong>{name}</strong> <span class="small quiet">{about}</span>
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
