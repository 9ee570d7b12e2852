<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import type { Holder } from '../holder';

  let { holder, brief }: { holder: Holder; brief: WholeBrief } = $props();

  function set(of: 'author' | 'source', most: number): void {
    holder.change((changed) => {
      const next = { author: null, source: null, ...changed.sift.most, [of]: most === 0 ? null : most };
      changed.sift.most = next.author === null && next.source === null ? null : next;
    });
  }
</script>

<div class="columns">
  {#each [['author', 'At most per author'], ['source', 'At most per source']] as const as [of, label] (of)}
    <label
      >{label}
      <select
        class="field"
        value={brief.sift.most?.[of] ?? 0}
        onchange={(event) => set(of, Number(event.currentTarget.value))}
      >
        <option value={0}>no limit</option>
        {#each [...new Set([1, 2, 3, 5, 10, brief.sift.most?.[of] ?? 1])].sort((a, b) => a - b) as most (most)}<option
            value={most}>{most}</option
          >{/each}
      </select></label
    >
  {/each}
  <p class="small quiet">Those that come first in the order stay; pinned entries always do.</p>
</div>

<style>
  .columns {
    display: flex;
    flex-wrap: wrap;
    align-items: end;
    gap: 12px 32px;
  }
  label {
    display: grid;
    gap: 4px;
  }
</style>
