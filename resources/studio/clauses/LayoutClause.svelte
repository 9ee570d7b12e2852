<script lang="ts">
  import type { WholeBrief } from '../api/client';
  import type { Bench } from '../bench/bench.svelte';
  import Choice from './Choice.svelte';

  let { bench, brief }: { bench: Bench; brief: WholeBrief } = $props();

  const parts = [
    ['rating', 'Rating'],
    ['title', 'Title'],
    ['words', 'Words'],
    ['name', 'Name'],
    ['date', 'Date'],
    ['source', 'Where it was said'],
    ['reply', 'Your reply'],
    ['face', 'Face, or initials'],
    ['pictures', 'Pictures'],
  ] as const;
  const shape = $derived(brief.shape);
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
      {#each [['carousel', 'Carousel'], ['list', 'List']] as const as [layout, name] (layout)}
        <button
          class="plain picture"
          aria-pressed={shape.layout === layout}
          onclick={() => bench.change((changed) => (changed.shape.layout = layout))}
        >
          <svg width="84" height="48" viewBox="0 0 84 48" aria-hidden="true">
            {#if layout === 'carousel'}<path
                d="M4 8h20M4 14h14M32 8h20M32 14h17M60 8h20M60 14h12M28 4v28M56 4v28M4 40h8M72 40h8"
              />{:else}<path d="M4 6h60M4 12h44M4 18.500h76M4 25h56M4 31h40M4 37.500h76M4 44h50" />{/if}
          </svg>
          {name}
        </button>
      {/each}
    </div>
  </fieldset>
  {#if shape.layout === 'carousel'}
    <div>
      <label for="across">Across, where there is room</label>
      <div class="across">
        <input
          id="across"
          type="range"
          min="1"
          max="5"
          value={shape.across}
          oninput={(event) => {
            const across = event.currentTarget.valueAsNumber;
            bench.change((changed) => (changed.shape.across = across));
          }}
        /> <strong>{shape.across}</strong>
      </div>
      <label class="moving"
        >Moves by itself
        <select
          class="field"
          value={shape.autoplay ?? 0}
          onchange={(event) => {
            const seconds = Number(event.currentTarget.value);
            bench.change((changed) => (changed.shape.autoplay = seconds === 0 ? null : seconds));
          }}
        >
          <option value={0}>never</option>
          {#each [...new Set([4, 5, 7, 10, shape.autoplay ?? 5])].sort((a, b) => a - b) as seconds (seconds)}<option
              value={seconds}>every {seconds} seconds</option
            >{/each}
        </select></label
      >
      <p class="small quiet">Five seconds is comfortable. Visitors can pause it.</p>
      <Choice
        type="checkbox"
        checked={shape.wholeRows}
        onchange={() => bench.change((changed) => (changed.shape.wholeRows = !changed.shape.wholeRows))}
        >Whole rows only</Choice
      >
    </div>
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
    <label for="shorten">Words</label><br />
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
        <option value={characters}>up to {characters} characters</option>
      {/each}
      <option value={0}>always whole</option>
    </select>
    <p class="small quiet">The rest opens at “Read more”.</p>
    <label class="moving"
      >People are named
      <select
        class="field"
        value={shape.names}
        onchange={(event) => {
          const names = event.currentTarget.value as typeof shape.names;
          bench.change((changed) => (changed.shape.names = names));
        }}
      >
        <option value="full">as they gave it</option>
        <option value="short">first name and initial</option>
        <option value="initials">by initials</option>
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
  .picture[aria-pressed='true'] {
    border-color: var(--accent);
    box-shadow: inset 0 -3px 0 var(--accent);
    color: var(--accent);
  }
  .picture svg {
    stroke: currentColor;
    stroke-width: 2;
    fill: none;
  }
  .across {
    display: flex;
    gap: 10px;
    align-items: center;
    min-height: 32px;
  }
  .across input {
    accent-color: var(--accent);
  }
  .columns :global(select),
  .columns p {
    width: 190px;
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
