<script module lang="ts">
  export const members = ['/gather/kinds'];
</script>

<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import Balance from '../Balance.svelte';
  import Choice from '../Choice.svelte';
  import type { Holder } from '../holder';

  let { holder, brief }: { holder: Holder; brief: WholeBrief } = $props();

  const orders = [
    ['newest', 'Newest first'],
    ['oldest', 'Oldest first'],
    ['highest', 'Highest rated first'],
    ['lowest', 'Lowest rated first'],
    ['liked', 'Most liked first'],
    ['longest', 'Longest first'],
    ['shuffled', 'In random order'],
    ['balanced', 'Balanced'],
  ] as const;
  const kinds = [
    ['review', 'Reviews'],
    ['testimonial', 'Testimonials'],
    ['post', 'Posts'],
  ] as const;
  const shuffles = [
    ['day', 'every day'],
    ['visit', 'at every visit'],
    ['fixed', 'never: always the same'],
  ] as const;
  const all = kinds.map(([kind]) => kind);
  const wanted = $derived((brief.gather.kinds ?? all) as string[]);
  const offered = $derived(holder.isListing ? orders.slice(0, 6) : orders);

  function turnKind(kind: (typeof all)[number]): void {
    const next = all.filter((one) => (one === kind ? !wanted.includes(one) : wanted.includes(one)));
    if (next.length === 0) return; // a widget of nothing at all is never meant
    holder.change((changed) => {
      changed.gather.kinds = (next.length === all.length ? null : next) as WholeBrief['gather']['kinds'];
    });
  }

  function setLimit(value: number): void {
    if (value >= 1 && value <= 100) holder.change((changed) => (changed.sift.limit = Math.round(value)));
  }
  const setFewer = (on: 'phone' | 'tablet', value: number): void =>
    holder.change((changed) => (changed.sift.fewer[on] = value >= 1 && value <= 100 ? Math.round(value) : null));
</script>

<div class="columns">
  {#if !holder.isListing}
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
      <div class="fewer">
        {#each [['phone', 'On phones'], ['tablet', 'On tablets']] as const as [on, label] (on)}
          <label
            >{label}
            <input
              class="field figures"
              type="number"
              min="1"
              max="100"
              placeholder="same"
              value={brief.sift.fewer[on] ?? ''}
              oninput={(event) => setFewer(on, event.currentTarget.valueAsNumber)}
            /></label
          >
        {/each}
      </div>
    </div>
  {/if}
  <fieldset>
    <legend>Kinds</legend>
    {#each kinds as [kind, name] (kind)}
      <Choice type="checkbox" checked={wanted.includes(kind)} onchange={() => turnKind(kind)}>{name}</Choice>
    {/each}
  </fieldset>
  <fieldset>
    <legend>Order</legend>
    <div class="orders">
      {#each offered as [order, name] (order)}
        <Choice
          type="radio"
          name="order"
          checked={brief.sift.order === order}
          onchange={() => holder.change((changed) => (changed.sift.order = order))}>{name}</Choice
        >
      {/each}
    </div>
  </fieldset>
  {#if brief.sift.order === 'shuffled'}
    <fieldset>
      <legend>A new random order</legend>
      {#each shuffles as [shuffle, name] (shuffle)}
        <Choice
          type="radio"
          name="shuffle"
          checked={brief.sift.shuffle === shuffle}
          onchange={() => holder.change((changed) => (changed.sift.shuffle = shuffle))}>{name}</Choice
        >
      {/each}
    </fieldset>
  {:else if brief.sift.order === 'balanced'}
    <Balance {holder} {brief} />
  {/if}
</div>

<style>
  .columns {
    display: flex;
    flex-wrap: wrap;
    gap: 16px 44px;
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
  .fewer {
    display: grid;
    gap: 4px;
    margin-top: 6px;
  }
  .fewer label {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 10px;
  }
  .fewer input {
    width: 92px;
  }
  .orders {
    display: grid;
    grid-auto-flow: column;
    grid-template-rows: repeat(4, auto);
    gap: 0 28px;
  }
</style>
