<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import { api, ask, type Source } from '../api/client';
  import type { paths } from '../api/schema';
  import { notices } from '../parts/notices.svelte';
  import { date } from '../parts/times';
  import SubjectField from './add/SubjectField.svelte';
  import Cadence from './Cadence.svelte';
  import Sign from './Sign.svelte';

  interface Props {
    source: Source;
    onchange: () => unknown;
    onremove: () => void;
  }
  let { source, onchange, onremove }: Props = $props();

  // Edited here, and kept only when the owner says so.
  // svelte-ignore state_referenced_locally
  let name = $state(source.name);
  // svelte-ignore state_referenced_locally
  let subject = $state(source.subject ?? '');
  // svelte-ignore state_referenced_locally
  let profile = $state({
    name: source.profile?.name ?? '',
    picture: source.profile?.picture ?? '',
    bio: source.profile?.bio ?? '',
  });

  type Changes = NonNullable<paths['/sources/{key}']['patch']['requestBody']>['content']['application/json'];
  async function change(body: Changes, done: string): Promise<void> {
    try {
      await ask(api.PATCH('/sources/{key}', { params: { path: { key: source.key } }, body }));
      notices.say(done);
      await onchange();
    } catch (error) {
      notices.fail(error);
    }
  }

  const keep = (): Promise<void> =>
    change(
      {
        name,
        subject: subject.trim() || null,
        ...(source.profile
          ? { profile: { name: profile.name || null, picture: profile.picture || null, bio: profile.bio || null } }
          : {}),
      },
      `${name} is saved.`,
    );
</script>

<div class="details">
  <dl>
    <dt>Brings</dt>
    <dd>{source.brings}</dd>
    {#if source.figures}
      <dt>Figures it publishes</dt>
      <dd>
        {source.figures.mean} from {source.figures.count ?? 'an unknown number of'} ratings; Gnomic counts those it collected
      </dd>
    {/if}
    {#if source.granted}
      <dt>Permission</dt>
      <dd>
        given for {source.granted.account}: {source.granted.what.join('; ')}{#if source.granted.ended}. <strong
            class="harm">It ended {date(source.granted.ended)}.</strong
          >
          <a class="link" href="/sources/add/{source.channel}">Give it again</a>{:else if source.granted.until}. Valid
          until {date(source.granted.until)}, and renewed automatically{/if}
      </dd>
    {/if}
    {#if source.isRated}
      <dt>Shown as</dt>
      <dd><Sign {source} {onchange} /></dd>
    {/if}
    {#if source.quota}
      <dt>Requests today</dt>
      <dd>
        {source.quota.used.toLocaleString('en-GB')} of {source.quota.limit.toLocaleString('en-GB')}
      </dd>
    {/if}
    <dt>Deleted at the source</dt>
    <dd>
      <label
        ><input
          type="checkbox"
          checked={source.showsGone}
          onchange={(event) =>
            change(
              { showsGone: event.currentTarget.checked },
              event.currentTarget.checked
                ? 'Entries deleted there stay shown.'
                : 'Entries deleted there are no longer shown.',
            )}
        /> still shown</label
      >
    </dd>
    {#if source.isAsked}
      <dt>Checked</dt>
      <dd><Cadence {source} {onchange} /></dd>
    {/if}
  </dl>
  <form onsubmit={(event) => (event.preventDefault(), keep())}>
    <label>Name <input class="field" required maxlength="100" bind:value={name} /></label>
    <SubjectField bind:value={subject} />
    {#if source.profile}
      <label>Account name <input class="field" maxlength="100" bind:value={profile.name} /></label>
      <label>Account picture <input class="field" type="url" maxlength="2000" bind:value={profile.picture} /></label>
      <label>Account bio <textarea class="field" rows="2" maxlength="500" bind:value={profile.bio}></textarea></label>
    {/if}
    <p class="acts">
      <Button type="submit" size="sm">Save</Button>
      <button type="button" class="plain link harm" onclick={onremove}
        >Remove the source and its {source.entries === 1 ? 'one entry' : `${source.entries} entries`}</button
      >
    </p>
  </form>
</div>

<style>
  .details {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 8px 40px;
    padding: 4px 0 10px;
    white-space: normal;
  }
  @media (max-width: 760px) {
    .details {
      grid-template-columns: minmax(0, 1fr);
    }
  }
  dl {
    display: grid;
    grid-template-columns: max-content 1fr;
    gap: 6px 16px;
    align-content: start;
  }
  dt {
    color: var(--quiet);
  }
  form,
  form label {
    display: grid;
    gap: 3px;
  }
  form {
    gap: 10px;
    align-content: start;
  }
  .acts {
    display: flex;
    gap: 20px;
    align-items: center;
  }
  .harm {
    color: var(--harm);
  }
  input[type='checkbox'] {
    accent-color: var(--accent);
  }
</style>
