<script lang="ts">
  import type { Snippet } from 'svelte';
  import Spinner from 'flowbite-svelte/Spinner.svelte';

  interface Props {
    kind: 'loading' | 'empty' | 'broken';
    /** Whether it is all that the screen has. @default false */
    alone?: boolean;
    title: string;
    text?: string;
    /** The one next step. */
    step?: Snippet;
  }
  let { kind, title, text, step, alone = false }: Props = $props();
</script>

<div class="situation" data-kind={kind} role={kind === 'broken' ? 'alert' : 'status'}>
  {#if kind === 'loading'}
    <Spinner size="5" color="primary" />
  {:else}
    <svg width="64" height="30" viewBox="0 0 64 30" aria-hidden="true">
      <path d="M20 0v28H6z" fill="none" stroke="currentColor" stroke-width="1.5" />
      {#if kind === 'empty'}<path d="M22 28h38L22 14z" fill="currentColor" opacity=".16" />{/if}
      {#if kind === 'broken'}<path d="M26 28l8-8m4 8l-6-10m14 10h10" stroke="currentColor" stroke-width="1.5" />{/if}
    </svg>
  {/if}
  <svelte:element this={alone ? 'h1' : 'h2'}>{title}</svelte:element>
  {#if text}<p class="quiet">{text}</p>{/if}
  {@render step?.()}
</div>

<style>
  .situation {
    display: grid;
    justify-items: start;
    gap: 8px;
    padding: 40px 0;
    max-width: 56ch;
  }
  [data-kind='broken'] svg {
    color: var(--harm);
  }
  [data-kind='empty'] svg {
    color: var(--accent);
  }
</style>
