<script module lang="ts">
  export const members = ['/sift/when'];
</script>

<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import Choice from '../Choice.svelte';
  import type { Holder } from '../holder';

  let { holder, brief }: { holder: Holder; brief: WholeBrief } = $props();

  const when = $derived(brief.sift.when);
  const usual = [
    [30, 'days', 'the last 30 days'],
    [90, 'days', 'the last 90 days'],
    [12, 'months', 'the last year'],
    [24, 'months', 'the last two years'],
  ] as const;

  type When = NonNullable<WholeBrief['sift']['when']>;
  function change(how: (when: When) => void): void {
    holder.change((changed) => {
      const next: When = { last: null, unit: 'days', from: null, to: null, sinceReopened: false, ...changed.sift.when };
      how(next);
      const empty = next.last === null && next.from === null && next.to === null && !next.sinceReopened;
      changed.sift.when = empty ? null : next;
    });
  }
  const setLast = (last: number | null, unit: When['unit'] = when?.unit ?? 'days'): void =>
    change((next) => Object.assign(next, { last, unit }));
</script>

<div class="columns">
  <fieldset>
    <legend>How far back</legend>
    <Choice type="radio" name="last" checked={when?.last == null} onchange={() => setLast(null)}>Any time</Choice>
    {#each usual as [last, unit, name] (name)}
      <Choice
        type="radio"
        name="last"
        checked={when?.last === last && when.unit === unit}
        onchange={() => setLast(last, unit)}>{name}</Choice
      >
    {/each}
  </fieldset>
  <fieldset class="other">
    <legend>Another period</legend>
    <label
      >The last <input
        class="field figures"
        type="number"
        min="1"
        max="10000"
        value={when?.last ?? ''}
        oninput={(event) => {
          const last = event.currentTarget.valueAsNumber;
          setLast(last >= 1 && last <= 10_000 ? Math.round(last) : null);
        }}
      /></label
    >
    <select
      class="field"
      aria-label="Days or months"
      value={when?.unit ?? 'days'}
      onchange={(event) => setLast(when?.last ?? 1, event.currentTarget.value as When['unit'])}
    >
      <option value="days">days</option>
      <option value="months">months</option>
    </select>
    <p class="small quiet">Today included. Published widgets follow day by day.</p>
  </fieldset>
  <fieldset class="other">
    <legend>Between two days</legend>
    <label
      >From <input
        class="field"
        type="date"
        value={when?.from ?? ''}
        onchange={(event) => {
          const from = event.currentTarget.value || null;
          change((next) => (next.from = from));
        }}
      /></label
    >
    <label
      >to <input
        class="field"
        type="date"
        value={when?.to ?? ''}
        onchange={(event) => {
          const to = event.currentTarget.value || null;
          change((next) => (next.to = to));
        }}
      /></label
    >
    <Choice
      type="checkbox"
      checked={when?.sinceReopened ?? false}
      onchange={() => change((next) => (next.sinceReopened = !next.sinceReopened))}
      >Only since the subject reopened</Choice
    >
    <p class="small quiet">
      Set that day for each subject in <a class="link" href="/sources/subjects">Subjects</a>.
    </p>
  </fieldset>
</div>

<style>
  .other {
    display: grid;
    gap: 6px;
    align-content: start;
    max-width: 260px;
  }
  .other label {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 8px;
  }
  .other input[type='number'] {
    width: 90px;
  }
</style>
