<script lang="ts">
  import { tick, onMount } from 'svelte';
  import Button from 'flowbite-svelte/Button.svelte';
  import { api, ask, type Widget } from '../api/client';
  import { clock } from '../parts/clock.svelte';
  import { since } from '../parts/times';
  import { notices } from '../parts/notices.svelte';
  import { router } from '../parts/router.svelte';
  import Situation from '../parts/Situation.svelte';

  let widgets = $state<Widget[]>();
  let broken = $state('');

  onMount(load);

  async function load(): Promise<void> {
    try {
      widgets = (await ask(api.GET('/widgets'))).widgets as Widget[];
      broken = '';
    } catch (error) {
      broken = (error as Error).message;
    }
  }

  async function make(): Promise<void> {
    try {
      const name = `Widget ${(widgets?.length ?? 0) + 1}`;
      const widget = await ask(api.POST('/widgets', { body: { name } }));
      router.go(`/widgets/${widget.key}`);
    } catch (error) {
      notices.fail(error);
    }
  }

  /** The key of the widget that is about to go. */
  let leaving = $state('');

  /** Whoever goes by keys stays at the widget whose button has made way for others. */
  async function turnTo(key: string): Promise<void> {
    const at = key || leaving;
    leaving = key;
    await tick();
    document.querySelector<HTMLElement>(`[data-key="${at}"] button`)?.focus();
  }

  async function remove(widget: Widget, stays: boolean): Promise<void> {
    const turn = (removed: 0 | 1) =>
      ask(
        api.DELETE('/widgets/{key}', {
          params: { path: { key: widget.key }, query: { removed, stays: stays ? 1 : 0 } },
        }),
      );
    try {
      await turn(1);
      leaving = '';
      await load();
      notices.say(
        widget.edition === null
          ? `${widget.name} is removed.`
          : stays
            ? `${widget.name} is off the list and stays on its pages, without what you hide later.`
            : `${widget.name} is removed. Where its code stands, nothing is shown within a minute.`,
        () => void turn(0).then(load, (error: unknown) => notices.fail(error)),
      );
    } catch (error) {
      notices.fail(error);
    }
  }

  const changed = (widget: Widget): boolean =>
    widget.edition !== null && JSON.stringify(widget.edition.brief) !== JSON.stringify(widget.brief);
</script>

<header>
  <h1>Widgets</h1>
  <Button size="sm" onclick={make}>New widget</Button>
</header>
{#if widgets && widgets.length > 0}
  <ul>
    {#each widgets as widget (widget.key)}
      <li data-key={widget.key} class:choosing={leaving === widget.key}>
        <a href="/widgets/{widget.key}">
          <span class="name">{widget.name}</span>
          <span class="small quiet">
            {#if widget.edition}Edition {widget.edition.number}, published {since(
                widget.edition.createdAt,
                clock.now,
              )}{:else}Not published yet{/if}{#if changed(widget)}; <em>with unpublished changes</em>{/if}
          </span>
          <span class="sentence">{widget.sentence}</span>
        </a>
        {#if widget.edition}
          <a class="link small seen" href="/widgets/{widget.key}/counts"
            >{widget.views === 1 ? '1 view' : `${(widget.views ?? 0).toLocaleString('en-GB')} views`} in 30 days{widget.trial
              ? ', two versions on trial'
              : ''}</a
          >
        {/if}
        {#if leaving === widget.key}
          <p class="small leaving">
            Where its code stands:
            <button class="plain link" onclick={() => remove(widget, false)}>Show nothing</button>
            <button class="plain link" onclick={() => remove(widget, true)}>Leave it, without what I hide later</button>
            <button class="plain link" onclick={() => turnTo('')}>Keep the widget</button>
          </p>
        {:else}
          <button
            class="plain link small remove"
            aria-label="Remove {widget.name}"
            onclick={() => void (widget.edition === null ? remove(widget, false) : turnTo(widget.key))}>Remove</button
          >
        {/if}
      </li>
    {/each}
  </ul>
{:else if widgets}
  <Situation
    kind="empty"
    title="No widgets yet"
    text="A widget shows chosen entries on your pages. It starts as a sentence that you edit until it says what you want."
  >
    {#snippet step()}<Button size="sm" onclick={make}>Create the first widget</Button>{/snippet}
  </Situation>
{:else if broken}
  <Situation kind="broken" title="The widgets cannot be loaded" text={broken}>
    {#snippet step()}<button class="plain link" onclick={load}>Try again</button>{/snippet}
  </Situation>
{:else}
  <Situation kind="loading" title="Loading the widgets" />
{/if}

<style>
  header {
    display: flex;
    justify-content: space-between;
    align-items: center;
    margin-bottom: 20px;
  }
  ul {
    border-top: 1px solid var(--line);
    max-width: 1000px;
  }
  li {
    position: relative;
    border-bottom: 1px solid var(--line);
  }
  .remove {
    position: absolute;
    left: 4px;
    bottom: 14px;
    min-height: 24px;
  }
  .seen {
    position: absolute;
    left: 90px;
    bottom: 15px;
    line-height: 24px;
  }
  .choosing .seen {
    display: none;
  }
  .leaving {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 4px 20px;
    padding: 0 4px 14px;
  }
  li a:not(.seen) {
    display: grid;
    grid-template-columns: 240px 1fr;
    /* The second row takes what a long sentence needs, so that name and edition stand alike everywhere. */
    grid-template-rows: auto 1fr;
    gap: 2px 24px;
    padding: 16px 4px;
    min-height: 112px;
  }
  .choosing a:not(.seen) {
    min-height: 0;
    padding-bottom: 8px;
  }
  li a:hover .sentence {
    color: var(--accent);
  }
  .name {
    font-weight: 600;
  }
  .sentence {
    grid-column: 2;
    grid-row: 1 / span 2;
    font: 18px/1.5 var(--font-serif);
  }
  em {
    color: var(--attention);
    font-style: normal;
  }
  @media (max-width: 760px) {
    li a:not(.seen) {
      grid-template-columns: 1fr;
      padding-bottom: 48px;
    }
    .sentence {
      grid-column: 1;
      grid-row: auto;
    }
  }
</style>
