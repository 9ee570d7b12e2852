<script module lang="ts">
  export const members = ['/sift/stars', '/sift/withWords'];
</script>

<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import Choice from '../Choice.svelte';
  import type { Holder } from '../holder';

  let { holder, brief }: { holder: Holder; brief: WholeBrief } = $props();

  const figures = $derived(holder.proof?.figures);
  const spread = $derived(figures?.spread ?? [0, 0, 0, 0, 0]);
  const most = $derived(Math.max(1, ...spread));
  const stars = $derived(brief.sift.stars);
  // Bounds the wrong way round, as an imported brief may have them, mean the same as the right way round.
  const [from, to] = $derived([stars?.from ?? 1, stars?.to ?? 5].sort((a, b) => a - b) as [number, number]);
  const inside = (number: number): boolean => stars === null || (number >= from && number <= to);

  /** Sets a bound; the other gives way where they would cross. All stars, unrated kept, is no clause at all. */
  function bound(which: 'from' | 'to', number: number): void {
    holder.change((changed) => {
      const next = { from, to, unrated: stars?.unrated ?? 'drop' } as const;
      const range =
        which === 'from' ? { from: number, to: Math.max(number, to) } : { from: Math.min(number, from), to: number };
      changed.sift.stars = range.from === 1 && range.to === 5 && next.unrated === 'keep' ? null : { ...next, ...range };
    });
  }

  function unrated(): void {
    holder.change((changed) => {
      const keep = stars === null || stars.unrated === 'keep';
      changed.sift.stars = !keep && from === 1 && to === 5 ? null : { from, to, unrated: keep ? 'drop' : 'keep' };
    });
  }
</script>

<div class="columns">
  <div>
    <!-- A picture of the ratings that is also the control: a bar is where the choice begins. -->
    <div class="bars" role="group" aria-label="Ratings by stars; choose from where up">
      {#each spread as count, index (index)}
        {@const number = index + 1}
        <button
          class="plain"
          class:inside={inside(number)}
          aria-pressed={inside(number)}
          aria-label="{number} {number === 1 ? 'star' : 'stars'} and up{holder.proof
            ? `; ${count} ratings have ${number}`
            : ''}"
          onclick={() => bound('from', number)}
        >
          <span class="bar" style:height="{holder.proof ? Math.max(3, (62 * count) / most) : 14}px"></span>
          <strong>{number}</strong>
          {#if holder.proof}<span class="small figures">{count}</span>{/if}
        </button>
      {/each}
    </div>
    <div class="range small">
      <label
        >From <select class="field" value={from} onchange={(event) => bound('from', Number(event.currentTarget.value))}>
          {#each [1, 2, 3, 4, 5] as number (number)}<option value={number}>{number}</option>{/each}
        </select></label
      >
      <label
        >to <select class="field" value={to} onchange={(event) => bound('to', Number(event.currentTarget.value))}>
          {#each [1, 2, 3, 4, 5] as number (number)}<option value={number}>{number}</option>{/each}
        </select> stars</label
      >
    </div>
  </div>
  <div class="switches">
    <Choice
      type="checkbox"
      checked={brief.sift.withWords}
      note={figures && `${figures.wordless} have none`}
      onchange={() => holder.change((changed) => (changed.sift.withWords = !changed.sift.withWords))}
      >Only with words</Choice
    >
    <Choice
      type="checkbox"
      checked={stars === null || stars.unrated === 'keep'}
      note={figures && `${figures.unrated} have none`}
      onchange={unrated}>Also without a rating</Choice
    >
  </div>
  {#if figures}<div class="beside">
      <strong>Shown above the cards</strong>
      <p>
        {#if figures.mean}{figures.mean} from all {figures.count} ratings, whatever you choose here.{:else}No figure:
          nothing has a rating.{/if}
      </p>
      {#if figures.interval}<p class="small">
          95 % confidence interval of the mean: {figures.interval[0]} to {figures.interval[1]}.
        </p>{/if}
      {#if holder.proof?.honestLine && brief.shape.honest}<p>And below: “{holder.proof.honestLine}”</p>{/if}
    </div>{/if}
</div>

<style>
  .columns {
    display: flex;
    flex-wrap: wrap;
    gap: 16px 40px;
  }
  .bars {
    display: grid;
    grid-template-columns: repeat(5, 58px);
    gap: 6px;
    align-items: end;
  }
  .bars button {
    display: grid;
    justify-items: center;
    line-height: 1.35;
  }
  .bar {
    width: 100%;
    background: var(--line);
    border-radius: 2px 2px 0 0;
    transition: background 140ms;
  }
  .inside .bar {
    background: var(--accent);
  }
  .bars button:hover .bar {
    background: var(--accent-mid);
  }
  .range {
    display: flex;
    gap: 10px;
    margin-top: 8px;
    align-items: center;
  }
  .range select {
    padding: 2px 26px 2px 8px;
    min-height: 28px;
  }
  .switches {
    min-width: min(320px, 100%);
  }
  .beside {
    border-left: 3px solid var(--attention);
    padding-left: 12px;
    max-width: 30ch;
    color: var(--attention);
  }
</style>
