<script lang="ts">
  interface Props {
    stars: number;
    /** On its own scale: "9.2 of 10". */
    spoken: string;
  }
  let { stars, spoken }: Props = $props();
  const halves = $derived(Math.round(stars * 2));
</script>

<span class="rating">
  <svg width="70" height="14" viewBox="0 0 70 14" aria-hidden="true">
    {#each [0, 1, 2, 3, 4] as index (index)}
      <g transform="translate({index * 14})">
        <path d="M7 1.4l5 5.6-5 5.6L2 7z" fill="none" stroke="currentColor" />
        {#if halves >= index * 2 + 2}<path d="M7 1l5.6 6L7 13 1.4 7z" fill="currentColor" />
        {:else if halves === index * 2 + 1}<path d="M7 1v12L1.4 7z" fill="currentColor" />{/if}
      </g>
    {/each}
  </svg>
  {spoken}
</span>

<style>
  .rating {
    display: inline-flex;
    align-items: center;
    gap: 8px;
    white-space: nowrap;
  }
</style>
