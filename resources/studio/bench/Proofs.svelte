<script lang="ts">
  import type { Proof } from '../api/client';
  import Frame from './Frame.svelte';

  interface Props {
    proof: Proof;
    name: string;
    onheight: (width: number, height: number) => void;
  }
  let { proof, name, onheight }: Props = $props();

  const GAP = 20;
  let room = $state(0);
  /** The one width that is looked at closely; null: all side by side. */
  let close = $state<number | null>(null);

  /** Pixels below which three pages side by side are too small to read. */
  const ROOMY = 620;
  const narrow = $derived(room > 0 && room < ROOMY);
  const only = $derived(close ?? (narrow ? (proof.across[0]?.width ?? null) : null));
  const shown = $derived(proof.across.filter(({ width }) => only === null || width === only));
  const sum = $derived(shown.reduce((total, { width }) => total + width, 0));
  const scale = $derived(Math.max(0.1, Math.min(1, (room - GAP * (shown.length - 1)) / sum)));
</script>

{#if narrow}
  <p class="widths" role="group" aria-label="Width of the page">
    {#each proof.across as { width } (width)}
      <button class="plain link" aria-pressed={width === only} onclick={() => (close = width)}>{width}</button>
    {/each}
  </p>
{/if}
<div class="proofs" bind:clientWidth={room} style:gap="{GAP}px">
  {#each shown as { width, across, cards } (width)}
    <figure style:width="{width * scale}px">
      <figcaption>
        {#if narrow}<strong>{width}</strong>{:else}<button
            class="plain"
            aria-pressed={close === width}
            title={close === width ? 'All widths' : 'Look closer'}
            onclick={() => (close = close === width ? null : width)}
            ><strong>{width}</strong> {close === width ? 'all' : 'closer'}</button
          >{/if}
        <span class="quiet">{cards}, {across} across</span>
      </figcaption>
      <Frame {width} {scale} {name} fragment={proof.fragment} onheight={(height) => onheight(width, height)} />
    </figure>
  {/each}
</div>

<style>
  .proofs {
    display: flex;
    align-items: flex-start;
    margin-top: 14px;
  }
  .widths {
    display: flex;
    gap: 20px;
    margin-top: 12px;
  }
  .widths button[aria-pressed='true'] {
    font-weight: 600;
    color: var(--ink);
  }
  figcaption {
    display: flex;
    justify-content: space-between;
    align-items: baseline;
    gap: 8px;
    font-size: 13px;
    margin-bottom: 4px;
    white-space: nowrap;
    overflow: hidden;
  }
  figcaption button {
    color: var(--quiet);
    min-height: 24px;
  }
  figcaption button:hover {
    color: var(--accent);
  }
  strong {
    color: var(--ink);
    font-weight: 600;
  }
</style>
