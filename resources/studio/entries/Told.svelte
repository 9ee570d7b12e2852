<script lang="ts">
  import { api, ask } from '../api/client';
  import type { components } from '../api/schema';
  import { notices } from '../parts/notices.svelte';
  import { date } from '../parts/times';

  interface Props {
    id: string;
    duplicate: boolean;
    told: number;
    names: Record<string, string>;
    onparted?: (() => unknown) | undefined;
  }
  let { id, duplicate, told, names, onparted }: Props = $props();

  type Group = (components['schemas']['StoredEntry'] & {
    speaks: boolean;
    score: number | null;
    reason: string | null;
  })[];
  let group = $state<Group>();

  async function open(): Promise<void> {
    if (group) return void (group = undefined);
    try {
      group = (await ask(api.GET('/likeness', { params: { query: { id } } }))).group;
    } catch (error) {
      notices.fail(error);
    }
  }

  async function part(one: string): Promise<void> {
    const other = group?.find(({ entry }) => entry.id !== one)?.entry.id ?? id;
    try {
      await ask(api.POST('/likeness/parted', { body: { id: one } }));
      group = undefined;
      await onparted?.();
      notices.say(
        'They now count as two, and will stay so.',
        () =>
          void ask(api.POST('/likeness/joined', { body: { ids: [one, other] } })).then(
            () => onparted?.(),
            (error) => notices.fail(error),
          ),
      );
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<p class="small told">
  <button class="plain link" aria-expanded={group !== undefined} onclick={open}
    >{duplicate
      ? 'A duplicate; another entry is shown instead'
      : told === 1
        ? 'Also published at one other place'
        : `Also published at ${told} other places`}</button
  >
</p>
{#if group}
  <ul class="small">
    {#each group as one (one.entry.id)}
      <li>
        <strong>{names[one.entry.source ?? ''] ?? one.entry.source}</strong>, {one.entry.author.name ?? 'somebody'}, {one
          .entry.published
          ? date(one.entry.published)
          : 'no date'}{one.speaks ? '; this one is shown' : ''}
        {#if one.reason && !one.speaks}<span class="quiet"
            >{one.reason}{one.score ? ` (${Math.round(one.score * 100)} of 100)` : ''}</span
          >{/if}
        {#if !one.speaks}<button class="plain link" onclick={() => part(one.entry.id)}>Not a duplicate</button>{/if}
      </li>
    {/each}
  </ul>
{/if}

<style>
  .told {
    margin-top: 4px;
  }
  ul {
    margin-top: 4px;
    padding-left: 10px;
    border-left: 2px solid var(--accent-mid);
  }
</style>
