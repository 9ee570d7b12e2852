<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import Choice from '../../clauses/Choice.svelte';
  import type { Bench } from '../bench.svelte';
  import { partNames, type Part } from './parts';
  import Select from './Select.svelte';
  import type { LayoutSettings } from './settings';

  interface Props {
    bench: Bench;
    brief: WholeBrief;
    at: 'phone' | 'tablet';
    /** Whether other widths may have another layout. */
    flows: boolean;
  }
  let { bench, brief, at, flows }: Props = $props();

  const names = $derived(partNames(bench.offered));
  type Shape = WholeBrief['shape'];
  const shape = $derived(brief.shape);
  const others = $derived((bench.offered?.layouts ?? []).filter((one) => one.flows && one.name !== shape.layout.name));
  const change = (how: (changed: Shape) => void): void => bench.change((changed) => how(changed.shape));

  function turn(part: Part): void {
    change((changed) => {
      const kept = changed.at[at].card ?? [...changed.card];
      const next = kept.includes(part) ? kept.filter((one) => one !== part) : [...kept, part];
      changed.at[at].card = next.length === changed.card.length ? null : next;
    });
  }
</script>

<div class="columns">
  <div>
    {#if flows}
      <Select
        label="Layout"
        value={shape.at[at].layout?.name ?? ''}
        options={[['', 'the same'], ...others.map((one) => [one.name as string, one.label] as const)]}
        onchange={(layout) =>
          change(
            (changed) => (changed.at[at].layout = layout === '' ? null : ({ name: layout } as LayoutSettings as never)),
          )}
      />
    {/if}
    <Select
      label="Lines of words on a card"
      value={shape.at[at].lines}
      options={[
        [null, 'as everywhere'],
        [0, 'all of them'],
        ...[1, 2, 3, 4, 5, 6, 8, 10].map((lines) => [lines as number | null, `${lines}`] as const),
      ]}
      onchange={(lines) => change((changed) => (changed.at[at].lines = lines))}
    />
  </div>
  <fieldset>
    <legend>Of what cards show</legend>
    {#each shape.card as part (part)}
      <Choice type="checkbox" checked={shape.at[at].card?.includes(part) ?? true} onchange={() => turn(part)}
        >{names.get(part)}</Choice
      >
    {/each}
  </fieldset>
</div>
