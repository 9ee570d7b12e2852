<script lang="ts">
  interface Props {
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
  let { width, scale, fragment, name, nothing = false }: Props = $props();

  // A page of nobody's: a bar, lines in place of text, and the widget in their midst.
  const page = `<!doctype html><html lang="en"><meta charset="utf-8"><title>Proof</title><style>
    body{margin:0;font:16px/1.5 'Literata Variable',Georgia,serif;background:#fff;color:#1d2333;overflow:hidden}
    header{height:34px;background:#20263c}main{padding:28px 0 30px}b{display:block;height:20px;width:38%;border-radius:3px;background:#d5d7e0;margin:0 20px 20px}
    em{display:block;margin:0 20px;padding:12px;border:1px dashed #9aa0b4;color:#5a6072;font:14px system-ui}
    i{display:block;height:9px;border-radius:3px;background:#e9eaf0;margin:0 20px 13px}gnomic-widget{margin:18px 0}</style>
    <header></header><main><b></b><i style="width:82%"></i><i style="width:52%"></i><div id="here"></div>
    <i></i><i style="width:90%"></i><i style="width:64%"></i></main><script src="/gnomic.js"><\/script>`;

  let frame = $state<HTMLIFrameElement>();
  let ready = $state(false);
  let height = $state(600);

  $effect(() => {
    const inside = frame?.contentDocument;
    if (!ready || !inside) return;
    const holder = inside.createElement('template');
    holder.innerHTML = fragment;
    const edition = holder.content.querySelector('template');
    const here = inside.getElementById('here');
    if (!edition || !here) return;
    const widget = inside.createElement('gnomic-widget');
    widget.attachShadow({ mode: 'open' }).append(edition.content);
    here.replaceChildren(widget);
    if (nothing) {
      const says = inside.createElement('em');
      says.textContent = 'Visitors see nothing here: no entry is left to show.';
      here.append(says);
    }
    const measure = (): void => {
      height = inside.body.scrollHeight;
    };
    measure();
    const sizes = new ResizeObserver(measure);
    sizes.observe(inside.body);
    return () => sizes.disconnect();
  });
</script>

<div class="window" style:height="{height * scale}px" style:width="{width * scale}px">
  <iframe
    bind:this={frame}
    title="{name} at {width} pixels"
    srcdoc={page}
    style:width="{width}px"
    style:height="{height}px"
    style:transform="scale({scale})"
    onload={() => (ready = true)}
  ></iframe>
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
