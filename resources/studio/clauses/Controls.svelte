<script lang="ts">
  import Setting from '../bench/shape/Setting.svelte';
  import { made, setAt, valueAt, withoutControl, type ControlProps } from './holder';

  interface Props extends ControlProps {
    /** Of the topic. */
    topic: string;
  }
  let { topic, holder, brief }: Props = $props();

  const Made = $derived(made[topic]?.default);
  const rest = $derived(withoutControl(topic, holder.offered?.topics ?? []));
</script>

{#if Made}<Made {holder} {brief} />{/if}
{#each rest as [pointer, schema] (pointer)}
  <Setting
    {schema}
    value={valueAt(brief, pointer)}
    onchange={(value) => holder.change((changed) => setAt(changed, pointer, schema, value))}
  />
{/each}
