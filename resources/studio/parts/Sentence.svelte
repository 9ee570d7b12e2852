<script lang="ts">
  import type { Phrase } from '../api/client';

  interface Props {
    phrases: Phrase[];
    open: string | null;
    onopen: (phrase: string) => void;
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

<!-- Spans, since a button cannot be broken between lines; what is only offered is short. -->
<p class="sentence" class:small>
  {#each phrases as phrase, index (phrase.key ?? index)}{#if phrase.key && phrase.isOffer}<button
        class="offer"
        data-phrase={phrase.key}
        aria-expanded={open === phrase.key}
        aria-controls={open === phrase.key ? 'controls' : undefined}
        onclick={() => phrase.key && onopen(phrase.key)}>{phrase.text}</button
      >{:else if phrase.key}<span
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
  @media (max-width: 760px) {
    .sentence {
      font-size: 21px;
    }
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
  .offer {
    font: 400 13px/24px var(--font-sans);
    color: var(--quiet);
    min-height: 24px;
    padding: 0 4px;
    cursor: pointer;
    white-space: nowrap;
    margin: 0 4px;
    vertical-align: 0.12em;
    border-bottom: 1px dashed var(--line);
  }
  .offer::before {
    content: '+ ';
  }
  .offer:hover,
  .offer[aria-expanded='true'] {
    color: var(--accent);
    border-color: var(--accent);
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
