<script lang="ts">
  import type { Listing } from './listing.svelte';
  import { hide, hold } from './marks';

  interface Props {
    listing: Listing;
    /** Asks which label. */
    onlabel: () => void;
  }
  let { listing, onlabel }: Props = $props();
  const size = $derived(listing.selected.size);
</script>

<p class="selected" role="status">
  {#if size === 0}
    <span class="quiet"
      >{(listing.count ?? 0).toLocaleString('en-GB')}
      {listing.count === 1 ? 'entry' : 'entries'}</span
    >
    {#if (listing.count ?? 0) > 0}<button class="plain link" onclick={() => listing.selectAll()}>Select all</button
      >{/if}
  {:else}
    <strong>{size.toLocaleString('en-GB')} selected</strong>
    <button class="plain link" onclick={() => hide(listing, listing.targets(), true)}>Hide everywhere</button>
    <button class="plain link" onclick={() => hide(listing, listing.targets(), false)}>Show again</button>
    <button class="plain link" onclick={() => hold(listing, listing.targets(), false)}>Release</button>
    <button class="plain link" onclick={onlabel}>Label</button>
    {#if size < (listing.count ?? 0)}<button class="plain link" onclick={() => listing.selectAll()}
        >Select all {(listing.count ?? 0).toLocaleString('en-GB')}</button
      >{/if}
    <button class="plain link" onclick={() => listing.selected.clear()}>Select none</button>
  {/if}
</p>

<style>
  .selected {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 16px;
    align-items: baseline;
    min-height: 28px;
  }
  strong {
    font-weight: 600;
  }
</style>
