<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import { notices } from '../../parts/notices.svelte';
  import type { Bench } from '../../bench/bench.svelte';

  let { holder: bench }: { holder: Bench; brief: WholeBrief } = $props();

  const host = $derived(bench.widget?.host ?? '');
  const key = $derived(bench.widget?.key ?? '');
  // The room that it takes at every width goes with the tag, so that nothing on the page moves when it comes in.
  const room = $derived(bench.proof?.room ?? '0px');
  const tag = $derived(
    `<script async src="${host}/gnomic.js"><\/script><gnomic-widget key="${key}" style="display:block;--gnomic-room:${room};padding-top:var(--gnomic-room)"></gnomic-widget>`,
  );
  const more = $derived(bench.proof?.moreRoom ?? 0);
  const frame = $derived(
    tag.replace(
      '></gnomic-widget>',
      `><noscript><iframe src="${host}/w/${key}" title="${bench.widget?.name.replace(/["&<>]/g, '')}" style="width:100%;height:600px;border:0"></iframe></noscript></gnomic-widget>`,
    ),
  );
  const codes = $derived([
    ['tag', 'Paste this where the widget should be', tag],
    ['frame', 'The same, also for visitors without scripts', frame],
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
{#if Math.abs(more) > 8}
  <p class="first">
    ▲ This takes up to {Math.abs(more)} pixels {more > 0 ? 'more' : 'less'} than what is published. The code on your pages
    keeps working; paste it anew so that {more > 0 ? 'nothing moves while it loads' : 'no empty room is kept'}.
  </p>
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
  The key never changes. As JSON Feed: <a class="link" href="{host}/w/{key}.json" target="_blank">{host}/w/{key}.json</a
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
