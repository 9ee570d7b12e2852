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
      notices.say(`${source.called} is shown by this picture now.`);
      await onchange();
    } catch (error) {
      notices.fail(error);
    }
    sending = false;
    input.value = '';
  }

  async function set(sign: string | null, said: () => void): Promise<void> {
    try {
      await ask(api.PATCH('/sources/{key}', { params: { path: { key: source.key } }, body: { sign } }));
      said();
      await onchange();
    } catch (error) {
      notices.fail(error);
    }
  }

  const remove = (id: string): Promise<void> =>
    set(null, () =>
      notices.say(
        `${source.called} is shown by its name again.`,
        () => void set(id, () => notices.say(`${source.called} is shown by its picture again.`)),
      ),
    );
</script>

<div class="sign">
  {#if source.sign?.address}
    <img src={source.sign.address} alt="The picture for {source.called}" />
  {:else}
    <span>“{source.called}”</span>
  {/if}
  <label class="plain link" class:sending>
    {sending ? 'Sending it' : source.sign ? 'Another picture' : 'Use a picture'}
    <input
      class="unseen"
      type="file"
      accept="image/png,image/webp,image/jpeg,image/gif"
      disabled={sending}
      onchange={(event) => give(event.currentTarget)}
    />
  </label>
  {#if source.sign}
    <button class="plain link" onclick={() => remove(source.sign?.id ?? '')}>Use its name</button>
  {/if}
  <span class="small quiet where">where a widget has the figures of each service</span>
</div>

<style>
  .sign {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 16px;
  }
  .where {
    flex-basis: 100%;
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
