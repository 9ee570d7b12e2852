<script module lang="ts">
  export const members = ['/sift/labels'];
</script>

<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import type { Holder } from '../holder';
  import Terms, { LISTS } from '../Terms.svelte';

  let { holder, brief }: { holder: Holder; brief: WholeBrief } = $props();

  const labels = $derived(brief.sift.labels);

  type Labels = NonNullable<WholeBrief['sift']['labels']>;
  function change(how: (labels: Labels) => void): void {
    holder.change((changed) => {
      const next: Labels = { all: [], any: [], none: [], byPage: [], ...changed.sift.labels };
      how(next);
      const empty = next.all.length + next.any.length + next.none.length + next.byPage.length === 0;
      changed.sift.labels = empty ? null : next;
    });
  }
</script>

<div class="columns">
  <fieldset>
    <legend>Your labels, and those from the source</legend>
    {#each LISTS as [list, label] (list)}
      <Terms
        {label}
        value={labels?.[list] ?? []}
        offers={list === 'any' ? holder.offered?.labels : []}
        onchange={(terms) => change((next) => (next[list] = terms))}
      />
    {/each}
    {#if (holder.offered?.labels.length ?? 0) === 0}<p class="small quiet">
        Nothing has a label yet. In Entries, <kbd>l</kbd> labels what is selected.
      </p>{/if}
  </fieldset>
  {#if !holder.isListing}
    <fieldset>
      <legend>Other labels on some pages</legend>
      {#each labels?.byPage ?? [] as one, index (index)}
        <div class="page">
          <label
            >On pages <input
              class="field"
              value={one.page}
              placeholder="/visit*"
              onchange={(event) => {
                const page = event.currentTarget.value.trim();
                change((next) => {
                  if (page !== '') next.byPage[index] = { ...one, page };
                });
              }}
            /></label
          >
          <Terms
            label="Any of"
            value={one.any ?? []}
            onchange={(terms) => change((next) => (next.byPage[index] = { ...one, any: terms }))}
          />
          <button class="plain link" onclick={() => change((next) => next.byPage.splice(index, 1))}>Remove</button>
        </div>
      {/each}
      <button
        class="field add"
        onclick={() => change((next) => next.byPage.push({ page: '/', all: [], any: [], none: [] }))}>Add pages</button
      >
      <p class="small quiet">
        The same code then shows other entries on these pages. A star stands for anything: <code>/shop/*</code>.
      </p>
    </fieldset>
  {/if}
</div>

<style>
  .columns {
    display: grid;
    grid-template-columns: minmax(240px, 1fr) minmax(300px, 1.4fr);
    gap: 14px 40px;
  }
  fieldset {
    display: grid;
    gap: 8px;
    align-content: start;
  }
  .page {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(150px, 100%), 1fr));
    gap: 10px;
    align-items: end;
  }
  .page label {
    display: grid;
    gap: 4px;
  }
  .add {
    width: fit-content;
    cursor: pointer;
  }
  kbd,
  code {
    font: 13px var(--font-mono);
  }
  @media (max-width: 900px) {
    .columns {
      grid-template-columns: 1fr;
    }
  }
</style>
