<script lang="ts">
  import { scaleLinear, scalePoint } from 'd3-scale';
  import { area, line } from 'd3-shape';
  import type { components } from '../../api/schema';

  type Day = components['schemas']['Counts']['days'][number];
  let { days }: { days: Day[] } = $props();

  const [HEIGHT, LEFT, RIGHT, TOP, FOOT] = [200, 44, 12, 20, 26];
  let width = $state(800);
  let over = $state<Day | null>(null);

  const x = $derived(
    scalePoint<string>()
      .domain(days.map((day) => day.day))
      .padding(0.5)
      .range([LEFT, Math.max(LEFT + 10, width - RIGHT)]),
  );
  const top = $derived(Math.max(4, ...days.map((day) => day.views)));
  const y = $derived(
    scaleLinear()
      .domain([0, top])
      .nice()
      .range([HEIGHT - FOOT, TOP]),
  );
  const at = (day: Day): number => x(day.day) ?? LEFT;
  interface Step {
    day: Day;
    x: number;
  }
  // A day's count is the day's own: nothing is drawn between two of them.
  const stepsOf = (some: Day[]): Step[] =>
    some.flatMap((day) => [-0.5, 0.5].map((side) => ({ day, x: at(day) + side * x.step() })));
  // Today is not over: what it has so far is no fall.
  const steps = $derived(stepsOf(days.slice(0, -1)));
  const today = $derived(stepsOf(days.slice(-1)));
  const outline = (steps: Step[], value: (day: Day) => number): string =>
    line<Step>()
      .x((step) => step.x)
      .y((step) => y(value(step.day)))(steps) ?? '';
  const acts = (day: Day): number => day.openings + day.reads + day.clicks;
  const shape = $derived(
    area<Step>()
      .x((step) => step.x)
      .y0(y(0))
      .y1((step) => y(step.day.views))(steps) ?? '',
  );
  const edge = $derived(outline(steps, (day) => day.views));
  const done = $derived(outline(steps, acts));
  const soFar = $derived(outline(today, (day) => day.views));
  const named = $derived(days.filter((_, index) => index % Math.ceil(days.length / 6) === 0));
  const short = (day: string): string =>
    new Date(`${day}T12:00`).toLocaleDateString('en-GB', { day: 'numeric', month: 'short' });
  const number = (value: number): string => value.toLocaleString('en-GB');
  const last = $derived(days.at(-1));
  const told = $derived(over ?? last);
</script>

<figure bind:clientWidth={width}>
  <figcaption class="small">
    {#if told}<strong>{short(told.day)}{told === last ? ', so far' : ''}</strong>
      {number(told.views)}
      {told.views === 1 ? 'view' : 'views'}, {number(acts(told))} of openings, readings and clicks{#each told.editions as edition (edition.number)};
        edition {edition.number}: {edition.cause}{/each}{/if}
  </figcaption>
  <!-- The table below says the same. -->
  <svg {width} height={HEIGHT} role="img" aria-label="Views by day; the table below has the numbers">
    {#each y.ticks(4) as tick (tick)}
      <line x1={LEFT} x2={width - RIGHT} y1={y(tick)} y2={y(tick)} class="rule" />
      <text x={LEFT - 8} y={y(tick) + 4} text-anchor="end">{number(tick)}</text>
    {/each}
    <path d={shape} class="area" />
    <path d={edge} class="edge" />
    <path d={done} class="done" />
    <path d={soFar} class="edge so-far" />
    {#each days.filter((day) => day.editions.length > 0) as day (day.day)}
      <path class="edition" d="M{at(day)} {TOP - 14}v{HEIGHT - FOOT - TOP + 14}" />
      <path class="wedge" d="M{at(day)} {TOP - 16}l8 0l-8 12z" />
    {/each}
    {#each named as day (day.day)}<text x={at(day)} y={HEIGHT - 8} text-anchor="middle">{short(day.day)}</text>{/each}
    {#each days as day (day.day)}
      <!-- svelte-ignore a11y_no_static_element_interactions -->
      <rect
        x={at(day) - x.step() / 2}
        y={TOP}
        width={x.step()}
        height={HEIGHT - TOP - FOOT}
        class="over"
        onpointerenter={() => (over = day)}
        onpointerleave={() => (over = null)}
      />
    {/each}
  </svg>
  <p class="small quiet key">
    <span class="solid"></span> views, those of today so far dotted <span class="dashed"></span> openings, readings and
    clicks
    <span class="mark"></span> an edition was published
  </p>
</figure>

<style>
  figure {
    min-width: 0;
  }
  figcaption {
    min-height: 21px;
  }
  svg {
    display: block;
    overflow: visible;
  }
  text {
    font: 12px var(--font-sans);
    fill: var(--quiet);
    font-variant-numeric: tabular-nums;
  }
  .rule {
    stroke: var(--line);
  }
  .area {
    fill: var(--accent-soft);
  }
  .edge {
    fill: none;
    stroke: var(--accent);
    stroke-width: 2;
  }
  .so-far {
    stroke-dasharray: 2 2;
  }
  .done {
    fill: none;
    stroke: var(--ink);
    stroke-dasharray: 4 3;
  }
  .edition {
    stroke: var(--quiet);
    stroke-dasharray: 1 3;
  }
  .wedge {
    fill: var(--ink);
  }
  .over {
    fill: transparent;
  }
  .over:hover {
    fill: color-mix(in srgb, var(--ink) 5%, transparent);
  }
  .key {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 8px;
  }
  .key span {
    width: 22px;
    height: 0;
    border-top: 2px solid var(--accent);
    margin-left: 12px;
  }
  .key .solid {
    margin-left: 0;
  }
  .key .dashed {
    border-top: 1px dashed var(--ink);
  }
  .key .mark {
    width: 9px;
    height: 12px;
    border: 0;
    background: var(--ink);
    clip-path: polygon(0 0, 100% 0, 0 100%);
  }
</style>
