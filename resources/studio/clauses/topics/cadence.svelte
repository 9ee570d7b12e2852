<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import { clock } from '../../parts/clock.svelte';
  import { ago, since } from '../../parts/times';
  import Cadence from '../../sources/Cadence.svelte';
  import type { Bench } from '../../bench/bench.svelte';

  let { holder: bench, brief }: { holder: Bench; brief: WholeBrief } = $props();

  const used = $derived(
    bench.sources.filter(
      (source) => source.state !== 'disconnected' && (brief.gather.sources?.includes(source.key) ?? true),
    ),
  );
</script>

<p class="quiet">Each source is checked once for all the widgets that show it. Once a day is usual.</p>
<ul>
  {#each used as source (source.key)}
    <li>
      <strong>{source.name}</strong>
      <Cadence {source} onchange={() => bench.loadSources()} />
      <span class="small quiet"
        >checked {since(source.lastRound?.finishedAt, clock.now)}, next check {ago(source.nextAt, clock.now)}</span
      >
    </li>
  {:else}
    <li>None of its sources is connected. <a class="link" href="/sources">Go to Sources</a></li>
  {/each}
</ul>

<style>
  li {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(190px, 100%), 1fr));
    gap: 16px;
    align-items: center;
    min-height: 40px;
  }
  strong {
    font-weight: 600;
  }
</style>
