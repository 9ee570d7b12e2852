<script lang="ts">
  import { api, ask } from '../../api/client';
  import Situation from '../../parts/Situation.svelte';

  interface Props {
    /** Of the page. */
    address: string;
    /** Of the widget. */
    key: string;
    side: 'before' | 'after' | 'inside';
    selector: string;
    named: string;
  }
  let { address, key, side, selector = $bindable(), named = $bindable() }: Props = $props();

  interface Part {
    selector: string;
    name: string;
  }
  interface Told {
    gnomicProof?: boolean;
    ready?: boolean;
    picked?: string;
    named?: string;
    parts?: Part[];
    found?: number;
  }

  const WIDTH = 1120;
  let frame = $state<HTMLIFrameElement>();
  let room = $state(0);
  let phase = $state<'reading' | 'there' | 'none'>('reading');
  let broken = $state('');
  let ready = $state(false);
  let fragment = $state('');
  let parts = $state<Part[]>([]);
  let found = $state<number | null>(null);
  const scale = $derived(Math.min(1, room / WIDTH || 1));

  $effect(() => void read(address));
  $effect(() => void fetchWidget(key));

  async function read(address: string): Promise<void> {
    [phase, ready, broken] = ['reading', false, ''];
    try {
      const ground = await ask(api.POST('/grounds', { body: { address } }));
      phase = ground.hasPage ? 'there' : 'none';
    } catch (error) {
      [phase, broken] = ['none', (error as Error).message];
    }
  }

  async function fetchWidget(key: string): Promise<void> {
    const answer = key ? await fetch(`/w/${key}.html`) : null;
    fragment = answer?.ok ? (await answer.text()).replace(/ data-key="[a-z0-9]+"/, '') : '';
  }

  // The page has no origin of its own, and is spoken to by messages.
  const say = (message: Record<string, unknown>): void => frame?.contentWindow?.postMessage(message, '*');

  function onmessage({ source, data }: MessageEvent<Told>): void {
    if (source !== frame?.contentWindow || !data.gnomicProof) return;
    if (data.ready) ready = true;
    if (data.parts) parts = data.parts;
    if (data.found !== undefined) found = data.found;
    if (data.picked) {
      selector = data.picked;
      named = data.named ?? '';
    }
  }

  $effect(() => {
    if (!ready) return;
    say({ gnomic: 'show', fragment, key, at: selector || null, side, isPointed: true, ground: null, nothing: '' });
    say({ gnomic: 'pick' });
  });
</script>

<svelte:window {onmessage} />
{#if phase === 'reading'}
  <Situation kind="loading" title="Reading the page" />
{:else if phase === 'none'}
  <p class="attention">▲ The page cannot be shown here{broken ? `: ${broken}` : '.'} Write a CSS selector instead.</p>
{:else}
  <p class="small" role="status">
    {#if !ready}One moment.
    {:else if found === null || !selector}Click the part of the page that the widget is to stand {side === 'inside'
        ? 'at the end of'
        : side === 'before'
          ? 'above'
          : 'under'}.
    {:else if found === 1}It stands {side === 'inside' ? 'at the end of' : side === 'before' ? 'above' : 'under'}
      <strong>{named || selector}</strong>. Click another part to move it.
    {:else if found === 0}<span class="attention">▲ Nothing on this page fits {selector}.</span>
    {:else}<span class="attention">▲ {found} parts of this page fit {selector}; the widget stands at the first.</span
      >{/if}
  </p>
  <label class="small keys"
    >Or choose a part
    <select
      class="field"
      value={parts.some((one) => one.selector === selector) ? selector : ''}
      onchange={(event) => {
        const part = parts.find((one) => one.selector === event.currentTarget.value);
        if (part) [selector, named] = [part.selector, part.name];
      }}
    >
      <option value="">as pointed at</option>
      {#each parts as part (part.selector)}<option value={part.selector}>{part.name}</option>{/each}
    </select></label
  >
  <div class="window" bind:clientWidth={room} style:height="{520 * scale}px">
    <iframe
      bind:this={frame}
      title="The page, to point at"
      src="/api/ground?address={encodeURIComponent(address)}"
      sandbox="allow-scripts"
      style:width="{WIDTH}px"
      style:height="520px"
      style:transform="scale({scale})"
    ></iframe>
  </div>
{/if}

<style>
  .window {
    overflow: hidden;
    outline: 1px solid var(--line);
    background: #fff;
    margin: 6px 0;
  }
  iframe {
    border: 0;
    transform-origin: 0 0;
  }
  .attention {
    color: var(--attention);
  }
  .keys {
    display: flex;
    align-items: center;
    gap: 8px;
  }
</style>
