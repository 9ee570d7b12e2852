<script lang="ts">
  import Picture from './Picture.svelte';

  interface Drawn {
    key: string;
    name: string;
    about?: string;
    fragment: string;
    ground: string;
  }
  interface Props {
    label: string;
    pictures: readonly Drawn[];
    chosen: string;
    onchoose: (key: string) => void;
  }
  let { label, pictures, chosen, onchoose }: Props = $props();
  let row = $state<HTMLElement>();
  /** What the tab key comes to: the one chosen, or the first where that is not among them. */
  const entry = $derived(pictures.some(({ key }) => key === chosen) ? chosen : pictures[0]?.key);

  /** Arrows move through the pictures, and the proof follows. */
  function onkeydown(event: KeyboardEvent): void {
    const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
    const radios = [...(row?.querySelectorAll<HTMLButtonElement>('[role=radio]') ?? [])];
    if (!by || radios.length === 0) return;
    event.preventDefault();
    const at = radios.findIndex((radio) => radio === document.activeElement);
    const next = radios[(at + by + radios.length) % radios.length];
    next?.focus();
    next?.click();
  }
</script>

<!-- svelte-ignore a11y_interactive_supports_focus -->
<div class="row" role="radiogroup" aria-label={label} bind:this={row} {onkeydown}>
  {#each pictures as { key, name, about, fragment, ground } (key)}
    <button
      class="plain"
      role="radio"
      aria-checked={chosen === key}
      aria-label={name}
      title={about}
      tabindex={key === entry ? 0 : -1}
      onclick={() => onchoose(key)}
    >
      <Picture {fragment} {ground} />
      <span>{name}</span>
    </button>
  {/each}
</div>

<style>
  .row {
    display: flex;
    gap: 10px;
    overflow-x: auto;
    padding: 3px 3px 10px;
    scrollbar-width: thin;
  }
  button {
    flex: none;
    display: grid;
    gap: 4px;
    padding: 5px;
    border: 1px solid var(--line);
    border-radius: 3px;
    text-align: start;
  }
  button[aria-checked='true'] {
    border-color: var(--accent);
    box-shadow: inset 0 -3px 0 var(--accent);
    color: var(--accent);
    font-weight: 600;
  }
</style>
