<script lang="ts">
  import type { PhraseKey } from '../api/client';
  import AllowedClause from '../clauses/AllowedClause.svelte';
  import ApartClause from '../clauses/ApartClause.svelte';
  import CadenceClause from '../clauses/CadenceClause.svelte';
  import DressClause from '../clauses/DressClause.svelte';
  import HandClause from '../clauses/HandClause.svelte';
  import HeadClause from '../clauses/HeadClause.svelte';
  import LabelsClause from '../clauses/LabelsClause.svelte';
  import LanguagesClause from '../clauses/LanguagesClause.svelte';
  import LayoutClause from '../clauses/LayoutClause.svelte';
  import MediaClause from '../clauses/MediaClause.svelte';
  import MoreClause from '../clauses/MoreClause.svelte';
  import MostClause from '../clauses/MostClause.svelte';
  import OrderClause from '../clauses/OrderClause.svelte';
  import PlaceClause from '../clauses/PlaceClause.svelte';
  import SourcesClause from '../clauses/SourcesClause.svelte';
  import StarsClause from '../clauses/StarsClause.svelte';
  import WhenClause from '../clauses/WhenClause.svelte';
  import WordsClause from '../clauses/WordsClause.svelte';
  import type { Bench } from './bench.svelte';

  let { bench, onopen }: { bench: Bench; onopen: (key: PhraseKey) => void } = $props();

  const names: Record<PhraseKey, string> = {
    order: 'How many, of what, in which order',
    sources: 'From which sources, about what',
    stars: 'Stars and words',
    words: 'Words, hashtags and length',
    languages: 'Languages',
    when: 'Time',
    labels: 'Labels',
    media: 'Pictures and replies',
    most: 'At most from one author or source',
    allowed: 'What channels allow',
    apart: 'Apart from other widgets',
    hand: 'Picked by hand',
    more: 'What else to ask',
    layout: 'Layout and cards',
    head: 'Above and below the cards',
    dress: 'Dressing',
    place: 'Code to paste',
    cadence: 'How often its sources are looked at',
  };
  const key = $derived(bench.open);
</script>

{#if key && bench.brief}
  {@const brief = bench.brief}
  <section id="controls" aria-label={names[key]}>
    {#if key === 'order'}<OrderClause holder={bench} {brief} />
    {:else if key === 'sources'}<SourcesClause holder={bench} {brief} />
    {:else if key === 'stars'}<StarsClause holder={bench} {brief} />
    {:else if key === 'words'}<WordsClause holder={bench} {brief} />
    {:else if key === 'languages'}<LanguagesClause holder={bench} {brief} />
    {:else if key === 'when'}<WhenClause holder={bench} {brief} />
    {:else if key === 'labels'}<LabelsClause holder={bench} {brief} />
    {:else if key === 'media'}<MediaClause holder={bench} {brief} />
    {:else if key === 'most'}<MostClause holder={bench} {brief} />
    {:else if key === 'allowed'}<AllowedClause holder={bench} {brief} />
    {:else if key === 'apart'}<ApartClause holder={bench} {brief} own={bench.key} />
    {:else if key === 'more'}<MoreClause
        keys={['words', 'languages', 'when', 'labels', 'media', 'most', 'allowed', 'apart']}
        {onopen}
      />
    {:else if key === 'hand'}<HandClause {bench} {brief} />
    {:else if key === 'layout'}<LayoutClause {bench} {brief} />
    {:else if key === 'head'}<HeadClause {bench} {brief} />
    {:else if key === 'dress'}<DressClause {bench} {brief} />
    {:else if key === 'place'}<PlaceClause {bench} {brief} />
    {:else if key === 'cadence'}<CadenceClause {bench} {brief} />
    {/if}
  </section>
{/if}

<style>
  section {
    margin: 10px 0 4px;
    padding: 14px 16px;
    background: var(--surface);
    border: solid var(--line);
    border-width: 1px 0;
  }
</style>
