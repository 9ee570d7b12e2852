<script lang="ts">
  import TopicControls from '../clauses/Controls.svelte';
  import More from '../clauses/More.svelte';
  import type { Bench } from './bench.svelte';

  let { bench, onopen }: { bench: Bench; onopen: (key: string) => void } = $props();

  /** Of the stages that do not choose entries; the others come from the interface. */
  const names: Record<string, string> = {
    more: 'Add a condition',
    layout: 'Layout and cards',
    head: 'Above and below the cards',
    dress: 'Look',
    place: 'Code for your pages',
    cadence: 'How often sources are checked',
  };
  const key = $derived(bench.open ?? '');
  const name = $derived(names[key] ?? bench.offered?.topics.find((topic) => topic.key === key)?.name ?? key);
  /** What is not asked yet. */
  const left = $derived(
    (bench.offered?.topics ?? []).filter(({ key }) => !bench.proof?.sentence.some((phrase) => phrase.key === key)),
  );
</script>

{#if key && bench.brief}
  <section id="controls" aria-label={name}>
    {#if key === 'more'}<More topics={left} {onopen} />
    {:else}<TopicControls topic={key} holder={bench} brief={bench.brief} />{/if}
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
