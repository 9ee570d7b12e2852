<script module lang="ts">
  export const members = ['/gather/allowed'];
</script>

<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import type { Holder } from '../holder';

  let { holder, brief }: { holder: Holder; brief: WholeBrief } = $props();

  const shows = [
    ['everything', 'everything'],
    ['figures', 'only the overall figures'],
    ['whole', 'full texts, never shortened'],
  ] as const;
  type Show = (typeof shows)[number][0];
  const of = (channel: string): string =>
    brief.gather.allowed.find((one) => one.channel === channel)?.show ?? 'everything';

  function set(channel: string, show: Show): void {
    holder.change((changed) => {
      const others = changed.gather.allowed.filter((one) => one.channel !== channel);
      changed.gather.allowed = show === 'everything' ? others : [...others, { channel, show }];
    });
  }
</script>

<fieldset>
  <legend>What may be shown from each channel</legend>
  {#each holder.offered?.channels ?? [] as channel (channel.key)}
    <label>
      <strong>{channel.name}</strong>
      <select
        class="field"
        value={of(channel.key)}
        onchange={(event) => set(channel.key, event.currentTarget.value as Show)}
      >
        {#each shows as [show, name] (show)}<option value={show}>{name}</option>{/each}
      </select>
      <span class="small quiet">{channel.count} {channel.count === 1 ? 'entry' : 'entries'}</span>
    </label>
  {:else}
    <p class="quiet">No source is connected.</p>
  {/each}
</fieldset>

<style>
  label {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(140px, 100%), max-content));
    gap: 12px;
    align-items: center;
    min-height: 40px;
    width: fit-content;
  }
  strong {
    font-weight: 600;
  }
</style>
