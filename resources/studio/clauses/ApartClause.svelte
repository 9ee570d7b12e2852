<script lang="ts">
  import type { WholeBrief } from '../api/client';
  import Choice from './Choice.svelte';
  import type { Holder } from './holder';

  let { holder, brief, own }: { holder: Holder; brief: WholeBrief; own: string } = $props();

  const others = $derived((holder.offered?.widgets ?? []).filter(({ key }) => key !== own));
  const turn = (key: string): void =>
    holder.change((changed) => {
      const had = changed.gather.apartFrom;
      changed.gather.apartFrom = had.includes(key) ? had.filter((one) => one !== key) : [...had, key];
    });
</script>

<fieldset>
  <legend>Leave out what these widgets show, where they stand on the same page</legend>
  {#each others as widget (widget.key)}
    <Choice
      type="checkbox"
      checked={brief.gather.apartFrom.includes(widget.key)}
      note={widget.count > 0 ? `shows ${widget.count}` : 'not out yet'}
      onchange={() => turn(widget.key)}>{widget.name}</Choice
    >
  {:else}
    <p class="quiet">There is no other widget.</p>
  {/each}
</fieldset>

<style>
  fieldset {
    max-width: 460px;
  }
</style>
