<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import Modal from 'flowbite-svelte/Modal.svelte';
  import { api, ask, type Account } from '../api/client';
  import { notices } from '../parts/notices.svelte';
  import { since } from '../parts/times';

  let { open = $bindable() }: { open: boolean } = $props();

  let account = $state<Account>();
  let broken = $state('');
  let [current, password, wrong] = $state(['', '', '']);
  let busy = $state(false);
  const now = new Date();

  $effect(() => {
    if (open) void load();
  });

  async function load(): Promise<void> {
    try {
      [account, broken] = [await ask(api.GET('/account')), ''];
    } catch (error) {
      broken = (error as Error).message;
    }
  }

  async function change(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    [busy, wrong] = [true, ''];
    try {
      await ask(api.PUT('/password', { body: { current, password } }));
      [current, password] = ['', ''];
      notices.say('Your password is changed. You are signed out everywhere else.');
      await load();
    } catch (error) {
      wrong = (error as Error).message;
    }
    busy = false;
  }

  async function end(id: number | null): Promise<void> {
    try {
      await ask(
        id === null
          ? api.DELETE('/account/sessions')
          : api.DELETE('/account/sessions/{id}', { params: { path: { id } } }),
      );
      await load();
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<Modal bind:open title="Your account" size="md">
  {#if account}
    <div class="parts">
      <form onsubmit={change}>
        <h2>Password</h2>
        <input type="hidden" autocomplete="username" value={account.email} />
        <label
          >Current password <input
            class="field"
            type="password"
            autocomplete="current-password"
            required
            bind:value={current}
          /></label
        >
        <label
          >New password, at least ten characters <input
            class="field"
            type="password"
            autocomplete="new-password"
            minlength="10"
            required
            bind:value={password}
          /></label
        >
        {#if wrong}<p class="wrong" role="alert">✕ {wrong}</p>{/if}
        <p><Button type="submit" disabled={busy}>Change password</Button></p>
      </form>
      <section>
        <h2>Where you are signed in</h2>
        <ul>
          {#each account.sessions as session (session.id)}
            <li>
              <span><strong>{session.browser}</strong>{session.here ? ', this browser' : ''}</span>
              <span class="small quiet"> last seen {since(session.seen, now)}</span>
              {#if !session.here}
                <button class="plain link small" onclick={() => end(session.id)}
                  >Sign out<span class="unseen"> {session.browser}, {since(session.seen, now)}</span></button
                >
              {/if}
            </li>
          {/each}
        </ul>
        {#if account.sessions.filter(({ here }) => !here).length > 1}
          <button class="plain link" onclick={() => end(null)}>Sign out everywhere else</button>
        {/if}
      </section>
      <section>
        <h2>Recent activity</h2>
        <ul class="events">
          {#each account.events as event, index (index)}
            <li>
              <span>{event.what}{event.times > 1 ? `, ${event.times} times` : ''}</span>
              <span class="small quiet">{since(event.at, now)}</span>
            </li>
          {:else}<li class="quiet">Nothing yet.</li>{/each}
        </ul>
      </section>
    </div>
  {:else if broken}<p role="alert">{broken}</p>
  {:else}<p>Loading…</p>{/if}
</Modal>

<style>
  .parts,
  form,
  label {
    display: grid;
    gap: 6px;
    color: var(--ink);
  }
  .parts {
    gap: 24px;
  }
  form {
    gap: 10px;
    max-width: 26em;
  }
  h2 {
    font-size: 17px;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 12px;
    align-items: baseline;
    padding: 5px 0;
    border-bottom: 1px solid var(--line);
  }
  li > :first-child {
    flex: 1;
  }
  .events {
    max-height: 16em;
    overflow-y: auto;
  }
  .wrong {
    color: var(--harm);
  }
</style>
