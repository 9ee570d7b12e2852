<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import type { Bench } from '../bench.svelte';
  import Choice from './Choice.svelte';

  let { bench, brief }: { bench: Bench; brief: WholeBrief } = $props();

  const all = $derived(bench.sources.map((source) => source.key));
  const wanted = $derived(brief.gather.sources ?? all);

  function turn(key: string): void {
    const next = wanted.includes(key)
      ? wanted.filter((one) => one !== key)
      : all.filter((one) => one === key || wanted.includes(one));
    bench.change((changed) => (changed.gather.sources = next));
  }
</script>

<fieldset>
  <legend class="unseen">Sources</legend>
  <Choice
    type="checkbox"
    checked={brief.gather.sources === null}
    onchange={() => bench.change((changed) => (changed.gather.sources = brief.gather.sources === null ? all : null))}
    >Every source, also those connected later</Choice
  >
  {#each bench.sources as source (source.key)}
    <Choice
      type="checkbox"
      checked={wanted.includes(source.key)}
      disabled={brief.gather.sources === null}
      note="{source.channelName}, {source.entries} entries{source.state === 'disconnected' ? ', disconnected' : ''}"
      onchange={() => turn(source.key)}>{source.name}</Choice
    >
  {/each}
  {#if bench.sources.length === 0}<p>No source is connected. <a class="link" href="/sources">Add one</a>.</p>{/if}
</fieldset>

<style>
  fieldset {
    max-width: 560px;
  }
</style>
