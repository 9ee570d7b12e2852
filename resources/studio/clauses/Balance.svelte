<script lang="ts">
  import type { WholeBrief } from '../api/client';
  import type { Holder } from './holder';

  let { holder, brief }: { holder: Holder; brief: WholeBrief } = $props();

  const weights = [
    ['freshness', 'Freshness', 'halves with each half-life'],
    ['rating', 'Reliable rating', 'high, and confirmed by many others'],
    ['substance', 'Substance', '240 characters count in full'],
    ['variety', 'Variety', 'sources and subjects take turns'],
  ] as const;
  const sum = $derived(weights.reduce((total, [part]) => total + brief.sift.balance[part], 0));
</script>

<fieldset>
  <legend>How much each counts</legend>
  {#each weights as [part, name, what] (part)}
    <label>
      <span>{name} <span class="small quiet">{what}</span></span>
      <input
        type="range"
        min="0"
        max="10"
        value={brief.sift.balance[part]}
        oninput={(event) => {
          const weight = event.currentTarget.valueAsNumber;
          holder.change((changed) => (changed.sift.balance[part] = weight));
        }}
      />
      <span class="figures small"
        >{brief.sift.balance[part]}
        <span class="quiet">{sum === 0 ? 0 : Math.round((100 * brief.sift.balance[part]) / sum)} %</span></span
      >
    </label>
  {/each}
  <label>
    <span>Half-life, in days</span>
    <input
      class="field figures"
      type="number"
      min="1"
      max="3650"
      value={brief.sift.balance.halfLife}
      oninput={(event) => {
        const days = event.currentTarget.valueAsNumber;
        if (days >= 1 && days <= 3650) holder.change((changed) => (changed.sift.balance.halfLife = Math.round(days)));
      }}
    />
  </label>
  <p class="small quiet">Press a number in the sieve below to see each entry’s score.</p>
</fieldset>

<style>
  label {
    display: grid;
    grid-template-columns: minmax(0, 15em) minmax(80px, 150px) 70px;
    gap: 12px;
    padding: 3px 0;
    align-items: center;
    min-height: 32px;
    line-height: 1.25;
  }
  label span .quiet {
    display: block;
  }
  .figures .quiet {
    display: inline;
    margin-left: 4px;
  }
  input[type='range'] {
    accent-color: var(--accent);
    width: 100%;
  }
</style>
