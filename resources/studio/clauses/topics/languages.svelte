<script module lang="ts">
  export const members = ['/sift/languages'];
</script>

<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import Choice from '../Choice.svelte';
  import type { Holder } from '../holder';

  let { holder, brief }: { holder: Holder; brief: WholeBrief } = $props();

  const languages = $derived(brief.sift.languages);
  const only = $derived(languages?.only ?? null);
  const known = $derived([
    ...(holder.offered?.languages ?? []),
    ...(only ?? [])
      .filter((tag) => !holder.offered?.languages.some(({ key }) => key === tag))
      .map((tag) => ({ key: tag, name: tag, count: 0 })),
  ]);

  type Languages = NonNullable<WholeBrief['sift']['languages']>;
  function change(how: (languages: Languages) => void): void {
    holder.change((changed) => {
      const next: Languages = { only: null, unknown: 'drop', pageFirst: false, ...changed.sift.languages };
      how(next);
      if (next.only?.length === 0) next.only = null;
      changed.sift.languages = next.only === null && !next.pageFirst ? null : next;
    });
  }
  const turn = (tag: string): void =>
    change((next) => {
      const had = next.only ?? [];
      next.only = had.includes(tag) ? had.filter((one) => one !== tag) : [...had, tag];
    });
</script>

<div class="columns">
  <fieldset>
    <legend>Languages</legend>
    <Choice type="radio" name="languages" checked={only === null} onchange={() => change((next) => (next.only = null))}
      >Any language</Choice
    >
    <div class="many">
      {#each known as language (language.key)}
        <Choice
          type="checkbox"
          checked={only?.includes(language.key) ?? false}
          note={String(language.count)}
          onchange={() => turn(language.key)}>{language.name}</Choice
        >
      {/each}
    </div>
  </fieldset>
  <div class="switches">
    <Choice
      type="checkbox"
      checked={languages?.unknown === 'keep'}
      disabled={only === null}
      onchange={() => change((next) => (next.unknown = next.unknown === 'keep' ? 'drop' : 'keep'))}
      >Also those in an unknown language</Choice
    >
    {#if !holder.isListing}
      <Choice
        type="checkbox"
        checked={languages?.pageFirst ?? false}
        onchange={() => change((next) => (next.pageFirst = !next.pageFirst))}
        >The language of the page first, then the others</Choice
      >
      <p class="small quiet">The widget reads the language from the page it is on.</p>
    {/if}
  </div>
</div>

<style>
  .many {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(190px, 100%), 1fr));
    gap: 0 32px;
  }
  .switches {
    max-width: 380px;
  }
</style>
