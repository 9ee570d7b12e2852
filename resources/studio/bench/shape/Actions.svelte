<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import Choice from '../../clauses/Choice.svelte';
  import type { Bench } from '../bench.svelte';

  let { bench, brief }: { bench: Bench; brief: WholeBrief } = $props();

  type Action = WholeBrief['shape']['actions'][number];
  const OFFERED = [
    ['review', 'Write a review'],
    ['follow', 'Follow'],
    ['all', 'See all'],
    ['link', 'A link of your own'],
  ] as const;
  const actions = $derived(brief.shape.actions);
  const link = $derived(actions.find(({ does }) => does === 'link'));
  const pages = $derived(bench.sources.filter((source) => brief.gather.sources?.includes(source.key) ?? true));
  const set = (next: Action[]): void => bench.change((changed) => (changed.shape.actions = next));
  const turn = (does: Action['does']): void =>
    set(
      actions.some((action) => action.does === does)
        ? actions.filter((action) => action.does !== does)
        : [...actions, { does, sources: null, text: null, url: null }],
    );
  const change = (does: Action['does'], part: Partial<Action>): void =>
    set(actions.map((action) => (action.does === does ? { ...action, ...part } : action)));
  function turnSource(does: Action['does'], key: string): void {
    const now = actions.find((action) => action.does === does)?.sources ?? pages.map((source) => source.key);
    const next = now.includes(key) ? now.filter((one) => one !== key) : [...now, key];
    change(does, { sources: next.length === 0 || next.length === pages.length ? null : next });
  }
</script>

<fieldset>
  <legend>What visitors can do there</legend>
  {#each OFFERED as [does, name] (does)}
    {@const action = actions.find((one) => one.does === does)}
    <Choice type="checkbox" checked={action !== undefined} onchange={() => turn(does)}>{name}</Choice>
    {#if action && (does === 'review' || does === 'follow') && pages.length > 1}
      <div class="of">
        {#each pages as source (source.key)}
          <Choice
            type="checkbox"
            checked={action.sources?.includes(source.key) ?? true}
            onchange={() => turnSource(does, source.key)}>{source.name}</Choice
          >
        {/each}
      </div>
    {/if}
  {/each}
  {#if link}
    <input
      class="field"
      aria-label="Words of the link"
      placeholder="Plan your night"
      maxlength="60"
      value={link.text ?? ''}
      onchange={(event) => change('link', { text: event.currentTarget.value.trim() || null })}
    />
    <input
      class="field"
      type="url"
      aria-label="Address of the link"
      placeholder="https://"
      value={link.url ?? ''}
      onchange={(event) => {
        if (event.currentTarget.checkValidity()) change('link', { url: event.currentTarget.value.trim() || null });
        else event.currentTarget.reportValidity();
      }}
    />
  {/if}
</fieldset>

<style>
  .of {
    padding-left: 24px;
  }
  .field {
    width: 260px;
    max-width: 100%;
    margin-bottom: 4px;
  }
</style>
