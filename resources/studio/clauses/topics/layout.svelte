<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import type { Bench } from '../../bench/bench.svelte';
  import CardParts from '../../bench/shape/CardParts.svelte';
  import Pictures from '../../bench/shape/Pictures.svelte';
  import Pressed from '../../bench/shape/Pressed.svelte';
  import RoomTaken from '../../bench/shape/RoomTaken.svelte';
  import Select from '../../bench/shape/Select.svelte';
  import Setting from '../../bench/shape/Setting.svelte';
  import Terms from '../Terms.svelte';
  import WidthClass from '../../bench/shape/WidthClass.svelte';
  import type { LayoutSettings, Schema } from '../../bench/shape/settings';

  let { holder: bench, brief }: { holder: Bench; brief: WholeBrief } = $props();

  /** That the brief takes. */
  const MOST_MARKED = 10;
  const shape = $derived(brief.shape);
  const layout = $derived(bench.offered?.layouts.find(({ name }) => name === shape.layout.name));
  const own = $derived(Object.entries((layout?.settings ?? {}) as Record<string, Schema>));
  const values = $derived(shape.layout as unknown as Record<string, unknown>);
  const change = (how: (changed: WholeBrief['shape']) => void): void => bench.change((changed) => how(changed.shape));
  const set = (member: string, value: unknown): void =>
    change((changed) => (changed.layout = { ...changed.layout, [member]: value } as LayoutSettings));
  /** What is of no use to a layout without cards is not offered. */
  const hasCards = $derived(layout?.hasCards ?? true);
  const shows = (part: WholeBrief['shape']['card'][number]): boolean => shape.card.includes(part);
  const lengths = $derived(
    [...new Set([120, 220, 400, 800, shape.shorten ?? 220])]
      .sort((a, b) => a - b)
      .map((characters) => [characters as number | null, `${characters} characters`] as const),
  );
  const groups = $derived(
    [
      ['own', layout?.label ?? '', own.length > 0],
      ['card', 'On each card', hasCards],
      ['said', 'How it is said', hasCards],
      ['pressed', 'What visitors can press', hasCards],
      ['room', 'Room', layout?.hasRoom ?? true],
      ['phone', 'On phones', hasCards],
      ['tablet', 'On tablets', hasCards],
    ].filter(([, , isThere]) => isThere) as [string, string][],
  );
  /** One at a time, so that the proof stays in view. */
  let open = $state<string | null>(null);
  const group = $derived(groups.some(([key]) => key === open) ? open : null);
</script>

<Pictures {bench} {brief} />
<div class="tabs" role="group" aria-label="Settings of the layout">
  {#each groups as [key, name] (key)}
    <button class="plain" aria-expanded={group === key} onclick={() => (open = group === key ? null : key)}
      >{name}</button
    >
  {/each}
</div>
{#if group === 'own'}
  <div class="columns">
    {#each own as [member, schema] (member)}
      <div><Setting {schema} value={values[member]} onchange={(value) => set(member, value)} /></div>
    {/each}
  </div>
{:else if group === 'card'}
  <div class="columns">
    <Select
      label="How it is composed"
      value={shape.composition}
      options={[
        [null, 'as the look has it'],
        ...(bench.offered?.compositions ?? []).map(
          ({ name, label }) => [name as WholeBrief['shape']['composition'], label.toLowerCase()] as const,
        ),
      ]}
      onchange={(composition) => change((changed) => (changed.composition = composition))}
    />
    <Select
      label="Heights"
      value={shape.heights}
      options={[
        ['fit', 'as high as their words'],
        ['level', 'all equally high'],
      ]}
      onchange={(heights) => change((changed) => (changed.heights = heights))}
    />
  </div>
  <CardParts {bench} {brief} />
{:else if group === 'said'}
  <div class="columns">
    {#if shows('words')}
      <Select
        label="Length of the words"
        value={shape.shorten}
        options={[...lengths, [null, 'in full']]}
        onchange={(shorten) => change((changed) => (changed.shorten = shorten))}
      />
      <Select
        label="Lines of words on a card"
        value={shape.lines}
        options={[
          [null, 'layout default'],
          [0, 'all of them'],
          ...[1, 2, 3, 4, 5, 6, 8, 10].map((lines) => [lines as number | null, `${lines}`] as const),
        ]}
        onchange={(lines) => change((changed) => (changed.lines = lines))}
      />
    {/if}
    {#if shows('words')}
      <div>
        <Terms
          label="Words to mark"
          value={shape.marked}
          onchange={(marked) => change((changed) => (changed.marked = marked.slice(0, MOST_MARKED)))}
        />
      </div>
    {/if}
    {#if shows('name')}
      <Select
        label="Names"
        value={shape.names}
        options={[
          ['full', 'as given'],
          ['short', 'first name, initial of the last'],
          ['initials', 'initials only'],
        ]}
        onchange={(names) => change((changed) => (changed.names = names))}
      />
    {/if}
    {#if shows('rating')}
      <Select
        label="Ratings"
        value={shape.rating}
        options={[
          ['usual', 'glyphs, and a number where they do not say it all'],
          ['both', 'glyphs and number'],
          ['glyphs', 'glyphs'],
          ['number', 'number on its own scale'],
          ['words', 'in words'],
        ]}
        onchange={(rating) => change((changed) => (changed.rating = rating))}
      />
    {/if}
    {#if shows('date')}
      <Select
        label="Dates"
        value={shape.date}
        options={[
          ['recent', 'the day; of older ones the month'],
          ['day', 'day, month and year'],
          ['month', 'month and year'],
          ['relative', 'time since'],
        ]}
        onchange={(date) => change((changed) => (changed.date = date))}
      />
    {/if}
    {#if shows('pictures')}
      <Select
        label="Shape of pictures"
        value={shape.picture}
        options={[
          ['landscape', 'four to three'],
          ['original', 'as they are'],
          ['square', 'square'],
          ['portrait', 'three to four'],
          ['wide', 'sixteen to nine'],
        ]}
        onchange={(picture) => change((changed) => (changed.picture = picture))}
      />
    {/if}
  </div>
{:else if group === 'pressed'}
  <Pressed {bench} {brief} grows={layout?.grows ?? true} />
{:else if group === 'room'}
  <RoomTaken {bench} {brief} {hasCards} />
{:else if group === 'phone' || group === 'tablet'}
  <WidthClass {bench} {brief} at={group} flows={layout?.flows ?? false} />
{/if}

<style>
  .tabs {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 20px;
    border-bottom: 1px solid var(--line);
    margin-bottom: 8px;
  }
  .tabs button {
    min-height: 32px;
    color: var(--quiet);
    border-bottom: 2px solid transparent;
  }
  .tabs button[aria-expanded='true'] {
    color: var(--accent);
    font-weight: 600;
    border-color: var(--accent);
  }
  .columns {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(220px, 100%), 1fr));
    gap: 6px 28px;
  }
</style>
