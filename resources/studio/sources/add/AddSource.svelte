<script lang="ts">
  import { router } from '../../parts/router.svelte';
  import ByAddress from './ByAddress.svelte';
  import ByGrant from './ByGrant.svelte';
  import ByHand from './ByHand.svelte';
  import ByName from './ByName.svelte';
  import ByTable from './ByTable.svelte';
  import ByToken from './ByToken.svelte';
  import ByWebsite from './ByWebsite.svelte';

  const ways = [
    { key: 'name', title: 'Look up by name', detail: 'in the Wayleaf directory' },
    { key: 'address', title: 'Paste an address', detail: 'of a page with reviews, or a feed' },
    { key: 'ticketwick', title: 'Connect Ticketwick', detail: 'ratings of your venues' },
    { key: 'shutterfen', title: 'Connect Shutterfen', detail: 'posts, mentions, hashtags' },
    { key: 'corkwall', title: 'Paste a token from Corkwall', detail: 'pins of your boards' },
    { key: 'table', title: 'Import a spreadsheet', detail: 'past entries, or many subjects' },
    { key: 'hand', title: 'Enter by hand', detail: 'something people told you' },
    { key: 'website', title: 'Start from your website', detail: 'and see what it links to' },
  ] as const;
  const way = $derived(ways.find(({ key }) => router.path === `/sources/add/${key}`)?.key ?? 'name');
</script>

<header>
  <h1>Add a source</h1>
  <a class="link small" href="/sources">Back to Sources</a>
</header>
<div class="ways">
  <nav aria-label="Ways in">
    {#each ways as { key, title, detail } (key)}
      <a href="/sources/add/{key}" aria-current={way === key ? 'page' : undefined}
        ><strong>{title}</strong><span class="small quiet">{detail}</span></a
      >
    {/each}
  </nav>
  <section aria-label={ways.find(({ key }) => key === way)?.title}>
    {#key way}
      {#if way === 'name'}<ByName />{/if}
      {#if way === 'address'}<ByAddress />{/if}
      {#if way === 'ticketwick' || way === 'shutterfen'}<ByGrant channel={way} />{/if}
      {#if way === 'corkwall'}<ByToken />{/if}
      {#if way === 'table'}<ByTable />{/if}
      {#if way === 'hand'}<ByHand />{/if}
      {#if way === 'website'}<ByWebsite />{/if}
    {/key}
  </section>
</div>

<style>
  header {
    display: flex;
    align-items: baseline;
    gap: 20px;
    margin-bottom: 20px;
  }
  .ways {
    display: grid;
    grid-template-columns: 250px minmax(0, 1fr);
    gap: 36px;
  }
  nav {
    display: grid;
    align-content: start;
    border-top: 1px solid var(--line);
  }
  nav a {
    display: grid;
    padding: 9px 12px 9px 14px;
    border-bottom: 1px solid var(--line);
    position: relative;
  }
  nav strong {
    font-weight: 500;
  }
  nav a[aria-current] strong {
    font-weight: 600;
    color: var(--accent);
  }
  nav a[aria-current]::before {
    content: '';
    position: absolute;
    inset: 0 auto 0 0;
    width: 5px;
    background: var(--accent);
    clip-path: polygon(0 0, 100% 0, 0 100%);
  }
  section {
    max-width: 860px;
    min-width: 0;
  }
  @media (max-width: 900px) {
    .ways {
      grid-template-columns: 1fr;
    }
  }
</style>
