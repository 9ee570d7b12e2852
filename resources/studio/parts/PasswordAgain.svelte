<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import Modal from 'flowbite-svelte/Modal.svelte';
  import { api, ask } from '../api/client';

  /** Who waits for the password to be given again: told whether it was. */
  let { asked, onend }: { asked: (isGiven: boolean) => void; onend: () => void } = $props();

  let open = $state(true);
  let password = $state('');
  let wrong = $state('');
  let isGiven = false;

  $effect(() => {
    if (open) return;
    asked(isGiven);
    onend();
  });

  async function give(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    try {
      await ask(api.POST('/password/confirm', { body: { password } }));
      isGiven = true;
      open = false;
    } catch (error) {
      wrong = (error as Error).message;
    }
  }
</script>

<Modal bind:open title="Enter your password" size="xs">
  <form onsubmit={give}>
    <p class="small quiet">Gnomic asks again before something that matters is removed.</p>
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
    <p><Button type="submit">Continue</Button></p>
  </form>
</Modal>

<style>
  form,
  label {
    display: grid;
    gap: 6px;
    color: var(--ink);
  }
  form {
    gap: 12px;
  }
  .wrong {
    color: var(--harm);
  }
</style>
