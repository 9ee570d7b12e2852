<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import type { Bench } from '../bench.svelte';
  import Choice from './Choice.svelte';

  let { bench, brief }: { bench: Bench; brief: WholeBrief } = $props();

  const orders = [
    ['newest', 'Newest first'],
    ['oldest', 'Oldest first'],
    ['highest', 'Highest rated first'],
    ['lowest', 'Lowest rated first'],
    ['shuffled', 'Shuffled, another order each day'],
  ] as const;
  const kinds = [
    ['review', 'Reviews'],
    ['testimonial', 'Testimonials'],
    ['post', 'Posts'],
  ] as const;
  const all = kinds.map(([kind]) => kind);
  const wanted = $derived((brief.gather.kinds ?? all) as string[]);

  function turnKind(kind: (typeof all)[number]): void {
    const next = all.filter((one) => (one === kind ? !wanted.includes(one) : wanted.includes(one)));
    if (next.length === 0) return; // a widget of nothing at all is never meant
    bench.change((changed) => {
      changed.gather.kinds = (next.length === all.length ? null : next) as WholeBrief['gather']['kinds'];
    });
  }

  function setLimit(value: number): void {
    if (value >= 1 && value <= 100) bench.change((changed) => (changed.sift.limit = Math.round(value)));
  }
</script>

<div class="columns">
  <div>
    <label for="limit">How many</label>
    <div class="limit">
      <button class="field" aria-label="One fewer" onclick={() => setLimit(brief.sift.limit - 1)}>−</button>
      <input
        id="limit"
        class="field figures"
        type="number"
        min="1"
        max="100"
        value={brief.sift.limit}
        oninput={(event) => setLimit(event.currentTarget.valueAsNumber)}
      />
      <button class="field" aria-label="One more" onclick={() => setLimit(brief.sift.limit + 1)}>+</button>
    </div>
    <p class="small quiet">Ten is usual; 100 at the most.</p>
  </div>
  <fieldset>
    <legend>Of what</legend>
    {#each kinds as [kind, name] (kind)}
      <Choice type="checkbox" checked={wanted.includes(kind)} onchange={() => turnKind(kind)}>{name}</Choice>
    {/each}
  </fieldset>
  <fieldset>
    <legend>In which order</legend>
    {#each orders as [order, name] (order)}
      <Choice
        type="radio"
        name="order"
        checked={brief.sift.order === order}
        onchange={() => bench.change((changed) => (changed.sift.order = order))}>{name}</Choice
      >
    {/each}
  </fieldset>
</div>

<style>
  .columns {
    display: flex;
    flex-wrap: wrap;
    gap: 16px 56px;
  }
  .limit {
    display: flex;
    gap: 4px;
    margin: 4px 0;
  }
  .limit input {
    width: 84px;
  }
  .limit button {
    width: 36px;
    cursor: pointer;
  }
</style>
