<script lang="ts">
  import { marked } from '../parts/fold';

  interface Props {
    text: string;
    /** What was looked for: words that begin so are marked. */
    words: string;
  }
  let { text, words }: Props = $props();

  const pieces = $derived(marked(text, words));
</script>

{#each pieces as piece, index (index)}{#if index % 2 === 1}<mark>{piece}</mark>{:else}{piece}{/if}{/each}

<style>
  mark {
    background: var(--accent-soft);
    color: inherit;
    box-shadow: 0 2px 0 var(--accent);
  }
</style>
