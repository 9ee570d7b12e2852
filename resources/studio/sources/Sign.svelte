<script lang="ts">
  import { api, ask, type Source } from '../api/client';
  import { notices } from '../parts/notices.svelte';
  import { sent } from './add/sending';

  interface Props {
    source: Source;
    onchange: () => unknown;
  }
  let { source, onchange }: Props = $props();
  let sending = $state(false);

  async function give(input: HTMLInputElement): Promise<void> {
    const picture = input.files?.[0];
    if (!picture) return;
    sending = true;
    try {
      await sent(`/sources/${source.key}/sign`, { picture });
      notices.say(`Figures of ${source.called} have its sign now.`);
      await onchange();
    } catch (error) {
      notices.fail(error);
    }
    sending = false;
    input.value = '';
  }

  async function set(id: string | null): Promise<void> {
    try {
      await ask(api.PATCH('/sources/{key}', { params: { path: { key: source.key } }, body: { sign: id } }));
      await onchange();
    } catch (error) {
      notices.fail(error);
    }
  }

  async function remove(id: string): Promise<void> {
    await set(null);
    notices.say(`Figures of ${source.called} have its name again.`, () => void set(id));
  }
</script>

<div class="sign">
  {#if source.sign?.address}
    <img src={source.sign.address} alt="The sign of {source.called}" />
  {:else}
    <span class="quiet">its name, “{source.called}”</span>
  {/if}
  <label class="plain link" class:sending>
    {sending ? 'It is being sent' : source.sign ? 'Another picture' : 'Use a picture'}
    <input
      class="unseen"
      type="file"
      accept="image/png,image/webp,image/jpeg,image/gif"
      disabled={sending}
      onchange={(event) => give(event.currentTarget)}
    />
  </label>
  {#if source.sign}
    <button class="plain link" onclick={() => remove(source.sign?.id ?? '')}>Use the name</button>
  {/if}
</div>

<style>
  .sign {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 16px;
  }
  img {
    height: 20px;
    max-width: 112px;
    object-fit: contain;
  }
  label {
    cursor: pointer;
  }
  label:focus-within {
    outline: 2px solid var(--accent);
    outline-offset: 2px;
  }
  .sending {
    color: var(--quiet);
  }
</style>
