<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import Choice from '../../clauses/Choice.svelte';
  import Terms from '../../clauses/Terms.svelte';
  import type { Bench } from '../bench.svelte';
  import Select from './Select.svelte';

  let { bench, brief, grows }: { bench: Bench; brief: WholeBrief; grows: boolean } = $props();
  const shape = $derived(brief.shape);
  const change = (how: (changed: WholeBrief['shape']) => void): void => bench.change((changed) => how(changed.shape));
  const id = $props.id();
  /** That the brief takes. */
  const MOST_LABELS = 8;
  const LINKS: (readonly [string, string])[] = [
    ['nofollow ugc noopener', 'visitors wrote this'],
    ['nofollow noopener', 'no recommendation'],
    ['noopener', 'nothing'],
  ];
</script>

<div class="columns tight">
  <Select
    label="A click on an entry"
    value={shape.click}
    options={[
      ['usual', 'layout default'],
      ['enlarge', 'enlarges it here'],
      ['source', 'opens it at its source'],
      ['address', 'opens an address of yours'],
      ['nothing', 'does nothing'],
    ]}
    onchange={(click) => change((changed) => (changed.click = click))}
  />
  {#if shape.click === 'address'}
    <span
      ><label for={id}>Address</label><br />
      <input
        {id}
        class="field"
        type="url"
        placeholder="https://"
        value={shape.address ?? ''}
        onchange={(event) => {
          const address = event.currentTarget.value.trim();
          if (address === '' || event.currentTarget.checkValidity())
            change((changed) => (changed.address = address || null));
          else event.currentTarget.reportValidity();
        }}
      /></span
    >
  {/if}
  <Choice
    type="checkbox"
    checked={shape.newTab}
    onchange={() => change((changed) => (changed.newTab = !changed.newTab))}>Links open another tab</Choice
  >
  <Select
    label="Links tell search engines"
    value={shape.rel}
    options={LINKS.some(([rel]) => rel === shape.rel) ? LINKS : [...LINKS, [shape.rel, shape.rel] as const]}
    onchange={(rel) => change((changed) => (changed.rel = rel))}
  />
  {#if grows}
    <Select
      label="More entries"
      value={shape.more}
      options={[
        ['none', 'none'],
        ['button', 'by a button'],
        ['pages', 'in numbered pages'],
        ['scroll', 'on scrolling'],
      ]}
      onchange={(more) => change((changed) => (changed.more = more))}
    />
    <Select
      label="Visitors may choose"
      value={shape.choosing.by}
      options={[
        ['none', 'nothing'],
        ['stars', 'by stars'],
        ['labels', 'by your labels'],
        ['order', 'the newest or the highest'],
        ['search', 'by a search in everything'],
      ]}
      onchange={(by) => change((changed) => (changed.choosing.by = by))}
    />
    {#if shape.choosing.by === 'labels'}
      <div>
        <Terms
          label="Labels to choose among"
          value={shape.choosing.labels}
          offers={bench.offered?.labels}
          onchange={(labels) => change((changed) => (changed.choosing.labels = labels.slice(0, MOST_LABELS)))}
        />
      </div>
    {/if}
  {/if}
</div>
