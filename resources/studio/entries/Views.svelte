<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ask, type View } from '../api/client';
  import { notices } from '../parts/notices.svelte';
  import type { Listing } from './listing.svelte';

  let { listing, onshow }: { listing: Listing; onshow: (view: View) => void } = $props();

  let views = $state<View[]>([]);
  let name = $state('');
  let menu = $state<HTMLDetailsElement>();

  onMount(() => void load());

  async function load(): Promise<void> {
    try {
      views = (await ask(api.GET('/views'))).views;
    } catch (error) {
      notices.fail(error);
    }
  }

  async function keep(as: string, view: Pick<View, 'wanted' | 'state' | 'search'>): Promise<void> {
    try {
      await ask(
        api.POST('/views', { body: { name: as, wanted: view.wanted, state: view.state, search: view.search } }),
      );
      await load();
    } catch (error) {
      notices.fail(error);
    }
  }

  async function forget(view: View): Promise<void> {
    try {
      await ask(api.DELETE('/views/{id}', { params: { path: { id: view.id } } }));
      await load();
      notices.say(`The view “${view.name}” is deleted.`, () => void keep(view.name, view));
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<details class="menu" bind:this={menu}>
  <summary class="field">Views</summary>
  <ul>
    {#each views as view (view.id)}
      <li class="view">
        <button
          class="plain link"
          onclick={() => {
            if (menu) menu.open = false;
            onshow(view);
          }}>{view.name}</button
        >
        <button class="plain quiet" aria-label="Delete the view {view.name}" onclick={() => forget(view)}>×</button>
      </li>
    {:else}
      <li class="small quiet">No views yet. Filter the list and give it a name here.</li>
    {/each}
    <li>
      <form
        onsubmit={async (event) => {
          event.preventDefault();
          if (name.trim() === '' || !listing.brief) return;
          const { gather, sift } = $state.snapshot(listing.brief);
          await keep(name.trim(), {
            wanted: { gather, sift } as View['wanted'],
            state: listing.state || null,
            search: listing.search,
          });
          name = '';
        }}
      >
        <input class="field" aria-label="Name of a new view" placeholder="Name this view" bind:value={name} />
        <button class="field" disabled={name.trim() === ''}>Save</button>
      </form>
    </li>
  </ul>
</details>

<style>
  .view {
    display: flex;
    justify-content: space-between;
    gap: 16px;
  }
  form {
    display: flex;
    gap: 6px;
    margin-top: 4px;
  }
  form input {
    width: 150px;
  }
</style>
