<script module lang="ts">
  export const members = ['/sift/hidden'];
</script>

<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import type { Bench } from '../../bench/bench.svelte';
  import Picked from '../Picked.svelte';

  let { holder: bench, brief }: { holder: Bench; brief: WholeBrief } = $props();

  function move(index: number, by: number): void {
    bench.change((changed) => {
      const pins = changed.sift.pins;
      const [taken] = pins.splice(index, 1);
      if (taken !== undefined) pins.splice(index + by, 0, taken);
    });
  }
</script>

<div class="columns">
  <div>
    <h2>Pinned first, in this order</h2>
    {#if brief.sift.pins.length === 0}
      <p class="quiet">
        None yet. Press a number in the sieve below and pin an entry: it comes first, whatever the conditions.
      </p>
    {/if}
    <ol>
      {#each brief.sift.pins as id, index (id)}
        <li>
          <Picked {bench} {id} />
          <button class="plain link" disabled={index === 0} onclick={() => move(index, -1)}>Up</button>
          <button class="plain link" disabled={index === brief.sift.pins.length - 1} onclick={() => move(index, 1)}
            >Down</button
          >
          <button class="plain link" onclick={() => bench.pin(id)}>Unpin</button>
        </li>
      {/each}
    </ol>
  </div>
  <div>
    <h2>Hidden here</h2>
    {#if brief.sift.hidden.length === 0}<p class="quiet">None. To hide an entry in every widget, use Entries.</p>{/if}
    <ul>
      {#each brief.sift.hidden as id (id)}
        <li>
          <Picked {bench} {id} />
          <button class="plain link" onclick={() => bench.hide(id)}>Show again</button>
        </li>
      {/each}
    </ul>
  </div>
</div>

<style>
  .columns {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(340px, 100%), 1fr));
    gap: 16px 40px;
  }
  h2 {
    font-size: 15px;
    font-weight: 600;
  }
  li {
    display: flex;
    gap: 12px;
    align-items: baseline;
    min-height: 28px;
  }
  button:disabled {
    opacity: 0.4;
    cursor: default;
  }
</style>
