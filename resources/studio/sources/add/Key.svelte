<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import { api, ask } from '../../api/client';
  import State from './State.svelte';
  import { Work } from './work.svelte';

  interface Props {
    channel: 'wayleaf' | 'corkwall';
    service: string;
    what: 'key' | 'token';
    onkept: () => unknown;
  }
  let { channel, service, what, onkept }: Props = $props();

  const work = new Work();
  let secret = $state('');
  const keep = (): Promise<unknown> =>
    work.during(async () => {
      await ask(api.PUT('/credentials/{channel}', { params: { path: { channel } }, body: { secret } }));
      secret = '';
      await onkept();
    });
  const id = $props.id();
</script>

<form onsubmit={(event) => (event.preventDefault(), keep())}>
  <label for="{id}-key">Your {service} {what}. It is stored encrypted and sent only to {service}.</label>
  <div class="row">
    <input id="{id}-key" class="field" required bind:value={secret} autocomplete="off" />
    <Button type="submit" disabled={work.busy}>Save the {what}</Button>
  </div>
</form>
<State {work} />

<style>
  form {
    display: grid;
    gap: 6px;
    margin-top: 14px;
  }
</style>
