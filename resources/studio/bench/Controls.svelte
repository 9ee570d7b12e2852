<script lang="ts">
  import type { Bench } from './bench.svelte';
  import CadenceClause from './clauses/CadenceClause.svelte';
  import DressClause from './clauses/DressClause.svelte';
  import HandClause from './clauses/HandClause.svelte';
  import HeadClause from './clauses/HeadClause.svelte';
  import LayoutClause from './clauses/LayoutClause.svelte';
  import OrderClause from './clauses/OrderClause.svelte';
  import PlaceClause from './clauses/PlaceClause.svelte';
  import SourcesClause from './clauses/SourcesClause.svelte';
  import StarsClause from './clauses/StarsClause.svelte';

  let { bench }: { bench: Bench } = $props();

  const clauses = {
    order: ['How many, of what, in which order', OrderClause],
    sources: ['From which sources', SourcesClause],
    stars: ['Stars and words', StarsClause],
    hand: ['Picked by hand', HandClause],
    layout: ['Layout and cards', LayoutClause],
    head: ['Above and below the cards', HeadClause],
    dress: ['Dressing', DressClause],
    place: ['Code to paste', PlaceClause],
    cadence: ['How often its sources are looked at', CadenceClause],
  } as const;
  const clause = $derived(bench.open ? clauses[bench.open] : null);
</script>

{#if clause && bench.brief}
  {@const Clause = clause[1]}
  <section id="controls" aria-label={clause[0]}>
    <Clause {bench} brief={bench.brief} />
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
