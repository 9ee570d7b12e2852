<script module lang="ts">
  /** How several terms go together, and what the owner calls it. */
  export const LISTS = [
    ['any', 'Any of'],
    ['all', 'All of'],
    ['none', 'None of'],
  ] as const;
</script>

<script lang="ts">
  import type { Offered } from '../api/client';

  interface Props {
    label: string;
    value: string[];
    /** Of which some may be taken by a press. @default [] */
    offers?: Offered['labels'];
    onchange: (terms: string[]) => void;
  }
  let { label, value, offers = [], onchange }: Props = $props();

  const MOST = 5000;
  const id = $props.id();
  const split = (text: string): string[] =>
    text
      .split(/[\n,;]+/)
      .map((term) => term.trim())
      .filter((term) => term !== '' && term.length <= 100);
  /** As it is being written; the brief has the words of it. */
  // svelte-ignore state_referenced_locally
  let written = $state(value.join(', '));
  let tooMany = $state(0);

  // What changed elsewhere, by undoing say, is written anew.
  $effect(() => {
    if (tooMany === 0 && split(written).join('\n') !== value.join('\n')) written = value.join(', ');
  });

  function write(text: string): void {
    written = text;
    const terms = [...new Set(split(text))];
    tooMany = terms.length > MOST ? terms.length : 0;
    if (!tooMany) onchange(terms);
  }

  const left = $derived(offers.filter((offer) => !value.includes(offer.key)).slice(0, 6));
</script>

<div class="terms">
  <label for={id}>{label}</label>
  <textarea
    {id}
    class="field"
    rows={written.length > 60 ? 3 : 1}
    value={written}
    aria-describedby={tooMany ? `${id}-many` : undefined}
    oninput={(event) => write(event.currentTarget.value)}></textarea>
  {#if tooMany}
    <p class="small many" id="{id}-many" role="alert">
      These are {tooMany.toLocaleString('en-GB')} terms, and {MOST.toLocaleString('en-GB')} is the most. Nothing has changed
      yet: remove some.
    </p>
  {:else if value.length > 20}
    <p class="small quiet">{value.length.toLocaleString('en-GB')} terms.</p>
  {/if}
  {#if left.length > 0}
    <p class="offers small">
      {#each left as offer (offer.key)}
        <button class="plain link" onclick={() => write([...value, offer.key].join(', '))}
          >{offer.name} <span class="quiet">{offer.count}</span></button
        >
      {/each}
    </p>
  {/if}
</div>

<style>
  .terms {
    display: grid;
    gap: 4px;
    align-content: start;
  }
  textarea {
    resize: vertical;
    width: 100%;
    line-height: 1.5;
  }
  .many {
    color: var(--attention);
  }
  .offers {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 14px;
  }
  .offers button {
    min-height: 24px;
  }
</style>
