<script lang="ts">
  import type { WholeBrief } from '../api/client';
  import { notices } from '../parts/notices.svelte';
  import { WIDTHS, type Bench } from '../bench/bench.svelte';

  let { bench }: { bench: Bench; brief: WholeBrief } = $props();

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
    ['tag', 'Paste this where the widget should stand', tag],
    ['frame', 'The same, shown also to visitors without scripts', frame],
    ['room', 'Beside it: keeps its room free, so that nothing below it moves while it loads', room],
    [
      'include',
      'Or include it on your server, so that nothing at all is fetched before it shows',
      `${host}/w/${key}.html`,
    ],
  ] as const);

  async function copy(code: string): Promise<void> {
    try {
      await navigator.clipboard.writeText(code);
      notices.say('Copied. Paste it into the page once; later editions need no pasting.');
    } catch {
      notices.fail('The browser does not let Gnomic copy. Select the code and copy it yourself.');
    }
  }
</script>

{#if !bench.widget?.edition}
  <p class="first">Publish the first edition before you paste: until then, the code shows nothing.</p>
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
  The code stays the same whatever you change here. Its feed is at <a
    class="link"
    href="{host}/w/{key}.json"
    target="_blank">{host}/w/{key}.json</a
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
    align-items: stretch;
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
  button {
    cursor: pointer;
  }
</style>
