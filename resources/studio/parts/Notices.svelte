<script lang="ts">
  import { onMount } from 'svelte';
  import { notices } from './notices.svelte';

  let busy = $state(false);

  onMount(() => {
    const tell = (event: Event): void => void (busy = (event as CustomEvent<boolean>).detail);
    addEventListener('gnomic:busy', tell);
    return () => removeEventListener('gnomic:busy', tell);
  });
</script>

<div class="notices" role="status" aria-live="polite">
  {#if busy}<div class="notice" data-tone="done">Gnomic is busy. It will try again; nothing is lost.</div>{/if}
  {#each notices.list as notice (notice.id)}
    <div class="notice" data-tone={notice.tone}>
      <span>{notice.tone === 'harm' ? '✕ ' : ''}{notice.text}</span>
      {#if notice.undo}
        <button class="plain link" onclick={() => notices.undo(notice.id)}>Undo</button>
      {/if}
      <button class="plain" aria-label="Dismiss" onclick={() => notices.dismiss(notice.id)}>×</button>
    </div>
  {/each}
</div>

<style>
  .notices {
    position: fixed;
    bottom: 20px;
    left: 50%;
    translate: -50% 0;
    display: grid;
    gap: 8px;
    z-index: 60;
    width: min(640px, calc(100vw - 32px));
  }
  .notice {
    display: flex;
    gap: 16px;
    align-items: baseline;
    padding: 10px 14px;
    background: var(--surface);
    border: 1px solid var(--line);
    border-left: 3px solid var(--accent);
    border-radius: 3px;
    box-shadow: 0 8px 24px var(--shade);
  }
  .notice[data-tone='harm'] {
    border-left-color: var(--harm);
  }
  .notice span {
    flex: 1;
  }
</style>
