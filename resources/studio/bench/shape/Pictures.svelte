<script lang="ts">
  import { untrack } from 'svelte';
  import { api, ask, type WholeBrief } from '../../api/client';
  import type { Bench } from '../bench.svelte';
  import { Drawn } from './drawn.svelte';
  import PictureRow from './PictureRow.svelte';

  let { bench, brief }: { bench: Bench; brief: WholeBrief } = $props();

  const PURPOSES = [
    ['', 'Everything'],
    ['reading', 'Reading'],
    ['pictures', 'Pictures'],
    ['small', 'A small place'],
    ['figure', 'An overall figure'],
    ['over', 'Over the page'],
  ] as const;
  type Layout = { name: string; label: string; madeFor: string[]; fragment: string };

  let purpose = $state<string>('');
  const names = $derived((bench.offered?.layouts ?? []).map(({ name, label }) => ({ name, label })));
  const ground = $derived(bench.proof?.dress.solid ?? '#fff');

  // The selection, what cards show and the look: the layout itself changes nothing of the pictures.
  const asked = $derived(
    JSON.stringify({ ...brief, shape: { ...brief.shape, layout: null, at: null, more: null, actions: null } }),
  );
  const drawn = new Drawn<Layout>(
    () => asked,
    async () => {
      const body = { brief: $state.snapshot(untrack(() => brief)) as WholeBrief };
      return (await ask(api.POST('/layouts', { body }))).layouts;
    },
  );
  const shown = $derived(drawn.pictures.filter((one) => purpose === '' || one.madeFor.includes(purpose)));
</script>

<div class="purposes" role="group" aria-label="Made for">
  {#each PURPOSES as [key, name] (key)}
    <button class="plain small" aria-pressed={purpose === key} onclick={() => (purpose = key)}>{name}</button>
  {/each}
</div>
<PictureRow
  label="Layout"
  pictures={(drawn.pictures.length > 0 ? shown : names).map((one) => ({
    key: one.name,
    name: one.label,
    fragment: 'fragment' in one ? (one as Layout).fragment : '',
    ground,
  }))}
  chosen={brief.shape.layout.name}
  onchoose={(name) => bench.layOut(name)}
/>
{#if drawn.broken}<p class="small" role="alert">The pictures cannot be made: {drawn.broken}</p>{/if}

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
</style>
