<script module lang="ts">
  export const members = ['/gather/apartFrom'];
</script>

<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import Choice from '../Choice.svelte';
  import type { Bench } from '../../bench/bench.svelte';

  let { holder, brief }: { holder: Bench; brief: WholeBrief } = $props();

  const others = $derived((holder.offered?.widgets ?? []).filter(({ key }) => key !== holder.key));
  const turn = (key: string): void =>
    holder.change((changed) => {
      const had = changed.gather.apartFrom;
      changed.gather.apartFrom = had.includes(key) ? had.filter((one) => one !== key) : [...had, key];
    });
</script>

<fieldset>
  <legend>Leave out what these widgets on the same page show</legend>
  {#each others as widget (widget.key)}
    <Choice
      type="checkbox"
      checked={brief.gather.apartFrom.includes(widget.key)}
      note={widget.count > 0 ? `shows ${widget.count}` : 'not published yet'}
      onchange={() => turn(widget.key)}>{widget.name}</Choice
    >
  {:else}
    <p class="quiet">There are no other widgets.</p>
  {/each}
</fieldset>

<style>
  fieldset {
    max-width: 460px;
  }
</style>
