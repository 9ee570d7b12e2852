<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ask, type Session } from './api/client';
  import Bench from './bench/Bench.svelte';
  import Entries from './entries/Entries.svelte';
  import { inDialog, isTyping } from './parts/keys';
  import KeysHelp from './parts/KeysHelp.svelte';
  import Notices from './parts/Notices.svelte';
  import { notices } from './parts/notices.svelte';
  import Rail from './parts/Rail.svelte';
  import { router } from './parts/router.svelte';
  import './parts/scheme.svelte';
  import Situation from './parts/Situation.svelte';
  import { tellDaysIn } from './parts/times';
  import SignIn from './SignIn.svelte';
  import SiteDialog from './site/SiteDialog.svelte';
  import AddSource from './sources/add/AddSource.svelte';
  import Sources from './sources/Sources.svelte';
  import Subjects from './sources/subjects/Subjects.svelte';
  import Today from './today/Today.svelte';
  import PageDetail from './pages/PageDetail.svelte';
  import Pages from './pages/Pages.svelte';
  import Counts from './widgets/counts/Counts.svelte';
  import Widgets from './widgets/Widgets.svelte';

  let session = $state<Session | null>();
  let broken = $state('');
  let keys = $state(false);
  let site = $state(false);
  let leader = false; // "g" was pressed, a letter follows

  const bench = $derived(/^\/widgets\/([a-z0-9]+)$/.exec(router.path)?.[1]);
  const counts = $derived(/^\/widgets\/([a-z0-9]+)\/counts$/.exec(router.path)?.[1]);
  const page = $derived(/^\/pages\/(\d+)$/.exec(router.path)?.[1]);
  const title = $derived(
    bench
      ? 'The bench'
      : counts
        ? 'Who sees it'
        : page
          ? 'A page'
          : router.path.startsWith('/sources/add')
            ? 'Add a source'
            : ({
                '/sources/subjects': 'Subjects',
                '/': 'Today',
                '/sources': 'Sources',
                '/entries': 'Entries',
                '/widgets': 'Widgets',
                '/pages': 'Pages',
              }[router.path] ?? 'Nothing here'),
  );

  onMount(() => {
    void load();
    const leave = (): void => void (session = null);
    addEventListener('gnomic:signed-out', leave);
    return () => removeEventListener('gnomic:signed-out', leave);
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

<svelte:head><title>{session ? `${title} · Gnomic` : 'Gnomic'}</title></svelte:head>
<svelte:window {onkeydown} />

{#if session === null}
  <SignIn onenter={enter} />
{:else if session}
  <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
  <div class="frame" onclick={router.follow}>
    <Rail {session} onleave={leave} onkeys={() => (keys = true)} onsite={() => (site = true)} />
    <main tabindex="-1" class:bench={!!bench} class:full={router.path === '/entries'}>
      {#if bench}
        {#key bench}<Bench key={bench} />{/key}
      {:else if router.path === '/'}
        <Today />
      {:else if router.path === '/sources'}
        <Sources />
      {:else if router.path === '/sources/subjects'}
        <Subjects />
      {:else if router.path.startsWith('/sources/add')}
        <AddSource />
      {:else if router.path === '/entries'}
        <Entries />
      {:else if router.path === '/widgets'}
        <Widgets />
      {:else if counts}
        {#key counts}<Counts key={counts} />{/key}
      {:else if router.path === '/pages'}
        <Pages />
      {:else if page}
        {#key page}<PageDetail id={Number(page)} />{/key}
      {:else}
        <Situation alone kind="empty" title="There is nothing at this address">
          {#snippet step()}<a class="link" href="/">Go to Today</a>{/snippet}
        </Situation>
      {/if}
    </main>
  </div>
  <KeysHelp bind:open={keys} />
  <SiteDialog bind:open={site} />
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
