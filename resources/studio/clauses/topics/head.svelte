<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import type { Bench } from '../../bench/bench.svelte';
  import Actions from '../../bench/shape/Actions.svelte';
  import Select from '../../bench/shape/Select.svelte';
  import Choice from '../Choice.svelte';

  let { holder: bench, brief }: { holder: Bench; brief: WholeBrief } = $props();

  const all = [
    ['account', 'The account: picture, name, bio'],
    ['overall', 'The overall rating'],
    ['count', 'The number of ratings'],
    ['spread', 'Their spread, as bars'],
    ['channels', 'The figures of each service'],
    ['faces', 'A row of faces'],
  ] as const;
  const texts = [
    ['heading', 'Heading', 120, () => 'None'],
    ['line', 'A line under it', 240, () => 'None'],
    ['title', 'What it is called in feeds and frames', 120, () => shape.heading ?? 'The name of your site'],
  ] as const;
  const shape = $derived(brief.shape);
  /** An account is offered where a source is one. */
  const parts = $derived(
    all.filter(
      ([part]) => part !== 'account' || shape.head.includes(part) || bench.sources.some(({ profile }) => profile),
    ),
  );
  /** Sources of the widget that come with figures of their own. */
  const told = $derived(
    bench.sources.filter((source) => source.figures && (brief.gather.sources?.includes(source.key) ?? true)),
  );
  const change = (how: (changed: WholeBrief['shape']) => void): void => bench.change((changed) => how(changed.shape));
  const turn = (part: (typeof all)[number][0]): void =>
    change((changed) => {
      const has = changed.head.includes(part);
      changed.head = all.map(([name]) => name).filter((name) => (name === part ? !has : changed.head.includes(name)));
    });
  const write = (member: 'heading' | 'line' | 'title' | 'empty', text: string): void =>
    change((changed) => (changed[member] = text.trim() === '' ? null : text));
</script>

<div class="columns">
  <fieldset>
    <legend>Above the cards</legend>
    {#each parts as [part, name] (part)}
      <Choice type="checkbox" checked={shape.head.includes(part)} onchange={() => turn(part)}>{name}</Choice>
    {/each}
    <Select
      label="Where it stands"
      value={shape.headAt}
      options={[
        ['above', 'above the cards'],
        ['left', 'at the left, where there is room'],
        ['right', 'at the right, where there is room'],
        ['none', 'nowhere'],
      ]}
      onchange={(headAt) => change((changed) => (changed.headAt = headAt))}
    />
    <p class="small quiet">
      These figures cover everything collected from this widget’s sources, not only what it shows.
    </p>
    {#if told.length > 0}
      <p class="small quiet">Figures that services publish themselves are not mixed in, as they cannot be checked:</p>
      <ul class="small quiet">
        {#each told as source (source.key)}
          <li>
            {source.name}: {source.figures?.mean} from {source.figures?.count ?? 'an unknown number of'} ratings
          </li>
        {/each}
      </ul>
    {/if}
  </fieldset>
  <div>
    {#each texts as [member, name, longest, usual] (member)}
      <label for={member}>{name}</label><br />
      <input
        id={member}
        class="field"
        maxlength={longest}
        value={shape[member] ?? ''}
        placeholder={usual()}
        oninput={(event) => write(member, event.currentTarget.value)}
      /><br />
    {/each}
    <Actions {bench} {brief} />
  </div>
  <fieldset>
    <legend>Below the cards</legend>
    <Choice
      type="checkbox"
      checked={shape.honest}
      onchange={() => change((changed) => (changed.honest = !changed.honest))}>Say that it is a selection</Choice
    >
    <p class="small quiet">
      {bench.proof?.honestLine
        ? `“${bench.proof.honestLine}”`
        : 'Nothing is chosen by stars or words, so nothing needs saying.'}
    </p>
    <label for="empty">Where there is nothing to show</label><br />
    <input
      id="empty"
      class="field"
      maxlength="240"
      value={shape.empty ?? ''}
      placeholder="Nothing at all"
      oninput={(event) => write('empty', event.currentTarget.value)}
    />
    <Choice
      type="checkbox"
      checked={shape.markup}
      onchange={() => change((changed) => (changed.markup = !changed.markup))}
      >Data for search engines on the page</Choice
    >
    <p class="small quiet">
      Only for reviews of things that you show, never of your own business: search engines take that for misleading.
    </p>
  </fieldset>
</div>

<style>
  .columns {
    display: flex;
    flex-wrap: wrap;
    gap: 14px 32px;
  }
  .columns > * {
    max-width: 300px;
  }
  .field {
    width: 260px;
    max-width: 100%;
    margin-bottom: 6px;
  }
</style>
