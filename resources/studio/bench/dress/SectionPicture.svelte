<script lang="ts">
  interface Props {
    /** Of the page that was read. */
    address: string;
    /** Selector of a section. */
    at: string;
  }
  let { address, at }: Props = $props();

  /** CSS pixels of the page, and of what is shown of it here. */
  const PAGE = 1200;
  const WIDTH = 200;
  const MOST = 112;
  interface Told {
    gnomicProof?: boolean;
    ready?: boolean;
    cropped?: number;
  }

  let frame = $state<HTMLIFrameElement>();
  let height = $state<number>();
  const scale = WIDTH / PAGE;
  const shown = $derived(Math.max(8, Math.min(MOST, (height ?? MOST / scale) * scale)));

  // The page has no origin of its own, and is spoken to by messages.
  function onmessage({ source, data }: MessageEvent<Told>): void {
    if (source !== frame?.contentWindow || !data.gnomicProof) return;
    if (data.ready) frame?.contentWindow?.postMessage({ gnomic: 'crop', at }, '*');
    if (data.cropped !== undefined) height = data.cropped;
  }
</script>

<svelte:window {onmessage} />
<span class="picture" class:waits={height === undefined} style:height="{shown}px" aria-hidden="true">
  <iframe
    bind:this={frame}
    title="Picture of a section"
    src="/api/ground?address={encodeURIComponent(address)}"
    sandbox="allow-scripts"
    loading="lazy"
    tabindex="-1"
    style:width="{PAGE}px"
    style:height="{MOST / scale}px"
    style:transform="scale({scale})"
  ></iframe>
</span>

<style>
  .picture {
    display: block;
    width: 200px;
    overflow: hidden;
    border: 1px solid var(--line);
    pointer-events: none;
  }
  .waits iframe {
    visibility: hidden;
  }
  iframe {
    border: 0;
    transform-origin: 0 0;
  }
</style>
