<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import { api, ask, type Session } from './api/client';
  import Mark from './parts/Mark.svelte';

  let { onenter }: { onenter: (session: Session) => void } = $props();

  /** From the e-mail: who sets a new password, and by which token. */
  const link = new URLSearchParams(location.hash.slice(1));
  const token = link.get('set-password') ?? '';
  let step = $state<'enter' | 'forgot' | 'sent' | 'set'>(token ? 'set' : 'enter');
  let email = $state(link.get('for') ?? '');
  let password = $state('');
  let wrong = $state('');
  let said = $state('');
  let busy = $state(false);

  // Nobody else is to find it in the bar of the browser.
  if (token) history.replaceState(history.state, '', location.pathname);

  async function submit(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    [busy, wrong, said] = [true, '', ''];
    try {
      if (step === 'enter') onenter(await ask(api.POST('/session', { body: { email, password } })));
      else if (step === 'set') {
        await ask(api.POST('/password/set', { body: { email, token, password } }));
        [step, password, said] = ['enter', '', 'Your new password is set. Sign in with it.'];
      } else {
        await ask(api.POST('/password/link', { body: { email } }));
        step = 'sent';
      }
    } catch (error) {
      wrong = (error as Error).message;
    }
    busy = false;
  }

  function turn(to: typeof step): void {
    [step, wrong, said] = [to, '', ''];
  }
</script>

<main>
  <form onsubmit={submit}>
    <p class="brand"><Mark /> Gnomic</p>
    {#if step === 'enter'}
      <h1>What people say about you, on your own pages</h1>
    {:else}
      <h1>Set a new password</h1>
    {/if}
    {#if said}<p role="status">✓ {said}</p>{/if}
    {#if step === 'sent'}
      <p role="status">
        If there is an account for {email}, we have sent it an e-mail. The link in it works once, and for half an hour.
      </p>
    {:else}
      <label
        >E-mail <input
          class="field"
          type="email"
          autocomplete="username"
          required
          readonly={step === 'set'}
          bind:value={email}
        /></label
      >
    {/if}
    {#if step === 'enter' || step === 'set'}
      <label
        >{step === 'set' ? 'New password' : 'Password'}
        <input
          class="field"
          type="password"
          autocomplete={step === 'set' ? 'new-password' : 'current-password'}
          minlength={step === 'set' ? 10 : undefined}
          required
          bind:value={password}
        /></label
      >
    {/if}
    {#if wrong}<p class="wrong" role="alert">✕ {wrong}</p>{/if}
    {#if step !== 'sent'}
      <Button type="submit" disabled={busy}
        >{{ enter: 'Sign in', forgot: 'Send me an e-mail', set: 'Set the password' }[step]}</Button
      >
    {/if}
    {#if step === 'enter'}
      <button type="button" class="plain link small" onclick={() => turn('forgot')}>I forgot my password</button>
    {:else}
      <button type="button" class="plain link small" onclick={() => turn('enter')}>Back to sign in</button>
    {/if}
  </form>
</main>

<style>
  main {
    display: grid;
    place-items: center;
    min-height: 100%;
    padding: 24px;
  }
  form {
    display: grid;
    gap: 14px;
    width: min(400px, 100%);
    justify-items: start;
  }
  .brand {
    display: flex;
    gap: 8px;
    align-items: center;
    font: 600 19px/1 var(--font-serif);
  }
  h1 {
    font-size: 30px;
    margin-bottom: 8px;
  }
  label {
    display: grid;
    gap: 4px;
    width: 100%;
  }
  .wrong {
    color: var(--harm);
  }
</style>
