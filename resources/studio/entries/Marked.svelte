<script lang="ts">
  interface Props {
    text: string;
    /** Words to mark, apart by blanks. */
    words: string;
  }
  let { text, words }: Props = $props();

  const pieces = $derived.by(() => {
    const wanted = words
      .split(/\s+/)
      .filter(Boolean)
      .map((word) => word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'));
    if (wanted.length === 0) return [text];
    return text.split(new RegExp(`(${wanted.join('|')})`, 'giu'));
  });
</script>

{#each pieces as piece, index (index)}{#if index % 2 === 1}<mark>{piece}</mark>{:else}{piece}{/if}{/each}

<style>
  mark {
    background: var(--accent-soft);
    color: inherit;
    box-shadow: 0 2px 0 var(--accent);
  }
</style>
