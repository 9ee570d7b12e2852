<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import type { Bench } from '../../bench/bench.svelte';
  import FromPage from '../../bench/dress/FromPage.svelte';
  import Legible from '../../bench/dress/Legible.svelte';
  import Looks from '../../bench/dress/Looks.svelte';
  import OwnRules from '../../bench/dress/OwnRules.svelte';
  import TokenList from '../../bench/dress/TokenList.svelte';
  import Words from '../../bench/dress/Words.svelte';

  let { holder: bench, brief }: { holder: Bench; brief: WholeBrief } = $props();

  const PARTS = [
    ['looks', 'Ready and kept looks', Looks],
    ['page', 'As your page', FromPage],
    ['tokens', 'Single tokens', TokenList],
    ['legible', 'Can it be read?', Legible],
    ['words', 'Words', Words],
    ['rules', 'Rules of your own', OwnRules],
  ] as const;
  let chosen = $state<(typeof PARTS)[number][0]>('looks');
  const Part = $derived(PARTS.find(([key]) => key === chosen)?.[2] ?? Looks);
  const wrong = $derived<Record<string, number>>({
    legible: new Set(bench.proof?.dress.findings.filter((one) => one.isRefused).map((one) => one.token)).size,
    words: bench.proof?.dress.words.length ?? 0,
    rules: bench.proof?.dress.problems.length ?? 0,
  });
  const mended = $derived(
    new Set(bench.proof?.dress.findings.filter((one) => !one.isRefused).map((one) => `${one.scheme}.${one.token}`))
      .size,
  );
</script>

<div class="parts" role="group" aria-label="Parts of the look">
  {#each PARTS as [key, name] (key)}
    <button class="plain" aria-pressed={chosen === key} onclick={() => (chosen = key)}>
      {name}{#if wrong[key]}<span class="mark attention">
          {wrong[key]}</span
        >{/if}{#if key === 'legible' && mended > 0}<span class="mark">&nbsp;{mended} fixed</span>{/if}
    </button>
  {/each}
</div>
<Part {bench} {brief} />

<style>
  .parts {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 20px;
    margin-bottom: 10px;
  }
  .parts button {
    color: var(--quiet);
    min-height: 30px;
  }
  .parts button[aria-pressed='true'] {
    color: var(--accent);
    font-weight: 600;
    box-shadow: inset 0 -3px 0 var(--accent);
  }
  .mark {
    font-size: 13px;
    color: var(--quiet);
    font-weight: 400;
  }
  .attention {
    color: var(--attention);
    font-weight: 600;
  }
</style>
