<script module lang="ts">
  export const members = ['/gather/sources', '/gather/channels', '/gather/subjects'];
</script>

<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import Choice from '../Choice.svelte';
  import type { Holder } from '../holder';

  let { holder, brief }: { holder: Holder; brief: WholeBrief } = $props();

  const all = $derived(holder.sources.map((source) => source.key));
  const wanted = $derived(brief.gather.sources ?? all);

  function turn(key: string): void {
    const next = wanted.includes(key)
      ? wanted.filter((one) => one !== key)
      : all.filter((one) => one === key || wanted.includes(one));
    holder.change((changed) => (changed.gather.sources = next));
  }

  /** None ticked is the same as all: whatever comes. */
  function turnIn(member: 'channels' | 'subjects', key: string): void {
    holder.change((changed) => {
      const had = changed.gather[member] ?? [];
      const next = had.includes(key) ? had.filter((one) => one !== key) : [...had, key];
      changed.gather[member] = next.length === 0 ? null : next;
    });
  }
</script>

<div class="columns">
  <fieldset>
    <legend>Sources</legend>
    <Choice
      type="checkbox"
      checked={brief.gather.sources === null}
      onchange={() => holder.change((changed) => (changed.gather.sources = brief.gather.sources === null ? all : null))}
      >All sources, also those connected later</Choice
    >
    {#each holder.sources as source (source.key)}
      <Choice
        type="checkbox"
        checked={wanted.includes(source.key)}
        disabled={brief.gather.sources === null}
        note="{source.channelName}, {source.entries}{source.state === 'disconnected' ? ', disconnected' : ''}"
        onchange={() => turn(source.key)}>{source.name}</Choice
      >
    {/each}
    {#if holder.sources.length === 0}<p>No source is connected. <a class="link" href="/sources">Add one</a>.</p>{/if}
  </fieldset>
  {#each [['subjects', 'About'], ['channels', 'Channels']] as const as [member, legend] (member)}
    {#if (holder.offered?.[member].length ?? 0) > 0}
      <fieldset>
        <legend>{legend}</legend>
        {#each holder.offered?.[member] ?? [] as one (one.key)}
          <Choice
            type="checkbox"
            checked={brief.gather[member]?.includes(one.key) ?? false}
            note={String(one.count)}
            onchange={() => turnIn(member, one.key)}>{one.name}</Choice
          >
        {/each}
        <p class="small quiet">{brief.gather[member] === null ? 'None ticked means all.' : 'Only those ticked.'}</p>
      </fieldset>
    {/if}
  {/each}
</div>

<style>
  fieldset {
    max-width: 420px;
  }
</style>
