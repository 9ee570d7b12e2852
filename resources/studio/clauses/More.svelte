<script lang="ts">
  import type { Offered } from '../api/client';

  interface Props {
    /** What can be asked and is not yet. */
    topics: Offered['topics'];
    onopen: (key: string) => void;
  }

  let { topics, onopen }: Props = $props();
</script>

<div class="wishes" role="group" aria-label="Add a condition">
  {#each topics as topic (topic.key)}
    <button class="plain" data-topic={topic.key} onclick={() => onopen(topic.key)}>
      <strong class="link">{topic.name}</strong> <span class="small quiet">{topic.about}</span>
    </button>
  {:else}
    <p class="quiet">Every condition there is has been added. Press one in the sentence to change it.</p>
  {/each}
</div>

<style>
  .wishes {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(230px, 100%), 1fr));
    gap: 6px 24px;
  }
  button {
    display: grid;
    min-height: 44px;
    align-content: center;
  }
  strong {
    font-weight: 600;
  }
</style>
