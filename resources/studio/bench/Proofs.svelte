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

  const shown = $derived(proof.across.filter(({ width }) => close === null || width === close));
  const sum = $derived(shown.reduce((total, { width }) => total + width, 0));
  const scale = $derived(Math.max(0.1, Math.min(1, (room - GAP * (shown.length - 1)) / sum)));
</script>

<div class="proofs" bind:clientWidth={room} style:gap="{GAP}px">
  {#each shown as { width, across, cards } (width)}
    <figure style:width="{width * scale}px">
      <figcaption>
        <button
          class="plain"
          aria-pressed={close === width}
          title={close === width ? 'All widths' : 'Look closer'}
          onclick={() => (close = close === width ? null : width)}
          ><strong>{width}</strong> {close === width ? 'all' : 'closer'}</button
        >
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
  figcaption {
    display: flex;
    justify-content: space-between;
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
