<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import { onMount } from 'svelte';
  import { api, ask, type Choice } from '../../api/client';
  import Choices from './Choices.svelte';
  import State from './State.svelte';
  import { connectAll, Work } from './work.svelte';

  let { channel }: { channel: 'ticketwick' | 'shutterfen' } = $props();

  const asked = {
    ticketwick: ['see which venues you sell tickets for', 'read what guests rated and wrote, and your replies'],
    shutterfen: [
      'see your name, picture and bio',
      'read your posts with their likes and comments',
      'read public posts with hashtags you name',
      'read posts of others that mention you',
    ],
  };
  const service = $derived(channel === 'ticketwick' ? 'Ticketwick' : 'Shutterfen');
  const work = new Work();
  const back = new URLSearchParams(location.search);
  const grant = Number(back.get('grant') ?? 0);
  let refused = $state(back.get('refused') ?? '');
  let account = $state('');
  let choices = $state<Choice[]>();
  let hashtags = $state('');

  onMount(() => {
    if (grant)
      void work.during(async () => {
        const found = await ask(api.GET('/grants/{id}/choices', { params: { path: { id: grant } } }));
        [account, choices] = [found.account ?? '', found.choices];
      });
  });

  const begin = (): Promise<unknown> =>
    work.during(async () => {
      refused = '';
      const { address } = await ask(api.POST('/grants/{channel}', { params: { path: { channel } } }));
      location.assign(address);
    });

  function connectTags(): Promise<unknown> {
    const tags = (hashtags.match(/[\p{L}\p{M}\p{N}_]+/gu) ?? []).map((tag) => `#${tag.toLowerCase()}`);
    return work.during(() =>
      connectAll([
        { channel, address: tags.join(' '), name: `${tags.join(' ')} on ${service}`.slice(0, 100), home: null, grant },
      ]),
    );
  }
</script>

{#if refused}<p class="wrong" role="alert">✕ {refused}</p>{/if}
{#if choices}
  <p>Connected as <strong>{account}</strong>.</p>
  {#if choices.length === 0}
    <p class="attention">
      This account has no venues to connect. Use another account, or add venues at {service} first.
    </p>
    <Button disabled={work.busy} onclick={begin}>Use another account</Button>
  {:else}
    <Choices legend="What should be connected?" {choices} {channel} {grant} />
    {#if channel === 'shutterfen'}
      <form onsubmit={(event) => (event.preventDefault(), connectTags())}>
        <label for="hashtags">Or public posts with any of these hashtags</label>
        <div class="row">
          <input id="hashtags" class="field" required bind:value={hashtags} placeholder="#darksky #nightsky" />
          <Button type="submit" color="alternative" disabled={work.busy}>Connect the hashtags</Button>
        </div>
      </form>
    {/if}
  {/if}
{:else}
  <p>{service} will ask you to sign in and to let Gnomic:</p>
  <ul>
    {#each asked[channel] as one (one)}<li>{one}</li>{/each}
  </ul>
  <p class="quiet">
    Gnomic asks for nothing else, never posts anything and never sees your password. You can withdraw this at {service} at
    any time.
  </p>
  <Button disabled={work.busy} onclick={begin}>Continue to {service}</Button>
{/if}
<State {work} />

<style>
  ul {
    list-style: disc;
    padding-left: 22px;
    margin: 8px 0;
  }
  .quiet,
  .attention {
    margin-bottom: 14px;
  }
  form {
    display: grid;
    gap: 6px;
    margin-top: 24px;
  }
  .wrong {
    color: var(--harm);
    margin-bottom: 14px;
  }
  .attention {
    color: var(--attention);
  }
</style>
