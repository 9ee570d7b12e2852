<script lang="ts">
  import Choice from '../../../studio/clauses/Choice.svelte';
  import type { LayoutSettings, SettingsProps } from '../../../studio/layouts';

  let { layout, onchange }: SettingsProps = $props();
  type Carousel = Extract<LayoutSettings, { name: 'carousel' }>;
  const carousel = $derived(layout as Carousel);
  const change = (changed: Partial<Carousel>): void => onchange({ ...carousel, ...changed });
</script>

<label for="across">Cards side by side, where there is room</label>
<div class="across">
  <input
    id="across"
    type="range"
    min="1"
    max="5"
    value={carousel.across}
    oninput={(event) => change({ across: event.currentTarget.valueAsNumber })}
  /> <strong>{carousel.across}</strong>
</div>
<label class="moving"
  >Moves by itself
  <select
    class="field"
    value={carousel.autoplay ?? 0}
    onchange={(event) => change({ autoplay: Number(event.currentTarget.value) || null })}
  >
    <option value={0}>never</option>
    {#each [...new Set([4, 5, 7, 10, carousel.autoplay ?? 5])].sort((a, b) => a - b) as seconds (seconds)}<option
        value={seconds}>every {seconds} seconds</option
      >{/each}
  </select></label
>
<p class="small quiet">Five seconds is comfortable. Visitors can pause it.</p>
<Choice type="checkbox" checked={carousel.wholeRows} onchange={() => change({ wholeRows: !carousel.wholeRows })}
  >Whole rows only</Choice
>

<style>
  .across {
    display: flex;
    gap: 10px;
    align-items: center;
    min-height: 32px;
  }
  .across input {
    accent-color: var(--accent);
  }
  .moving {
    display: grid;
    gap: 2px;
  }
  select,
  p {
    width: 190px;
  }
  select {
    padding-right: 30px;
  }
</style>
