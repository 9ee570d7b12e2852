<script lang="ts">
  import { untrack } from 'svelte';
  import { api, ask, type WholeBrief } from '../../api/client';
  import type { Bench } from '../bench.svelte';
  import Picture from './Picture.svelte';

  let { bench, brief }: { bench: Bench; brief: WholeBrief } = $props();

  const PURPOSES = [
    ['', 'Everything'],
    ['reading', 'Reading'],
    ['pictures', 'Pictures'],
    ['small', 'A small place'],
    ['figure', 'An overall figure'],
    ['over', 'Over the page'],
  ] as const;
  type Drawn = { name: string; label: string; madeFor: string[]; fragment: string };

  let purpose = $state<string>('');
  let pictures = $state<Drawn[]>([]);
  let broken = $state('');
  let row = $state<HTMLElement>();
  const shown = $derived(pictures.filter((one) => purpose === '' || one.madeFor.includes(purpose)));
  const names = $derived((bench.offered?.layouts ?? []).map(({ name, label }) => ({ name, label })));
  const ground = $derived(
    bench.proof?.dress.mended[bench.proof.dress.look.scheme === 'dark' ? 'dark' : 'light']['ground']?.slice(0, 7) ??
      '#fff',
  );

  // The selection, what cards show and the look: the layout itself changes nothing of the pictures.
  const asked = $derived(
    JSON.stringify({ ...brief, shape: { ...brief.shape, layout: null, at: null, more: null, actions: null } }),
  );
  $effect(() => {
    void asked;
    const waiting = setTimeout(() => void load(), 150);
    return () => clearTimeout(waiting);
  });

  async function load(): Promise<void> {
    try {
      const body = { brief: $state.snapshot(untrack(() => brief)) as WholeBrief };
      pictures = (await ask(api.POST('/layouts', { body }))).layouts;
      broken = '';
    } catch (error) {
      broken = (error as Error).message;
    }
  }

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

<div class="purposes" role="group" aria-label="Made for">
  {#each PURPOSES as [key, name] (key)}
    <button class="plain small" aria-pressed={purpose === key} onclick={() => (purpose = key)}>{name}</button>
  {/each}
</div>
<!-- svelte-ignore a11y_interactive_supports_focus -->
<div class="row" role="radiogroup" aria-label="Layout" bind:this={row} {onkeydown}>
  {#each pictures.length > 0 ? shown : names as one (one.name)}
    {@const isChosen = brief.shape.layout.name === one.name}
    <button
      class="plain"
      role="radio"
      aria-checked={isChosen}
      aria-label={one.label}
      tabindex={isChosen || (!shown.some(({ name }) => name === brief.shape.layout.name) && one.name === shown[0]?.name)
        ? 0
        : -1}
      onclick={() => bench.layOut(one.name)}
    >
      <Picture fragment={'fragment' in one ? (one as Drawn).fragment : ''} {ground} />
      <span>{one.label}</span>
    </button>
  {/each}
</div>
{#if broken}<p class="small" role="alert">The pictures cannot be made: {broken}</p>{/if}

<style>
  .purposes {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 16px;
    margin-bottom: 6px;
  }
  .purposes button {
    color: var(--quiet);
    min-height: 28px;
  }
  .purposes button[aria-pressed='true'] {
    color: var(--accent);
    font-weight: 600;
  }
  .row {
    display: flex;
    gap: 10px;
    overflow-x: auto;
    padding: 3px 3px 10px;
    scrollbar-width: thin;
  }
  .row button {
    flex: none;
    display: grid;
    gap: 4px;
    padding: 5px;
    border: 1px solid var(--line);
    border-radius: 3px;
    text-align: start;
  }
  .row button[aria-checked='true'] {
    border-color: var(--accent);
    box-shadow: inset 0 -3px 0 var(--accent);
    color: var(--accent);
    font-weight: 600;
  }
</style>
