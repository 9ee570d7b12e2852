<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import type { Bench } from '../bench.svelte';
  import Choice from '../../clauses/Choice.svelte';
  import { partNames, type Part } from './parts';

  let { bench, brief }: { bench: Bench; brief: WholeBrief } = $props();

  const names = $derived(partNames(bench.offered));
  /** Those on cards in their order, then the others. */
  const parts = $derived([
    ...brief.shape.card,
    ...[...names.keys()].filter((part) => !brief.shape.card.includes(part)),
  ]);

  const set = (card: Part[]): void => bench.change((changed) => (changed.shape.card = card));
  const turn = (part: Part): void =>
    set(brief.shape.card.includes(part) ? brief.shape.card.filter((one) => one !== part) : [...brief.shape.card, part]);
  function move(part: Part, by: number): void {
    const card = [...brief.shape.card];
    const at = card.indexOf(part);
    const other = card[at + by];
    if (other === undefined) return;
    card[at + by] = part;
    card[at] = other;
    set(card);
  }
</script>

<fieldset>
  <legend>On each card, in this order</legend>
  <ol>
    {#each parts as part (part)}
      {@const at = brief.shape.card.indexOf(part)}
      <li>
        <Choice type="checkbox" checked={at >= 0} onchange={() => turn(part)}>{names.get(part)}</Choice>
        {#if at >= 0}
          <span class="moves">
            <button
              class="plain"
              disabled={at === 0}
              aria-label="{names.get(part)}: earlier"
              onclick={() => move(part, -1)}>↑</button
            >
            <button
              class="plain"
              disabled={at === brief.shape.card.length - 1}
              aria-label="{names.get(part)}: later"
              onclick={() => move(part, 1)}>↓</button
            >
          </span>
        {/if}
      </li>
    {/each}
  </ol>
</fieldset>

<style>
  ol {
    columns: 2 220px;
    column-gap: 28px;
  }
  li {
    display: flex;
    justify-content: space-between;
    gap: 8px;
    break-inside: avoid;
    min-height: 28px;
  }
  .moves button {
    width: 28px;
    min-height: 28px;
    color: var(--quiet);
  }
  .moves button:hover:not([disabled]) {
    color: var(--accent);
  }
  .moves button[disabled] {
    opacity: 0.3;
    cursor: default;
  }
</style>
