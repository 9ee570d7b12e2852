<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import Modal from 'flowbite-svelte/Modal.svelte';
  import { api, ask, type Look, type Place, type Source } from '../api/client';

  interface Props {
    open: boolean;
    onconnect: (source: Source) => void;
  }
  let { open = $bindable(), onconnect }: Props = $props();

  let way = $state<'name' | 'address'>('name');
  let query = $state('');
  let places = $state<Place[]>();
  let chosen = $state('');
  let address = $state('');
  let look = $state<Look>();
  let name = $state('');
  let key = $state('');
  let wrong = $state('');
  let wantsKey = $state(false);
  let busy = $state(false);

  const place = $derived(places?.find((one) => one.id === chosen));

  async function during(work: () => Promise<void>): Promise<void> {
    busy = true;
    wrong = '';
    try {
      await work();
    } catch (error) {
      wrong = (error as Error).message;
      wantsKey = /\bkey\b/.test(wrong) && way === 'name';
    }
    busy = false;
  }

  const search = (): Promise<void> =>
    during(async () => {
      places = undefined;
      chosen = '';
      places = (await ask(api.GET('/places', { params: { query: { query } } }))).places;
      const only = places.length === 1 ? places[0] : undefined;
      if (only) choose(only);
    });

  function choose(one: Place): void {
    chosen = one.id;
    name = one.name.replace(/^.*: /, '');
  }

  const keepKey = (): Promise<void> =>
    during(async () => {
      await ask(api.PUT('/credentials/wayleaf', { body: { secret: key } }));
      key = '';
      wantsKey = false;
      if (query) await search();
    });

  const lookAt = (at: string): Promise<void> =>
    during(async () => {
      look = undefined;
      address = at;
      look = await ask(api.POST('/look', { body: { address: at } }));
      name = look.feed?.title ?? '';
    });

  const connect = (channel: 'feed' | 'wayleaf', to: string, home: string | null): Promise<void> =>
    during(async () => {
      const source = await ask(api.POST('/sources', { body: { channel, address: to, name: name.trim() || to, home } }));
      places = look = undefined;
      query = address = chosen = '';
      onconnect(source);
    });
</script>

<Modal bind:open title="Add a source" size="md">
  <div class="ways" role="group" aria-label="How to find it">
    <button class="plain" aria-pressed={way === 'name'} onclick={() => ((way = 'name'), (wrong = ''))}
      >By name, in the Wayleaf directory</button
    >
    <button class="plain" aria-pressed={way === 'address'} onclick={() => ((way = 'address'), (wrong = ''))}
      >By address, of a feed or a page</button
    >
  </div>

  {#if way === 'name'}
    <form onsubmit={(event) => (event.preventDefault(), search())}>
      <label for="place-name">Name, and town if it is a common one</label>
      <div class="row">
        <input
          id="place-name"
          class="field"
          required
          minlength="3"
          bind:value={query}
          placeholder="Quillmoor Observatory"
        />
        <Button type="submit" disabled={busy}>Look it up</Button>
      </div>
    </form>
    {#if places && places.length > 0}
      <fieldset>
        <legend
          >{places.length === 1 ? 'One place of this name' : `${places.length} places; which one is yours?`}</legend
        >
        {#each places as one (one.id)}
          <label class="place">
            <input type="radio" name="place" value={one.id} checked={chosen === one.id} onchange={() => choose(one)} />
            <span
              ><strong>{one.name}</strong><br /><span class="quiet"
                >{[one.address, one.town].filter(Boolean).join(', ')}</span
              ></span
            >
            <span class="count"
              >{one.reviews === 0
                ? 'no reviews yet'
                : `${one.average?.toFixed(1)} from ${one.reviews}`}{#if one.connected}<br /><em>connected</em
                >{/if}</span
            >
          </label>
        {/each}
      </fieldset>
      {#if place}
        <label>Call it <input class="field" maxlength="100" bind:value={name} /></label>
        <Button disabled={busy} onclick={() => connect('wayleaf', place.id, null)}>Connect {name || place.name}</Button>
      {/if}
    {:else if places}
      <p>Wayleaf has no place of this name. Try fewer words of it, or look how it is written there.</p>
    {/if}
  {:else}
    <form onsubmit={(event) => (event.preventDefault(), lookAt(address.trim()))}>
      <label for="feed-address">Address of the feed, or of a page that has one</label>
      <div class="row">
        <input id="feed-address" class="field" required bind:value={address} placeholder="https://" inputmode="url" />
        <Button type="submit" disabled={busy}>Look there</Button>
      </div>
    </form>
    {#if look && !look.feed}
      <p>This is a page; it names {look.links.length === 1 ? 'one feed' : `${look.links.length} feeds`}. Which one?</p>
      <ul>
        {#each look.links as link (link.address)}
          <li><button class="plain link" onclick={() => lookAt(link.address)}>{link.title ?? link.address}</button></li>
        {/each}
      </ul>
    {:else if look?.feed}
      {@const feed = look.feed}
      <div class="found">
        <p><strong>{feed.title ?? 'A feed without a title'}</strong>, {feed.format}, {feed.count} entries.</p>
        {#each feed.first as entry (entry.id)}
          <p class="entry quiet" dir="auto" lang={entry.language}>{entry.title ?? entry.text.slice(0, 90)}</p>
        {/each}
        {#if feed.problems.length > 0}
          <details>
            <summary>Not all is well with it, but it can be read</summary>
            <ul>
              {#each feed.problems as problem (problem)}<li>{problem}</li>{/each}
            </ul>
          </details>
        {/if}
      </div>
      <label>Call it <input class="field" maxlength="100" bind:value={name} /></label>
      <Button disabled={busy} onclick={() => connect('feed', feed.address, feed.home)}
        >Connect {name || 'the feed'}</Button
      >
    {/if}
  {/if}

  {#if busy}<p class="quiet" role="status">Asking the service…</p>{/if}
  {#if wrong}<p class="wrong" role="alert">✕ {wrong}</p>{/if}
  {#if wantsKey}
    <form onsubmit={(event) => (event.preventDefault(), keepKey())}>
      <label for="wayleaf-key">Your Wayleaf key. It is kept encrypted and sent to Wayleaf only.</label>
      <div class="row">
        <input id="wayleaf-key" class="field" required bind:value={key} autocomplete="off" />
        <Button type="submit" disabled={busy}>Keep the key</Button>
      </div>
    </form>
  {/if}
</Modal>

<style>
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 24px;
    border-bottom: 1px solid var(--line);
  }
  .ways button {
    padding: 4px 0 8px;
    color: var(--quiet);
    border-bottom: 3px solid transparent;
  }
  .ways button[aria-pressed='true'] {
    color: var(--accent);
    font-weight: 600;
    border-image: linear-gradient(to right, var(--accent) 40%, transparent) 1;
  }
  form,
  fieldset,
  .found {
    display: grid;
    gap: 6px;
    color: var(--ink);
  }
  .row {
    display: flex;
    gap: 8px;
  }
  .row .field {
    flex: 1;
    min-width: 0;
  }
  legend {
    margin-bottom: 4px;
  }
  .place {
    display: grid;
    grid-template-columns: auto 1fr auto;
    gap: 12px;
    align-items: start;
    padding: 8px 2px;
    border-top: 1px solid var(--line);
    cursor: pointer;
  }
  .place input {
    margin-top: 4px;
    accent-color: var(--accent);
  }
  .count {
    text-align: right;
    color: var(--quiet);
  }
  .entry {
    border-left: 2px solid var(--line);
    padding-left: 10px;
  }
  .wrong {
    color: var(--harm);
  }
</style>
