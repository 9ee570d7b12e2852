<script lang="ts">
  import Modal from 'flowbite-svelte/Modal.svelte';

  let { open = $bindable() }: { open: boolean } = $props();

  const groups = [
    {
      name: 'Everywhere',
      keys: [
        ['g then t, s, e, w, p', 'go to Today, Sources, Entries, Widgets, Pages'],
        ['/', 'search'],
        ['u', 'undo the last action'],
        ['?', 'these keys'],
        ['Esc', 'close what is open'],
      ],
    },
    {
      name: 'Entries',
      keys: [
        ['j, k', 'next and previous entry'],
        ['s, A', 'select the entry; select all that is listed'],
        ['x', 'hide in every widget, or show again: what is selected, or the entry'],
        ['r, h', 'release; hold for a decision'],
        ['l', 'add a label'],
        ['p', 'pin the entry first in a widget'],
        ['d', 'mark two entries as duplicates: press on one, then on the other'],
        ['D', 'mark an entry as no duplicate'],
      ],
    },
    {
      name: 'A widget',
      keys: [
        ['1 to 6', 'open Gather, Sift, Shape, Dress, Place, Tend'],
        ['[ and ]', 'previous and next phrase'],
        ['↓', 'into the controls of the open phrase'],
        ['Esc', 'back to the phrase'],
      ],
    },
  ];
</script>

<Modal bind:open title="Keys" size="sm">
  {#each groups as group (group.name)}
    <h3>{group.name}</h3>
    <dl>
      {#each group.keys as [key, what] (key)}
        <dt>{key}</dt>
        <dd>{what}</dd>
      {/each}
    </dl>
  {/each}
</Modal>

<style>
  h3 {
    font-weight: 600;
    color: var(--ink);
  }
  dl {
    display: grid;
    grid-template-columns: 9em 1fr;
    gap: 4px 16px;
    color: var(--ink);
  }
  dt {
    font-family: var(--font-mono);
    font-size: 13px;
  }
</style>
