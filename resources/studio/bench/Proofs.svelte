<script lang="ts">
  import type { Proof } from '../api/client';
  import { WIDTHS, type Bench } from './bench.svelte';
  import Frame from './Frame.svelte';

  let { bench, proof, name }: { bench: Bench; proof: Proof; name: string } = $props();

  const GAP = 20;
  /** Widths that the page can be drawn to, in CSS pixels. */
  const [NARROWEST, WIDEST] = [240, 1600];
  let room = $state(0);

  /** Pixels below which three pages side by side are too small to read. */
  const ROOMY = 620;
  const narrow = $derived(room > 0 && room < ROOMY);
  const only = $derived(bench.width ?? (narrow ? WIDTHS[0] : null));
  /** What stands at a width; of one that was not asked yet, what stands at the nearest. */
  const at = (width: number): Proof['across'][number] | undefined =>
    proof.across.find((one) => one.width === width) ??
    [...proof.across].sort((one, other) => Math.abs(one.width - width) - Math.abs(other.width - width))[0];
  const shown = $derived(only === null ? [...WIDTHS] : [only]);
  const sum = $derived(shown.reduce((total, width) => total + width, 0));
  const scale = $derived(Math.max(0.1, Math.min(1, (room - GAP * (shown.length - 1)) / sum)));
  const count = (number: number, one: string): string => `${number} ${one}${number === 1 ? '' : 's'}`;

  let from: { x: number; width: number } | null = null;
  function drag(event: PointerEvent): void {
    if (!from) return;
    // A pixel of the pointer is one of the page, be the page drawn smaller or not.
    const width = from.width + (event.clientX - from.x) / scale;
    bench.look(Math.round(Math.max(NARROWEST, Math.min(WIDEST, width))));
  }
</script>

<div class="widths" role="group" aria-label="Width of the page">
  {#if !narrow}
    <button class="plain link" aria-pressed={only === null} onclick={() => bench.look(null)}>Three side by side</button>
  {/if}
  {#each WIDTHS as width (width)}
    <button class="plain link" aria-pressed={width === only} onclick={() => bench.look(width)}>{width}</button>
  {/each}
  {#if only !== null}
    <input
      type="range"
      aria-label="Any width, in pixels"
      min={NARROWEST}
      max={WIDEST}
      step="10"
      value={only}
      oninput={(event) => bench.look(event.currentTarget.valueAsNumber)}
    />
  {/if}
</div>
<div class="proofs" bind:clientWidth={room} style:gap="{GAP}px">
  {#each shown as width (only === null ? width : 'one')}
    {@const stands = at(width)}
    <figure style:width="{width * scale}px">
      <figcaption>
        <strong>{width}</strong>
        {#if stands}
          <span class="quiet" class:whole={only !== null}
            >{count(stands.cards, 'card')}{#if stands.cards > 1}, {stands.across} across{/if}{#if only !== null},
              {count(stands.rows, 'row')}, {stands.height} high{#if stands.why}. {stands.why}{/if}{/if}</span
          >
        {/if}
      </figcaption>
      <div class="page">
        <Frame {bench} {width} {scale} {name} fragment={proof.fragment} nothing={proof.isNothing} />
        {#if only !== null}
          <!-- The slider above is the way of the keys. -->
          <span
            class="edge"
            aria-hidden="true"
            onpointerdown={(event) => {
              from = { x: event.clientX, width };
              event.currentTarget.setPointerCapture(event.pointerId);
            }}
            onpointermove={drag}
            onpointerup={() => (from = null)}
          ></span>
        {/if}
      </div>
    </figure>
  {/each}
</div>

<style>
  .proofs {
    display: flex;
    align-items: flex-start;
    margin-top: 6px;
  }
  .widths {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 2px 18px;
    margin-top: 10px;
    font-size: 13px;
  }
  .widths button {
    min-height: 28px;
  }
  .widths button[aria-pressed='true'] {
    font-weight: 600;
    color: var(--ink);
    text-decoration: none;
  }
  .widths input {
    flex: 0 1 220px;
    min-width: 100px;
    accent-color: var(--accent);
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
  figcaption:has(.whole) {
    justify-content: start;
    white-space: normal;
  }
  strong {
    color: var(--ink);
    font-weight: 600;
  }
  .page {
    position: relative;
  }
  .edge {
    position: absolute;
    inset: 0 -14px 0 auto;
    width: 16px;
    cursor: ew-resize;
    touch-action: none;
    background: linear-gradient(var(--line), var(--line)) center / 3px 40px no-repeat;
  }
  .edge:hover {
    background-image: linear-gradient(var(--accent), var(--accent));
  }
</style>
