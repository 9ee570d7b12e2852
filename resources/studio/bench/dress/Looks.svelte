<script lang="ts">
  import { untrack } from 'svelte';
  import Button from 'flowbite-svelte/Button.svelte';
  import { api, ask, type WholeBrief } from '../../api/client';
  import { notices } from '../../parts/notices.svelte';
  import type { Bench } from '../bench.svelte';
  import { Drawn } from '../shape/drawn.svelte';
  import PictureRow from '../shape/PictureRow.svelte';
  import Select from '../shape/Select.svelte';
  import Kept from './Kept.svelte';

  let { bench, brief }: { bench: Bench; brief: WholeBrief } = $props();

  let accent = $state('#0e6656');
  const looks = $derived(bench.offered?.looks ?? []);
  const look = $derived(bench.proof?.dress.look);

  // What it shows and how it is laid out; the look itself changes nothing of the pictures.
  const asked = $derived(JSON.stringify([{ ...brief, dress: null }, looks.map(({ key }) => key)]));
  const drawn = new Drawn<{ key: string; fragment: string; ground: string }>(
    () => asked,
    async () => {
      const body = { brief: $state.snapshot(untrack(() => brief)) as WholeBrief };
      return (await ask(api.POST('/looks/pictures', { body }))).looks;
    },
  );

  const nothing = (members: object): never =>
    Object.fromEntries(Object.keys(members).map((name) => [name, null])) as never;

  /** A look as it is, with nothing of another left over. */
  function wear(key: string): void {
    bench.change(({ dress }) => {
      Object.assign(dress, { name: key, scheme: null, refused: [] });
      dress.light = nothing(dress.light);
      dress.dark = nothing(dress.dark);
      dress.tokens = nothing(dress.tokens);
    });
  }

  type Move = 'calmer' | 'stronger' | 'closer' | 'airier' | 'sharper' | 'rounder' | 'accent';
  const MOVES: [Move, Move][] = [
    ['calmer', 'stronger'],
    ['closer', 'airier'],
    ['sharper', 'rounder'],
  ];
  async function move(how: Move): Promise<void> {
    try {
      const body = { brief: $state.snapshot(brief) as WholeBrief, move: how, accent };
      const moved = (await ask(api.POST('/looks/moved', { body }))).brief as WholeBrief;
      bench.take(moved);
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<PictureRow
  label="Look"
  pictures={looks.map(({ key, name, about, light }) => {
    const picture = drawn.pictures.find((one) => one.key === key);
    return {
      key,
      name,
      about,
      fragment: picture?.fragment ?? '',
      ground: picture?.ground ?? light['ground'] ?? '#fff',
    };
  })}
  chosen={brief.dress.name}
  onchoose={wear}
/>
{#if drawn.broken}<p class="small" role="alert">The pictures cannot be made: {drawn.broken}</p>{/if}

<div class="below">
  <Select
    label="Light or dark"
    value={brief.dress.scheme ?? look?.scheme ?? 'light'}
    options={[
      ['light', 'light'],
      ['dark', 'dark'],
      ['page', 'as the page is'],
      ['visitor', 'as visitors prefer'],
    ]}
    onchange={(scheme) => bench.change(({ dress }) => (dress.scheme = scheme))}
  />
  <div class="moves" role="group" aria-label="Moves">
    {#each MOVES as [less, more] (less)}
      <span class="move"
        ><button class="plain" onclick={() => move(less)}>{less}</button><i aria-hidden="true"></i><button
          class="plain"
          onclick={() => move(more)}>{more}</button
        ></span
      >
    {/each}
    <span class="move"
      ><input type="color" aria-label="Accent" bind:value={accent} />
      <button class="plain" onclick={() => move('accent')}>one accent colour</button></span
    >
  </div>
  <Button size="sm" color="alternative" onclick={() => wear(brief.dress.name)}>Take changes back</Button>
</div>
<Kept {bench} {brief} />

<style>
  .below {
    display: flex;
    flex-wrap: wrap;
    align-items: end;
    gap: 10px 28px;
    margin-top: 4px;
  }
  .moves {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 26px;
  }
  .move {
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 36px;
  }
  .move button {
    color: var(--accent);
    min-height: 32px;
  }
  .move i {
    width: 26px;
    height: 1px;
    background: var(--line);
  }
  .move input {
    width: 34px;
    height: 28px;
    padding: 1px;
    border: 1px solid var(--line);
    background: none;
  }
</style>
