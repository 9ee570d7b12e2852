<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import Choice from '../../clauses/Choice.svelte';
  import type { Bench } from '../bench.svelte';
  import Select from './Select.svelte';

  let { bench, brief, hasCards }: { bench: Bench; brief: WholeBrief; hasCards: boolean } = $props();
  const frame = $derived(brief.shape.frame);
  const change = (how: (changed: WholeBrief['shape']['frame']) => void): void =>
    bench.change((changed) => how(changed.shape.frame));
  /** Steps in pixels, and what the brief has, be it none of them. */
  const among = (steps: number[], value: number | null): (readonly [number, string])[] =>
    [...new Set(value === null ? steps : [...steps, value])]
      .sort((a, b) => a - b)
      .map((step) => [step, `${step} pixels`] as const);
</script>

<div class="columns tight">
  <Select
    label="Kept free at the sides"
    value={frame.padding}
    options={[[null, 'as the look needs it'], ...among([0, 10, 20, 32, 48], frame.padding)]}
    onchange={(padding) => change((changed) => (changed.padding = padding))}
  />
  {#if hasCards}
    <Select
      label="Between cards"
      value={frame.gap}
      options={[[null, 'layout default'], ...among([0, 4, 8, 16, 24, 40, 64], frame.gap)]}
      onchange={(gap) => change((changed) => (changed.gap = gap))}
    />
  {/if}
  <Select
    label="Wide at most"
    value={frame.most}
    options={[[null, 'as wide as its place'], ...among([400, 640, 800, 1000, 1200], frame.most)]}
    onchange={(most) => change((changed) => (changed.most = most))}
  />
  {#if hasCards}
    <Choice type="checkbox" checked={frame.edge} onchange={() => change((changed) => (changed.edge = !changed.edge))}
      >Cards from edge to edge</Choice
    >
  {/if}
</div>
