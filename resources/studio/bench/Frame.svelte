<script lang="ts">
  import type { Bench } from './bench.svelte';

  interface Props {
    bench: Bench;
    /** CSS pixels of the page shown. */
    width: number;
    /** Its size here. */
    scale: number;
    /** A declarative shadow root, as it goes out. */
    fragment: string;
    name: string;
    /** Whether visitors see nothing of it. */
    nothing?: boolean;
  }
  let { bench, width, scale, fragment, name, nothing = false }: Props = $props();

  /** CSS pixels of a page that are seen; a longer one is scrolled to where the widget stands. */
  const MOST = 1000;
  interface Told {
    gnomicProof?: boolean;
    ready?: boolean;
    height?: number;
    picked?: string;
  }

  let frame = $state<HTMLIFrameElement>();
  let ready = $state(false);
  let height = $state(600);
  const source = $derived(`/api/ground${bench.ground ? `?address=${encodeURIComponent(bench.ground.address)}` : ''}`);

  // The page has no origin of its own, and is spoken to by messages.
  const say = (message: Record<string, unknown>): void => frame?.contentWindow?.postMessage(message, '*');

  function onmessage({ source: from, data }: MessageEvent<Told>): void {
    if (from !== frame?.contentWindow || !data.gnomicProof) return;
    if (data.ready) ready = true;
    if (data.height) height = data.height;
    if (data.picked && bench.ground) bench.standOn({ ...bench.ground, at: data.picked });
  }

  $effect(() => {
    void source;
    ready = false;
  });
  $effect(() => {
    if (!ready) return;
    say({
      gnomic: 'show',
      fragment,
      key: bench.key,
      at: bench.ground?.at ?? null,
      // A page of nobody's is as the look wants the page to be.
      ground: bench.ground ? null : (bench.proof?.dress.solid ?? null),
      nothing: nothing ? 'Visitors see nothing here: no entry is left to show.' : '',
    });
  });
  $effect(() => {
    if (ready && bench.picking) say({ gnomic: 'pick' });
  });
  const seen = $derived(bench.ground ? Math.min(MOST, Math.max(500, height)) : height);
</script>

<svelte:window {onmessage} />
<div class="window" style:height="{seen * scale}px" style:width="{width * scale}px">
  {#key source}
    <!-- What was fetched has no origin; the neutral page is our own. -->
    <iframe
      bind:this={frame}
      title="{name} at {width} pixels"
      src={source}
      sandbox={bench.ground ? 'allow-scripts' : 'allow-scripts allow-same-origin'}
      style:width="{width}px"
      style:height="{seen}px"
      style:transform="scale({scale})"
    ></iframe>
  {/key}
</div>

<style>
  .window {
    overflow: hidden;
    background: #fff;
    outline: 1px solid var(--line);
  }
  iframe {
    border: 0;
    transform-origin: 0 0;
  }
</style>
