<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ask, type Session } from './api/client';
  import { inDialog, isTyping } from './parts/keys';
  import Notices from './parts/Notices.svelte';
  import { notices } from './parts/notices.svelte';
  import Rail from './parts/Rail.svelte';
  import { router } from './parts/router.svelte';
  import './parts/scheme.svelte';
  import Situation from './parts/Situation.svelte';
  import { tellDaysIn } from './parts/times';
  import { screenAt } from './screens';

  let session = $state<Session | null>();
  let broken = $state('');
  let keys = $state(false);
  let site = $state(false);
  let account = $state(false);
  /** Who waits for the password to be given again. */
  let asked = $state<((isGiven: boolean) => void) | null>(null);
  /** Whether it was ever opened: what few open comes then, and stays. */
  let [keysCame, siteCame, accountCame] = $state([false, false, false]);
  let leader = false; // "g" was pressed, a letter follows

  const screen = $derived(screenAt(router.path));

  $effect(() => {
    if (keys) keysCame = true;
    if (site) siteCame = true;
    if (account) accountCame = true;
  });

  onMount(() => {
    void load();
    const leave = (): void => void (session = null);
    const more = (event: Event): void => void (asked = (event as CustomEvent<(isGiven: boolean) => void>).detail);
    addEventListener('gnomic:signed-out', leave);
    addEventListener('gnomic:password', more);
    return () => {
      removeEventListener('gnomic:signed-out', leave);
      removeEventListener('gnomic:password', more);
    };
  });

  async function load(): Promise<void> {
    broken = '';
    try {
      enter(await ask(api.GET('/session')));
    } catch (error) {
      if (session === undefined) broken = (error as Error).message;
    }
  }

  function enter(entered: Session): void {
    if (entered.site) tellDaysIn(entered.site.timezone);
    session = entered;
  }

  async function leave(): Promise<void> {
    try {
      await ask(api.DELETE('/session'));
      session = null;
    } catch (error) {
      notices.fail(error);
    }
  }

  function onkeydown(event: KeyboardEvent): void {
    if (isTyping(event) || inDialog() || !session) return;
    if (event.defaultPrevented) return;
    const to = { t: '/', s: '/sources', e: '/entries', w: '/widgets', p: '/pages' }[event.key];
    if (leader && to) {
      event.preventDefault(); // the letter is the leader's, and no key of the screen that is left
      router.go(to);
    } else if (event.key === '?') keys = true;
    else if (event.key === 'u' && !event.defaultPrevented) notices.undoLast();
    else if (event.key === '/') {
      event.preventDefault();
      const search = document.querySelector<HTMLInputElement>('input[type=search]');
      if (search) search.focus();
      else router.go('/entries');
    }
    leader = event.key === 'g';
  }
</script>

<svelte:head><title>{session ? `${screen?.title ?? 'Nothing here'} · Gnomic` : 'Gnomic'}</title></svelte:head>
<svelte:window {onkeydown} />

{#if session === null}
  {#await import('./SignIn.svelte') then { default: SignIn }}<SignIn onenter={enter} />{/await}
{:else if session}
  <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
  <div class="frame" onclick={router.follow}>
    <Rail
      {session}
      onleave={leave}
      onkeys={() => (keys = true)}
      onsite={() => (site = true)}
      onaccount={() => (account = true)}
    />
    <main tabindex="-1" class:bench={screen?.isBench} class:full={router.path === '/entries'}>
      {#if screen}
        {#key `${screen.name} ${screen.of ?? ''}`}
          {#await screen.load()}
            <Situation kind="loading" title="Loading" />
          {:then { default: Screen }}
            <Screen {...screen.of === null ? {} : { key: screen.of }} />
          {:catch}
            <Situation
              alone
              kind="broken"
              title="This screen did not load"
              text="Gnomic may have been updated meanwhile."
            >
              {#snippet step()}<button class="plain link" onclick={() => location.reload()}>Load it again</button
                >{/snippet}
            </Situation>
          {/await}
        {/key}
      {:else}
        <Situation alone kind="empty" title="There is nothing at this address">
          {#snippet step()}<a class="link" href="/">Go to Today</a>{/snippet}
        </Situation>
      {/if}
    </main>
  </div>
  {#if keysCame}
    {#await import('./parts/KeysHelp.svelte') then { default: KeysHelp }}<KeysHelp bind:open={keys} />{/await}
  {/if}
  {#if asked}
    {#await import('./parts/PasswordAgain.svelte') then { default: PasswordAgain }}<PasswordAgain
        {asked}
        onend={() => (asked = null)}
      />{/await}
  {/if}
  {#if accountCame}
    {#await import('./site/AccountDialog.svelte') then { default: AccountDialog }}<AccountDialog
        bind:open={account}
      />{/await}
  {/if}
  {#if siteCame}
    {#await import('./site/SiteDialog.svelte') then { default: SiteDialog }}<SiteDialog bind:open={site} />{/await}
  {/if}
{:else}
  <main class="alone">
    {#if broken}
      <Situation alone kind="broken" title="Gnomic does not answer" text={broken}>
        {#snippet step()}<button class="plain link" onclick={load}>Try again</button>{/snippet}
      </Situation>
    {:else}
      <Situation alone kind="loading" title="Loading" />
    {/if}
  </main>
{/if}
<Notices />

<style>
  .frame {
    display: grid;
    grid-template-columns: 164px minmax(0, 1fr);
    height: 100%;
  }
  main {
    overflow-y: auto;
    padding: 24px 28px 64px;
    outline: 0;
    position: relative;
  }
  main.full {
    padding-bottom: 0;
  }
  main.bench {
    padding: 0;
    overflow: hidden;
  }
  .alone {
    padding: 40px;
  }
  @media (max-width: 760px) {
    .frame {
      grid-template-columns: 1fr;
      grid-template-rows: auto minmax(0, 1fr);
    }
    main {
      padding: 16px;
    }
  }
</style>
