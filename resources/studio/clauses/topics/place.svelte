<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import { notices } from '../../parts/notices.svelte';
  import { WIDTHS, type Bench } from '../../bench/bench.svelte';

  let { holder: bench }: { holder: Bench; brief: WholeBrief } = $props();

  const host = $derived(bench.widget?.host ?? '');
  const key = $derived(bench.widget?.key ?? '');
  const tag = $derived(`<script async src="${host}/gnomic.js"><\/script><gnomic-widget key="${key}"></gnomic-widget>`);
  const frame = $derived(
    tag.replace(
      '></gnomic-widget>',
      `><noscript><iframe src="${host}/w/${key}" title="${bench.widget?.name.replace(/["&<>]/g, '')}" style="width:100%;height:600px;border:0"></iframe></noscript></gnomic-widget>`,
    ),
  );
  // The room it takes, a little rounded up, so that nothing on the page moves when it comes in.
  const room = $derived.by(() => {
    const [phone, tablet, desktop] = WIDTHS.map((width) => Math.ceil((bench.heights[width] ?? 0) / 10) * 10);
    const at = (height: number | undefined): string =>
      `gnomic-widget[key="${key}"]{display:block;min-height:${height}px}`;
    return `<style>${at(phone)}@media(min-width:600px){${at(tablet)}}@media(min-width:1000px){${at(desktop)}}<\/style>`;
  });
  const codes = $derived([
    ['tag', 'Paste this where the widget should be', tag],
    ['frame', 'The same, also for visitors without scripts', frame],
    ['room', 'Optional: reserves its space, so that nothing moves while it loads', room],
    ['include', 'Or include it on your server, for the fastest page', `${host}/w/${key}.html`],
  ] as const);

  async function copy(code: string): Promise<void> {
    try {
      await navigator.clipboard.writeText(code);
      notices.say('Copied. Paste it once; later editions appear by themselves.');
    } catch {
      notices.fail('Your browser blocked copying. Select the code and copy it yourself.');
    }
  }
</script>

{#if !bench.widget?.edition}
  <p class="first">Publish first: until then, the code shows nothing.</p>
{/if}
{#each codes as [name, what, code] (name)}
  <div class="code">
    <p>{what}</p>
    <div class="row">
      <code data-code={name}>{code}</code>
      <button class="field" onclick={() => copy(code)}>Copy</button>
    </div>
  </div>
{/each}
<p class="small quiet">
  The code never changes. As JSON Feed: <a class="link" href="{host}/w/{key}.json" target="_blank"
    >{host}/w/{key}.json</a
  >.
</p>

<style>
  .first {
    color: var(--attention);
    margin-bottom: 8px;
  }
  .code {
    margin-bottom: 10px;
  }
  .row {
    display: flex;
    gap: 8px;
    align-items: start;
  }
  code {
    flex: 1;
    font: 13px/1.5 var(--font-mono);
    padding: 7px 10px;
    border: 1px solid var(--line);
    border-radius: 3px;
    background: var(--ground);
    overflow-wrap: anywhere;
    user-select: all;
  }
  .row button {
    flex: none;
    cursor: pointer;
  }
</style>
