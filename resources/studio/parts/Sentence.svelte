<script lang="ts">
  import type { Phrase, PhraseKey } from '../api/client';

  interface Props {
    phrases: Phrase[];
    open: PhraseKey | null;
    onopen: (phrase: PhraseKey) => void;
    /** Whether it stands above a list, and is not what the screen is about. @default false */
    small?: boolean;
  }
  let { phrases, open, onopen, small = false }: Props = $props();

  function press(event: KeyboardEvent, key: Phrase['key']): void {
    if (!key || (event.key !== 'Enter' && event.key !== ' ')) return;
    event.preventDefault();
    onopen(key);
  }
</script>

<!-- Spans, since a button cannot be broken between lines. -->
<p class="sentence" class:small>
  {#each phrases as phrase, index (phrase.key ?? index)}{#if phrase.key}<span
        class="phrase"
        role="button"
        tabindex="0"
        data-phrase={phrase.key}
        aria-expanded={open === phrase.key}
        aria-controls={open === phrase.key ? 'controls' : undefined}
        onclick={() => phrase.key && onopen(phrase.key)}
        onkeydown={(event) => press(event, phrase.key)}>{phrase.text}</span
      >{:else}<span>{phrase.text}</span>{/if}{/each}
</p>

<style>
  .sentence {
    font: 400 26px/1.45 var(--font-serif);
    text-wrap: pretty;
    max-width: 46em;
  }
  .sentence.small {
    font-size: 18px;
    max-width: none;
  }
  .phrase {
    cursor: pointer;
    background: linear-gradient(var(--accent-mid), var(--accent-mid)) 0 100% / 100% 1px no-repeat;
    transition: color 140ms;
  }
  .phrase:hover {
    color: var(--accent);
  }
  /* The wedge: thick to thin, left to right. */
  .phrase[aria-expanded='true'] {
    color: var(--accent);
    font-weight: 600;
    background: url("data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 100 5' preserveAspectRatio='none'%3E%3Cpath d='M0 0h100v1L0 5z' fill='%231c8470'/%3E%3C/svg%3E")
      0 100% / 100% 5px no-repeat;
    box-decoration-break: clone;
    -webkit-box-decoration-break: clone;
  }
</style>
