<script lang="ts">
  import type { PhraseKey } from '../api/client';

  interface Props {
    /** Wishes that are offered. */
    keys: PhraseKey[];
    onopen: (key: PhraseKey) => void;
  }
  let { keys, onopen }: Props = $props();

  const wishes: Partial<Record<PhraseKey, [string, string]>> = {
    words: ['Words, hashtags, length', 'what they say, or must not say'],
    languages: ['Languages', 'some only, or the page’s first'],
    when: ['Time', 'the last months, or between two days'],
    labels: ['Labels', 'yours, also page by page'],
    media: ['Pictures and replies', 'only entries that have them'],
    most: ['Not too many of one', 'author or source'],
    allowed: ['What channels allow', 'figures only, or words in full'],
    apart: ['Nothing twice on a page', 'leave out what other widgets show'],
  };
</script>

<div class="wishes" role="group" aria-label="What else to ask">
  {#each keys as key (key)}
    {@const wish = wishes[key]}
    {#if wish}
      <button class="plain" onclick={() => onopen(key)}>
        <strong class="link">{wish[0]}</strong> <span class="small quiet">{wish[1]}</span>
      </button>
    {/if}
  {/each}
</div>

<style>
  .wishes {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
    gap: 6px 24px;
  }
  button {
    display: grid;
    min-height: 44px;
    align-content: center;
  }
  strong {
    font-weight: 600;
  }
</style>
