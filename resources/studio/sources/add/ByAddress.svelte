<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import { onMount } from 'svelte';
  import { api, ask, type Look } from '../../api/client';
  import Elsewhere from './Elsewhere.svelte';
  import State from './State.svelte';
  import SubjectField from './SubjectField.svelte';
  import { connectAll, Work } from './work.svelte';

  const work = new Work();
  let address = $state(new URLSearchParams(location.search).get('of') ?? '');
  let look = $state<Look>();
  let name = $state('');
  let subject = $state('');
  let of = $state('');

  onMount(() => {
    if (address) void lookAt(address);
  });

  const lookAt = (at: string): Promise<unknown> =>
    work.during(async () => {
      look = undefined;
      address = at;
      look = await ask(api.POST('/look', { body: { address: at } }));
      const only = look.page?.about.length === 1 ? look.page.about[0] : undefined;
      of = '';
      name = look.feed?.title ?? only?.name ?? look.page?.title ?? '';
      subject = only?.name ?? '';
      if (only) of = only.name;
    });

  function choose(one: string): void {
    of = one;
    name = subject = one;
  }

  const connect = (channel: 'feed' | 'page', to: string, home: string | null): Promise<unknown> =>
    work.during(() =>
      connectAll([
        {
          channel,
          address: to,
          name: name.trim() || to.slice(0, 100),
          home,
          subject: subject.trim() || null,
          of: of || null,
        },
      ]),
    );
</script>

<form onsubmit={(event) => (event.preventDefault(), lookAt(address.trim()))}>
  <label for="feed-address">Address of a feed, or of a page with reviews</label>
  <div class="row">
    <input id="feed-address" class="field" required bind:value={address} placeholder="https://" inputmode="url" />
    <Button type="submit" disabled={work.busy}>Look</Button>
  </div>
</form>

{#if look?.other}
  <Elsewhere other={look.other} {address} />
{:else if look?.feed}
  {@const feed = look.feed}
  <div class="found">
    <p><strong>{feed.title ?? 'A feed without a title'}</strong>, {feed.format}, {feed.count} entries.</p>
    {#each feed.first as entry (entry.id)}
      <p class="entry quiet" dir="auto" lang={entry.language}>{entry.title ?? entry.text.slice(0, 90)}</p>
    {/each}
    {@render problems(feed.problems)}
  </div>
  {@render names()}
  <Button disabled={work.busy} onclick={() => connect('feed', feed.address, feed.home)}
    >Connect {name || 'the feed'}</Button
  >
{:else if look?.page}
  {@const page = look.page}
  <div class="found">
    <p>
      <strong>{page.title ?? 'A page without a title'}</strong> marks up {page.count === 1
        ? 'one review'
        : `${page.count} reviews`}.
    </p>
    {#if page.about.length > 1}
      <fieldset>
        <legend>The page is about several things. Which one?</legend>
        {#each page.about as one (one.name)}
          <label class="about">
            <input type="radio" name="about" checked={of === one.name} onchange={() => choose(one.name)} />
            <strong>{one.name}</strong>
            <span class="quiet"
              >{one.reviews} marked up{one.figures
                ? `; ${one.figures.mean} from ${one.figures.count ?? '?'} by the figures it publishes`
                : ''}</span
            >
          </label>
        {/each}
      </fieldset>
    {:else if page.about[0]?.figures}
      <p class="quiet">
        Figures it publishes: {page.about[0].figures.mean} from {page.about[0].figures.count ?? 'an unknown number of'} ratings.
        They are kept separate from those of the reviews.
      </p>
    {/if}
    {#each page.first as entry (entry.id)}
      <p class="entry quiet" dir="auto" lang={entry.language}>
        {entry.author.name ?? 'Somebody'}: {(entry.title ? `${entry.title}. ` : '') + entry.text.slice(0, 90)}
      </p>
    {/each}
    {@render problems(page.problems)}
  </div>
  {@render names()}
  <Button
    disabled={work.busy || (page.about.length > 1 && of === '')}
    onclick={() => connect('page', page.address, page.address)}>Connect {name || 'the page'}</Button
  >
{/if}
{#if look && !look.feed && look.links.length > 0}
  <p class="links">
    {look.page ? 'The page also links to' : 'This page links to'}
    {look.links.length === 1 ? 'one feed' : `${look.links.length} feeds`}.{look.page ? '' : ' Which one?'}
  </p>
  <ul>
    {#each look.links as link (link.address)}
      <li><button class="plain link" onclick={() => lookAt(link.address)}>{link.title ?? link.address}</button></li>
    {/each}
  </ul>
{/if}
<State {work} />

{#snippet names()}
  <div class="fields">
    <label class="call">Name <input class="field" maxlength="100" bind:value={name} /></label>
    <SubjectField bind:value={subject} />
  </div>
{/snippet}

{#snippet problems(list: string[])}
  {#if list.length > 0}
    <details>
      <summary>It has problems, but it can be read</summary>
      <ul>
        {#each list as problem (problem)}<li>{problem}</li>{/each}
      </ul>
    </details>
  {/if}
{/snippet}

<style>
  form,
  .found,
  .call {
    display: grid;
    gap: 6px;
  }
  .found,
  .fields,
  .links {
    margin: 16px 0;
  }
  .fields {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(240px, 100%), 1fr));
    gap: 20px;
    align-items: end;
  }
  .entry {
    border-left: 2px solid var(--line);
    padding-left: 10px;
  }
  .about {
    display: flex;
    gap: 10px;
    align-items: baseline;
    padding: 7px 2px;
    border-top: 1px solid var(--line);
  }
  .about input {
    accent-color: var(--accent);
  }
</style>
