<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import type { Bench } from '../../bench/bench.svelte';
  import Choice from '../Choice.svelte';

  let { holder: bench, brief }: { holder: Bench; brief: WholeBrief } = $props();

  const parts = [
    ['overall', 'The overall rating'],
    ['count', 'The number of ratings'],
    ['spread', 'Their spread, as small bars'],
  ] as const;
  /** Sources of the widget that come with figures of their own. */
  const told = $derived(
    bench.sources.filter((source) => source.figures && (brief.gather.sources?.includes(source.key) ?? true)),
  );
  const turn = (part: (typeof parts)[number][0]): void =>
    bench.change((changed) => {
      const has = changed.shape.head.includes(part);
      changed.shape.head = parts
        .map(([name]) => name)
        .filter((name) => (name === part ? !has : changed.shape.head.includes(name)));
    });
</script>

<div class="columns">
  <fieldset>
    <legend>Above the cards</legend>
    {#each parts as [part, name] (part)}
      <Choice type="checkbox" checked={brief.shape.head.includes(part)} onchange={() => turn(part)}>{name}</Choice>
    {/each}
    <p class="small quiet">
      These figures cover everything collected from this widget’s sources, not only what it shows.
    </p>
    {#if told.length > 0}
      <p class="small quiet">Figures that services publish themselves are not mixed in, as they cannot be checked:</p>
      <ul class="small quiet">
        {#each told as source (source.key)}
          <li>
            {source.name}: {source.figures?.mean} from {source.figures?.count ?? 'an unknown number of'} ratings
          </li>
        {/each}
      </ul>
    {/if}
  </fieldset>
  <div>
    <label for="heading">Heading</label><br />
    <input
      id="heading"
      class="field"
      maxlength="120"
      value={brief.shape.heading ?? ''}
      placeholder="None"
      oninput={(event) => {
        const heading = event.currentTarget.value;
        bench.change((changed) => (changed.shape.heading = heading.trim() === '' ? null : heading));
      }}
    />
  </div>
  <fieldset>
    <legend>Below the cards</legend>
    <Choice
      type="checkbox"
      checked={brief.shape.honest}
      onchange={() => bench.change((changed) => (changed.shape.honest = !changed.shape.honest))}
      >Say that it is a selection</Choice
    >
    <p class="small quiet">
      {bench.proof?.honestLine
        ? `“${bench.proof.honestLine}”`
        : 'Nothing is chosen by stars or words, so nothing needs saying.'}
    </p>
  </fieldset>
</div>

<style>
  .columns > * {
    max-width: 300px;
  }
  .field {
    width: 260px;
  }
</style>
