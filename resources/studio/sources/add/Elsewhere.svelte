<script lang="ts">
  import type { Other } from '../../api/client';

  let { other, address }: { other: NonNullable<Other>; address: string } = $props();
  const way = $derived(
    other.channel === 'wayleaf' ? 'name' : ['page', 'feed'].includes(other.channel) ? 'address' : other.channel,
  );
  const of = $derived(['name', 'address'].includes(way) ? `?of=${encodeURIComponent(address)}` : '');
</script>

<p class="found" role="status">
  This address belongs to <strong>{other.channelName}</strong> ({other.address}).
  <a class="link" href="/sources/add/{way}{of}">Go on there</a>
</p>

<style>
  .found {
    margin: 14px 0;
    padding-left: 12px;
    border-left: 3px solid var(--attention);
  }
</style>
