<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import { api, ask, type Session } from './api/client';
  import Mark from './parts/Mark.svelte';

  let { onenter }: { onenter: (session: Session) => void } = $props();
  let email = $state('');
  let password = $state('');
  let wrong = $state('');
  let busy = $state(false);

  async function enter(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    busy = true;
    wrong = '';
    try {
      onenter(await ask(api.POST('/session', { body: { email, password } })));
    } catch (error) {
      wrong = (error as Error).message;
    }
    busy = false;
  }
</script>

<main>
  <form onsubmit={enter}>
    <p class="brand"><Mark /> Gnomic</p>
    <h1>What people say about you, on your own pages</h1>
    <label>E-mail <input class="field" type="email" autocomplete="username" required bind:value={email} /></label>
    <label
      >Password <input
        class="field"
        type="password"
        autocomplete="current-password"
        required
        bind:value={password}
      /></label
    >
    {#if wrong}<p class="wrong" role="alert">✕ {wrong}</p>{/if}
    <Button type="submit" disabled={busy}>Sign in</Button>
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
