<script lang="ts">
  import { onMount } from 'svelte';
  import Button from 'flowbite-svelte/Button.svelte';
  import { api, ask, type WholeBrief } from '../../api/client';
  import type { Bench } from '../../bench/bench.svelte';
  import Codes from '../../bench/place/Codes.svelte';
  import { notices } from '../../parts/notices.svelte';
  import type { PlacedSpot } from '../../pages/pages.svelte';
  import SpotEditor from '../../pages/spots/SpotEditor.svelte';

  let { holder: bench }: { holder: Bench; brief: WholeBrief } = $props();

  let spots = $state<PlacedSpot[]>();
  let open = $state<PlacedSpot | 'new' | null>(null);

  onMount(load);

  async function load(): Promise<void> {
    try {
      spots = (await ask(api.GET('/spots', { params: { query: { widget: bench.key } } }))).spots;
    } catch (error) {
      notices.fail(error);
    }
  }

  async function saved(): Promise<void> {
    open = null;
    await load();
    bench.prove(); // the sentence tells where it stands
  }

  async function turn(spot: PlacedSpot, removed: 0 | 1): Promise<void> {
    try {
      await ask(api.DELETE('/spots/{key}', { params: { path: { key: spot.key }, query: { removed } } }));
      if (removed) notices.say(`It is taken away from ${spot.phrase}.`, () => void turn(spot, 0));
      await saved();
    } catch (error) {
      notices.fail(error);
    }
  }

  const more = $derived(bench.proof?.moreRoom ?? 0);
</script>

{#if !bench.widget?.edition}
  <p class="first">Publish first: until then, the code shows nothing.</p>
{/if}
{#if Math.abs(more) > 8}
  <p class="first">
    ▲ This takes up to {Math.abs(more)} pixels {more > 0 ? 'more' : 'less'} than what is published. The code on your pages
    keeps working; paste it anew so that {more > 0 ? 'nothing moves while it loads' : 'no empty room is kept'}.
  </p>
{/if}
<h2>On which pages</h2>
{#if spots?.length === 0 && open === null}
  <p class="quiet">
    Say where it belongs, and Gnomic looks every day whether it is there. Or just paste its code: it shows wherever that
    stands.
  </p>
{/if}
<ul>
  {#each spots ?? [] as spot (spot.key)}
    <li>
      {#if open !== 'new' && open?.key === spot.key}
        <SpotEditor widget={spot.widget} {spot} onsaved={saved} oncancel={() => (open = null)} />
      {:else}
        <p class="spot">
          <span
            ><strong>{spot.phrase}</strong>{#if spot.overrides.length > 0}<span class="quiet"
                >; {spot.overrides.join(', ')}</span
              >{/if}
            {#if spot.collides.length > 0}<span class="attention"
                >▲ {spot.decides
                  ? 'another spot has this place, too; this one decides'
                  : 'another spot has this place, and decides'}</span
              >{/if}
            {#if !spot.isDue}<span class="attention">▲ not scheduled for today</span>{/if}</span
          >
          <button class="plain link small" onclick={() => (open = spot)}>Change</button>
          <button class="plain link small" onclick={() => turn(spot, 1)}>Take away</button>
        </p>
      {/if}
    </li>
  {/each}
</ul>
{#if open === 'new' && bench.widget}
  <SpotEditor
    widget={{ key: bench.key, name: bench.widget.name }}
    address={bench.ground?.address}
    onsaved={saved}
    oncancel={() => (open = null)}
  />
{:else}
  <Button size="sm" color="light" onclick={() => (open = 'new')}>Put it on a page</Button>
{/if}
<Codes {bench} />

<style>
  .first,
  .attention {
    color: var(--attention);
  }
  .first {
    margin-bottom: 8px;
  }
  h2 {
    font-size: 15px;
    font-weight: 600;
    margin-bottom: 4px;
  }
  ul {
    margin: 4px 0 10px;
  }
  .spot {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 18px;
    align-items: baseline;
    padding: 5px 0;
    border-bottom: 1px solid var(--line);
  }
  .spot > span {
    flex: 1;
  }
</style>
