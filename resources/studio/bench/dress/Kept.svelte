<script lang="ts">
  import { onMount, type ComponentProps } from 'svelte';
  import Button from 'flowbite-svelte/Button.svelte';
  import { api, ask, type WholeBrief } from '../../api/client';
  import { notices } from '../../parts/notices.svelte';
  import type { Bench } from '../bench.svelte';
  import MapTokens from './MapTokens.svelte';

  let { bench, brief }: { bench: Bench; brief: WholeBrief } = $props();

  type Asked = ComponentProps<typeof MapTokens>['asked'];
  type Saved = { key: string; name: string; widgets: { key: string; name: string }[] };
  let saved = $state<Saved[]>([]);
  let name = $state('');
  /** A file whose tokens have names of their own, until it is said which is which. */
  let mapped = $state.raw<{ tokens: Record<string, unknown>; asked: Asked }>();
  const id = $props.id();
  const worn = $derived(saved.find((one) => one.key === brief.dress.name));

  onMount(() => void load());
  async function load(): Promise<void> {
    try {
      saved = (await ask(api.GET('/looks'))).looks;
    } catch (error) {
      notices.fail(error);
    }
  }
  async function tried(work: () => Promise<string>): Promise<void> {
    try {
      notices.say(await work());
      await Promise.all([load(), bench.loadOffered()]);
    } catch (error) {
      notices.fail(error);
    }
  }

  const keep = (): Promise<void> =>
    tried(async () => {
      const body = { name: name.trim(), brief: $state.snapshot(brief) as WholeBrief };
      const kept = await ask(api.POST('/looks', { body }));
      bench.take(kept.brief as WholeBrief);
      await bench.save();
      name = '';
      return `Kept as "${body.name}". Any widget of the site can use it.`;
    });
  const change = (look: Saved): Promise<void> =>
    tried(async () => {
      const body = { brief: $state.snapshot(brief) as WholeBrief };
      const changed = await ask(api.PATCH('/looks/{key}', { params: { path: { key: look.key } }, body }));
      if (changed.brief) bench.take(changed.brief as WholeBrief);
      await bench.save();
      return `"${look.name}" is changed, and with it ${look.widgets.length === 1 ? 'one widget' : `${look.widgets.length} widgets`}.`;
    });
  const remove = (look: Saved): Promise<void> =>
    tried(async () => {
      await ask(api.DELETE('/looks/{key}', { params: { path: { key: look.key } } }));
      return `"${look.name}" is removed.`;
    });
  const take = (file: File | undefined): Promise<void> =>
    tried(async () => {
      let tokens: Record<string, unknown>;
      try {
        tokens = JSON.parse((await file?.text()) ?? '') as Record<string, unknown>;
      } catch {
        throw new Error('This file is no JSON. Choose a file of design tokens.');
      }
      const told = await ask(api.POST('/looks/imported', { body: { tokens } }));
      if ('key' in told) return kept(told.ignored);
      mapped = { tokens, asked: told };
      return 'Choose which token is which.';
    });
  const kept = (ignored: string[]): string =>
    ignored.length === 0 ? 'The look is kept.' : `The look is kept. ${ignored.join(' ')}`;
  const map = (as: string, mapping: { target: string; token: string }[]): Promise<void> =>
    tried(async () => {
      const body = { name: as, tokens: mapped?.tokens ?? {}, mapping };
      const told = await ask(api.POST('/looks/imported', { body }));
      mapped = undefined;
      return 'key' in told ? kept(told.ignored) : '';
    });
</script>

<div class="kept">
  <form
    onsubmit={(event) => {
      event.preventDefault();
      if (name.trim() !== '') void keep();
    }}
  >
    <label class="small" for={id}>Keep what is on the bench as a look of the site</label>
    <span class="line"
      ><input {id} class="field" maxlength="60" placeholder="A name" bind:value={name} />
      <Button type="submit" size="sm" color="alternative" disabled={name.trim() === ''}>Keep this look</Button></span
    >
  </form>
  <span class="line small">
    <a href="/api/looks/{brief.dress.name}/tokens" download class="link">Export as design tokens</a>
    <label class="file"
      >Import design tokens
      <input
        type="file"
        accept=".json,application/json"
        onchange={(event) => {
          void take(event.currentTarget.files?.[0]);
          event.currentTarget.value = '';
        }}
      /></label
    >
  </span>
</div>
{#if mapped}
  {#key mapped}
    <MapTokens
      asked={mapped.asked}
      onkeep={(as, mapping) => void map(as, mapping)}
      oncancel={() => (mapped = undefined)}
    />
  {/key}
{/if}
{#if saved.length > 0}
  <ul>
    {#each saved as look (look.key)}
      <li>
        <strong>{look.name}</strong>
        <span class="quiet"
          >{look.widgets.length === 0
            ? 'not used by any widget'
            : `used by ${look.widgets.map((one) => one.name).join(', ')}`}</span
        >
        {#if worn?.key === look.key}
          <button class="plain link" onclick={() => change(look)}
            >Change it to what is on the bench{look.widgets.length > 1
              ? `, for all ${look.widgets.length} widgets`
              : ''}</button
          >
        {/if}
        {#if look.widgets.length === 0}<button class="plain link" onclick={() => remove(look)}>Remove</button>{/if}
      </li>
    {/each}
  </ul>
{/if}

<style>
  .kept {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 32px;
    align-items: end;
    margin-top: 12px;
  }
  form {
    display: grid;
    gap: 2px;
  }
  .line {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 14px;
    align-items: center;
  }
  .file {
    cursor: pointer;
    text-decoration: underline;
    text-underline-offset: 3px;
    color: var(--accent);
    position: relative;
  }
  .file:focus-within {
    outline: 2px solid var(--accent);
    outline-offset: 2px;
  }
  .file input {
    position: absolute;
    inset: 0;
    opacity: 0;
    width: 100%;
    cursor: pointer;
  }
  ul {
    margin: 10px 0 0;
    padding: 0;
    list-style: none;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 14px;
    align-items: baseline;
    padding: 4px 0;
    border-top: 1px solid var(--line);
  }
</style>
