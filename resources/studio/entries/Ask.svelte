<script lang="ts">
  import Modal from 'flowbite-svelte/Modal.svelte';
  import type { Snippet } from 'svelte';

  interface Props {
    open: boolean;
    title: string;
    /** What is to be written, or chosen from; Enter takes it. */
    label: string;
    offers: { key: string; name: string }[];
    /** Whether something can be written that is not offered. @default false */
    free?: boolean;
    onchoose: (chosen: { key: string; name: string }) => void;
    children?: Snippet;
  }
  let { open = $bindable(), title, label, offers, free = false, onchoose, children }: Props = $props();

  let written = $state('');
  const fitting = $derived(
    offers.filter(({ name }) => name.toLowerCase().includes(written.trim().toLowerCase())).slice(0, 8),
  );

  function take(chosen: { key: string; name: string } | undefined): void {
    if (!chosen) return;
    open = false;
    written = '';
    onchoose(chosen);
  }
</script>

<Modal bind:open {title} size="xs">
  <form
    onsubmit={(event) => {
      event.preventDefault();
      const name = written.trim();
      const same = fitting.find((one) => one.name.toLowerCase() === name.toLowerCase());
      take(same ?? (free && name !== '' ? { key: name, name } : fitting[0]));
    }}
  >
    <!-- svelte-ignore a11y_autofocus -->
    <input class="field" aria-label={label} placeholder={label} maxlength="100" autofocus bind:value={written} />
  </form>
  <ul>
    {#each fitting as offer (offer.key)}
      <li><button class="plain link" onclick={() => take(offer)}>{offer.name}</button></li>
    {:else}
      {#if !free}<li class="quiet">No match.</li>{/if}
    {/each}
  </ul>
  {@render children?.()}
</Modal>

<style>
  .field {
    width: 100%;
  }
  li button {
    min-height: 28px;
  }
</style>
