<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import type { Bench } from '../bench.svelte';

  let { bench, brief }: { bench: Bench; brief: WholeBrief } = $props();

  /** Characters that are read. */
  const MOST = 20_000;
  const id = $props.id();
  const problems = $derived(bench.proof?.dress.problems ?? []);
  const parts = $derived(Object.entries(bench.offered?.dress.parts ?? {}));
  const properties = $derived(Object.entries(bench.offered?.dress.properties ?? {}));
</script>

<div class="two">
  <div>
    <label for={id}>CSS for the parts of this widget</label>
    <textarea
      {id}
      class="field"
      rows="10"
      spellcheck="false"
      maxlength={MOST}
      aria-describedby="{id}-wrong"
      value={brief.dress.css ?? ''}
      placeholder={'.heading { letter-spacing: .02em }\n.card:hover { background: var(--surface) }'}
      onchange={(event) => {
        const css = event.currentTarget.value;
        bench.change(({ dress }) => (dress.css = css.trim() === '' ? null : css));
      }}></textarea>
    <div id="{id}-wrong" role="status">
      {#each problems as problem, index (index)}<p class="small attention">
          Line {problem.line}: {problem.text}
        </p>{/each}
      {#if brief.dress.css && problems.length === 0}<p class="small quiet">All of it is taken.</p>{/if}
    </div>
    <p class="small quiet">
      Rules stay within the widget and load nothing. From the style sheet of your page the same parts are reached by
      <code>gnomic-widget::part(card)</code>.
    </p>
  </div>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="list" role="region" tabindex="0" aria-label="Parts and custom properties">
    <dl>
      {#each parts as [name, about] (name)}<dt><code>.{name}</code></dt>
        <dd>{about}</dd>{/each}
      {#each properties as [name, about] (name)}<dt><code>{name}</code></dt>
        <dd>{about}</dd>{/each}
    </dl>
  </div>
</div>

<style>
  .two {
    display: grid;
    grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
    gap: 8px 28px;
  }
  textarea,
  code {
    font-family: 'JetBrains Mono Variable', monospace;
    font-size: 13px;
  }
  textarea {
    display: block;
    width: 100%;
    margin-top: 2px;
  }
  .list {
    max-height: 300px;
    overflow: auto;
  }
  dl {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr);
    gap: 2px 14px;
    font-size: 13px;
    margin: 0;
  }
  dd {
    margin: 0;
    color: var(--quiet);
  }
  .attention {
    color: var(--attention);
  }
  @media (max-width: 700px) {
    .two {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
