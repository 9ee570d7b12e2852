<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import type { Bench } from '../../bench/bench.svelte';
  import Choice from '../Choice.svelte';
  import { pictures, settings, type LayoutSettings } from '../../layouts';

  let { holder: bench, brief }: { holder: Bench; brief: WholeBrief } = $props();

  const parts = [
    ['rating', 'Rating'],
    ['title', 'Title'],
    ['words', 'Words'],
    ['name', 'Name'],
    ['date', 'Date'],
    ['source', 'Source'],
    ['reply', 'Your reply'],
    ['face', 'Portrait or initials'],
    ['pictures', 'Pictures'],
  ] as const;
  const shape = $derived(brief.shape);
  const Settings = $derived(settings[shape.layout.name]);
  const setLayout = (layout: LayoutSettings): void => bench.change((changed) => (changed.shape.layout = layout));
  const turn = (part: (typeof parts)[number][0]): void =>
    bench.change((changed) => {
      const has = changed.shape.card.includes(part);
      changed.shape.card = parts
        .map(([name]) => name)
        .filter((name) => (name === part ? !has : changed.shape.card.includes(name)));
    });
</script>

<div class="columns">
  <fieldset>
    <legend>Layout</legend>
    <div class="pictures">
      {#each bench.offered?.layouts ?? [] as { name, label } (name)}
        <button
          class="plain picture"
          aria-pressed={shape.layout.name === name}
          onclick={() => shape.layout.name !== name && setLayout({ name } as LayoutSettings)}
        >
          <span class="drawing" style:mask-image="url('{pictures[name]}')" aria-hidden="true"></span>
          {label}
        </button>
      {/each}
    </div>
  </fieldset>
  {#if Settings}
    <div><Settings layout={shape.layout} onchange={setLayout} /></div>
  {/if}
  <fieldset class="card">
    <legend>On each card</legend>
    <div>
      {#each parts as [part, name] (part)}
        <Choice type="checkbox" checked={shape.card.includes(part)} onchange={() => turn(part)}>{name}</Choice>
      {/each}
    </div>
  </fieldset>
  <div>
    <label for="shorten">Length of the words</label><br />
    <select
      id="shorten"
      class="field"
      value={shape.shorten ?? 0}
      onchange={(event) => {
        const characters = Number(event.currentTarget.value);
        bench.change((changed) => (changed.shape.shorten = characters === 0 ? null : characters));
      }}
    >
      {#each [...new Set([120, 220, 400, 800, shape.shorten ?? 220])].sort((a, b) => a - b) as characters (characters)}
        <option value={characters}>{characters} characters</option>
      {/each}
      <option value={0}>in full</option>
    </select>
    <p class="small quiet">“Read more” opens the rest.</p>
    <label class="moving"
      >Names
      <select
        class="field"
        value={shape.names}
        onchange={(event) => {
          const names = event.currentTarget.value as typeof shape.names;
          bench.change((changed) => (changed.shape.names = names));
        }}
      >
        <option value="full">as given</option>
        <option value="short">first name, initial of the last</option>
        <option value="initials">initials only</option>
      </select></label
    >
  </div>
</div>

<style>
  .columns {
    display: flex;
    flex-wrap: wrap;
    gap: 14px 28px;
  }
  .pictures {
    display: flex;
    gap: 8px;
    margin-top: 4px;
  }
  .picture {
    display: grid;
    justify-items: center;
    gap: 4px;
    padding: 8px;
    border: 1px solid var(--line);
    border-radius: 3px;
  }
  .drawing {
    width: 84px;
    height: 48px;
    background: currentColor;
    mask: center / contain no-repeat;
  }
  .picture[aria-pressed='true'] {
    border-color: var(--accent);
    box-shadow: inset 0 -3px 0 var(--accent);
    color: var(--accent);
  }
  .columns :global(select),
  .columns p {
    width: 190px;
  }
  .columns :global(select) {
    padding-right: 30px;
  }
  .moving {
    display: grid;
    gap: 2px;
  }
  .card div {
    display: grid;
    grid-template-columns: auto auto;
    gap: 0 28px;
  }
  select {
    padding-right: 30px;
  }
</style>
