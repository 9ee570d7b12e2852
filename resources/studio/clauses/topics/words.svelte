<script module lang="ts">
  export const members = ['/sift/words', '/sift/hashtags', '/sift/length'];
</script>

<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import type { Holder } from '../holder';
  import Terms, { LISTS } from '../Terms.svelte';

  let { holder, brief }: { holder: Holder; brief: WholeBrief } = $props();

  type List = (typeof LISTS)[number][0];
  const length = $derived(brief.sift.length);

  function setTerms(member: 'words' | 'hashtags', list: List, terms: string[]): void {
    holder.change((changed) => {
      const next = { all: [], any: [], none: [], ...changed.sift[member], [list]: terms };
      changed.sift[member] = next.all.length + next.any.length + next.none.length === 0 ? null : next;
    });
  }

  function setLength(bound: 'from' | 'to', value: number): void {
    const wanted = Number.isFinite(value) && value >= 0 ? Math.min(100_000, Math.round(value)) : null;
    holder.change((changed) => {
      const next = { from: null, to: null, ...changed.sift.length, [bound]: wanted };
      changed.sift.length = next.from === null && next.to === null ? null : next;
    });
  }
</script>

<div class="columns">
  <fieldset>
    <legend>Words in title or text</legend>
    <div class="lists">
      {#each LISTS as [list, label] (list)}
        <Terms {label} value={brief.sift.words?.[list] ?? []} onchange={(terms) => setTerms('words', list, terms)} />
      {/each}
    </div>
    <p class="small quiet">
      Separate words with commas. Capitals and accents make no difference; <code>observ*</code> finds any ending; two words
      without a comma are found side by side.
    </p>
  </fieldset>
  <fieldset class="length">
    <legend>Length, in characters</legend>
    <label
      >From <input
        class="field figures"
        type="number"
        min="0"
        value={length?.from ?? ''}
        oninput={(event) => setLength('from', event.currentTarget.valueAsNumber)}
      /></label
    >
    <label
      >to <input
        class="field figures"
        type="number"
        min="0"
        placeholder="any"
        value={length?.to ?? ''}
        oninput={(event) => setLength('to', event.currentTarget.valueAsNumber)}
      /></label
    >
  </fieldset>
  <fieldset>
    <legend>Hashtags</legend>
    <div class="lists">
      {#each LISTS as [list, label] (list)}
        <Terms
          {label}
          value={brief.sift.hashtags?.[list] ?? []}
          offers={list === 'any' ? holder.offered?.hashtags : []}
          onchange={(terms) => setTerms('hashtags', list, terms)}
        />
      {/each}
    </div>
  </fieldset>
</div>

<style>
  .columns {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 190px;
    gap: 12px 36px;
  }
  .lists {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 12px;
  }
  .length {
    display: grid;
    gap: 6px;
    align-content: start;
  }
  .length label {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 8px;
  }
  .length input {
    width: 92px;
  }
  code {
    font: 13px var(--font-mono);
  }
  @media (max-width: 900px) {
    .columns,
    .lists {
      grid-template-columns: 1fr;
    }
  }
</style>
