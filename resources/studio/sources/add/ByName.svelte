<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import { api, ask, type Other, type Place } from '../../api/client';
  import Elsewhere from './Elsewhere.svelte';
  import Key from './Key.svelte';
  import State from './State.svelte';
  import SubjectField from './SubjectField.svelte';
  import { connectAll, Work } from './work.svelte';

  const work = new Work();
  // An address that belongs here may have been recognised elsewhere.
  let query = $state(new URLSearchParams(location.search).get('of') ?? '');
  let places = $state<Place[]>();
  let other = $state<Other>(null);
  let chosen = $state('');
  let name = $state('');
  let subject = $state('');

  const place = $derived(places?.find((one) => one.id === chosen));
  const wantsKey = $derived(work.needs === 'key');

  const search = (): Promise<unknown> =>
    work.during(async () => {
      places = undefined;
      chosen = '';
      const found = await ask(api.GET('/places', { params: { query: { query } } }));
      [places, other] = [found.places, found.other];
      if (places.length === 1 && places[0]) choose(places[0]);
    });

  function choose(one: Place): void {
    chosen = one.id;
    name = one.name.replace(/^.*: /, '');
    subject = name;
  }

  const connect = (to: Place): Promise<unknown> =>
    work.during(() =>
      connectAll([
        {
          channel: 'wayleaf',
          address: to.id,
          name: name.trim() || to.name,
          home: null,
          subject: subject.trim() || null,
        },
      ]),
    );
</script>

<form onsubmit={(event) => (event.preventDefault(), search())}>
  <label for="place-name">Name, and town if the name is common; or its Wayleaf address or identifier</label>
  <div class="row">
    <input
      id="place-name"
      class="field"
      required
      minlength="3"
      bind:value={query}
      placeholder="Quillmoor Observatory"
    />
    <Button type="submit" disabled={work.busy}>Look up</Button>
  </div>
</form>
{#if other}
  <Elsewhere {other} address={query} />
{:else if places && places.length > 0}
  <fieldset>
    <legend>{places.length === 1 ? 'One place found' : `${places.length} places found. Which one is yours?`}</legend>
    {#each places as one (one.id)}
      <label class="place">
        <input type="radio" name="place" value={one.id} checked={chosen === one.id} onchange={() => choose(one)} />
        {#if one.picture}<img src={one.picture} width="64" height="48" alt="" />{:else}<span class="none"></span>{/if}
        <span
          ><strong>{one.name}</strong><br /><span class="quiet"
            >{[one.address, one.town].filter(Boolean).join(', ')}</span
          ></span
        >
        <span class="count"
          >{one.reviews === 0
            ? 'no reviews yet'
            : `${one.average?.toFixed(1)} from ${one.reviews}`}{#if one.connected}<br /><em>already connected</em
            >{/if}</span
        >
      </label>
    {/each}
  </fieldset>
  {#if place}
    {#if place.reviews === 0}<p class="attention">
        Nobody has reviewed this place yet. You can connect it now; reviews will arrive when there are some.
      </p>{/if}
    <div class="fields">
      <label class="call">Name <input class="field" maxlength="100" bind:value={name} /></label>
      <SubjectField bind:value={subject} />
    </div>
    <Button disabled={work.busy} onclick={() => connect(place)}>Connect {name || place.name}</Button>
  {/if}
{:else if places}
  <p>Wayleaf has no place of that name. Try fewer words, or check the spelling there.</p>
{/if}
<State {work} />
{#if wantsKey}<Key channel="wayleaf" service="Wayleaf" what="key" onkept={() => (query ? search() : undefined)} />{/if}

<style>
  form,
  fieldset,
  .call {
    display: grid;
    gap: 6px;
  }
  fieldset,
  .fields {
    margin: 16px 0;
  }
  .fields {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(240px, 100%), 1fr));
    gap: 20px;
    align-items: end;
  }
  .place {
    display: grid;
    grid-template-columns: auto 64px 1fr auto;
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
  .attention {
    color: var(--attention);
  }
</style>
