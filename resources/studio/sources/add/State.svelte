<script lang="ts">
  import type { Work } from './work.svelte';

  let { work, doing = 'Asking the service…' }: { work: Work; doing?: string } = $props();
</script>

{#if work.busy}<p class="quiet" role="status">{doing}</p>{/if}
{#if work.wrong}<p class="wrong" role="alert">✕ {work.wrong}</p>{/if}

<style>
  p {
    margin-top: 10px;
  }
  .wrong {
    color: var(--harm);
  }
</style>
