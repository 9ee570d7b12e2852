<script lang="ts">
  interface Props {
    /** A declarative shadow root, as it goes out. */
    fragment: string;
    ground: string;
  }
  let { fragment, ground }: Props = $props();

  /** CSS pixels of the widget, and of its picture. */
  const [WIDE, WIDTH, HEIGHT] = [720, 150, 96];
  let place = $state<HTMLElement>();

  // What is drawn here is no part of the studio's own markup, and is closed off from it.
  $effect(() => {
    if (!place || !fragment) return;
    const holder = new DOMParser().parseFromString(fragment, 'text/html');
    const edition = holder.querySelector('template');
    const root = place.shadowRoot ?? place.attachShadow({ mode: 'open' });
    root.replaceChildren(...(edition ? [document.importNode(edition.content, true)] : []));
  });
</script>

<span class="picture" aria-hidden="true" style:width="{WIDTH}px" style:height="{HEIGHT}px" style:background={ground}>
  <span
    class="page"
    inert
    style:width="{WIDE}px"
    style:height="{(HEIGHT * WIDE) / WIDTH}px"
    style:transform="scale({WIDTH / WIDE})"><span bind:this={place}></span></span
  >
</span>

<style>
  .picture {
    display: block;
    overflow: hidden;
    border-radius: 2px;
    outline: 1px solid var(--line);
    pointer-events: none;
  }
  /* What stands over a page stands over this one. */
  .page {
    display: block;
    box-sizing: border-box;
    padding: 20px 24px;
    overflow: hidden;
    transform-origin: 0 0;
    font-family: 'Literata Variable', Georgia, serif;
    font-weight: 400;
  }
</style>
