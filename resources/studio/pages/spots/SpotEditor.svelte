<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import Button from 'flowbite-svelte/Button.svelte';
  import { api, ask, type Widget } from '../../api/client';
  import Choice from '../../clauses/Choice.svelte';
  import { notices } from '../../parts/notices.svelte';
  import type { PlacedSpot, Spot } from '../pages.svelte';
  import OverridesFields from './OverridesFields.svelte';
  import Pointing from './Pointing.svelte';

  interface Props {
    /** Null or absent: it is chosen here. */
    widget?: { key: string; name: string };
    spot?: PlacedSpot;
    /** A page of the site that it is made on; absent: the first that it names. */
    address?: string;
    onsaved: (spot: PlacedSpot) => void;
    oncancel: () => void;
  }
  let { widget, spot, address, onsaved, oncancel }: Props = $props();

  const start = untrack(() => spot?.spot);
  let key = $state(untrack(() => widget?.key ?? ''));
  let widgets = $state<Pick<Widget, 'key' | 'name'>[]>([]);
  let pages = $state(untrack(() => (start?.pages ?? [address ? new URL(address).pathname : '/']).join('\n')));
  let except = $state((start?.except ?? []).join('\n'));
  let position = $state(start?.position ?? 'tag');
  let selector = $state(start?.selector ?? '');
  let named = $state(start?.named ?? '');
  let overrides = $state(start?.overrides ?? {});
  let follows = $state(start?.follows ?? null);
  let elseUsual = $state(start?.elseUsual ?? false);
  let from = $state(start?.from ?? '');
  let to = $state(start?.to ?? '');
  let tried = $state<{ phrase: string; pages: number; some: string[]; overrides: string[] }>();
  let wrong = $state('');
  let saving = $state(false);
  let ground = $state(untrack(() => address ?? ''));
  const id = $props.id();

  const lines = (text: string): string[] =>
    text
      .split('\n')
      .map((line) => line.trim())
      .filter(Boolean);
  const made = $derived<Spot>({
    pages: lines(pages),
    except: lines(except),
    position,
    selector: position === 'tag' ? null : selector || null,
    named: position === 'tag' ? null : named || null,
    overrides: $state.snapshot(overrides),
    follows,
    elseUsual,
    from: from || null,
    to: to || null,
  });

  onMount(async () => {
    try {
      if (!widget) {
        widgets = (await ask(api.GET('/widgets'))).widgets;
        key ||= widgets[0]?.key ?? '';
      }
      if (!ground)
        ground = new URL(lines(pages).find((one) => !/[*:({]/.test(one)) ?? '/', (await ask(api.GET('/site'))).website)
          .href;
    } catch (error) {
      notices.fail(error);
    }
  });

  // How it reads and how many pages it is on is told while it is being made.
  $effect(() => {
    const body = { spot: made };
    const timer = setTimeout(async () => {
      try {
        tried = await ask(api.POST('/spots/tried', { body }));
        wrong = '';
      } catch (error) {
        wrong = (error as Error).message;
      }
    }, 250);
    return () => clearTimeout(timer);
  });

  async function save(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    saving = true;
    try {
      const saved = spot
        ? await ask(api.PATCH('/spots/{key}', { params: { path: { key: spot.key } }, body: { spot: made } }))
        : await ask(api.POST('/spots', { body: { widget: key, spot: made } }));
      notices.say(`${saved.widget.name} stands on ${saved.phrase}. Pages follow within a minute.`);
      onsaved(saved);
    } catch (error) {
      wrong = (error as Error).message;
    }
    saving = false;
  }
</script>

<form onsubmit={save} aria-label={spot ? 'Change the spot' : 'A new spot'}>
  <div class="columns">
    {#if !widget}
      <label
        >Widget
        <select class="field" bind:value={key}
          >{#each widgets as one (one.key)}<option value={one.key}>{one.name}</option>{/each}</select
        ></label
      >
    {/if}
    <label class="paths"
      >Pages, one a line
      <textarea class="field" rows="3" bind:value={pages} spellcheck="false" aria-describedby="{id}-pages"></textarea>
      <span class="small quiet" id="{id}-pages">A star stands for anything: /shop/*</span></label
    >
    <label class="paths"
      >Except
      <textarea class="field" rows="3" bind:value={except} spellcheck="false" placeholder="/shop/basket"
      ></textarea></label
    >
    <fieldset>
      <legend>From and to</legend>
      <div class="row">
        <input type="date" class="field" aria-label="First day" bind:value={from} /><input
          type="date"
          class="field"
          aria-label="Last day"
          bind:value={to}
        />
      </div>
      <span class="small quiet">Empty: always</span>
    </fieldset>
  </div>
  <fieldset class="where">
    <legend>Where on the page</legend>
    <div class="columns tight">
      {#each [['tag', 'Where its own tag is pasted'], ['before', 'Above a part of the page'], ['after', 'Under a part of the page'], ['inside', 'At the end of a part of the page']] as const as [value, name] (value)}
        <Choice type="radio" name="{id}-position" checked={position === value} onchange={() => (position = value)}
          >{name}</Choice
        >
      {/each}
    </div>
    {#if position !== 'tag'}
      {#if ground}<Pointing address={ground} {key} side={position} bind:selector bind:named />{/if}
      <div class="columns tight">
        <label>CSS selector <input class="field mono" bind:value={selector} placeholder="#opening-hours" /></label>
        <label>Called <input class="field" bind:value={named} placeholder="the opening hours" /></label>
      </div>
      <p class="small quiet">
        The one tag of the site, pasted once, puts it there. It is under the name of the site, at the top left.
      </p>
    {/if}
  </fieldset>
  <OverridesFields bind:overrides bind:follows bind:elseUsual />
  {#if wrong}<p class="wrong" role="alert">✕ {wrong}</p>
  {:else if tried}
    <p class="reads" role="status">
      On <strong>{tried.phrase}</strong>{#if tried.overrides.length > 0}; {tried.overrides.join(', ')}{/if}.
      <span class="quiet"
        >{tried.pages === 0
          ? 'No page that Gnomic knows of'
          : tried.pages === 1
            ? 'One page that Gnomic knows of'
            : `${tried.pages.toLocaleString('en-GB')} pages that Gnomic knows of`}{tried.some.length > 0
          ? `: ${tried.some.join(', ')}${tried.pages > tried.some.length ? ' …' : ''}`
          : ''}</span
      >
    </p>
  {/if}
  <div class="row end">
    <Button size="sm" type="submit" disabled={saving || !!wrong || !key}
      >{spot ? 'Change the spot' : 'Put it there'}</Button
    >
    <button type="button" class="plain link" onclick={oncancel}>Cancel</button>
  </div>
</form>

<style>
  form {
    display: grid;
    gap: 14px;
    padding: 14px 16px;
    background: var(--surface);
    border: solid var(--line);
    border-width: 1px 0;
    max-width: 1100px;
  }
  label,
  fieldset {
    display: grid;
    gap: 4px;
    align-content: start;
  }
  .paths {
    flex: 1 1 170px;
    max-width: 250px;
  }
  textarea,
  .mono {
    font-family: var(--font-mono);
    font-size: 14px;
  }
  .reads {
    font: 18px/1.5 var(--font-serif);
  }
  .reads .quiet {
    font: 13px/1.5 var(--font-sans);
  }
  .wrong {
    color: var(--harm);
  }
  .end {
    align-items: center;
    gap: 16px;
  }
</style>
