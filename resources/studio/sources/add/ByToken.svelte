<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ask, type Choice } from '../../api/client';
  import Choices from './Choices.svelte';
  import Key from './Key.svelte';
  import State from './State.svelte';
  import { Work } from './work.svelte';

  const work = new Work();
  let boards = $state<Choice[]>();
  const load = (): Promise<unknown> => work.during(async () => (boards = (await ask(api.GET('/boards'))).choices));
  onMount(load);
</script>

{#if boards}
  <Choices legend="Which of your boards should be connected?" choices={boards} channel="corkwall" />
  <details>
    <summary class="small quiet">Use another token</summary>
    <Key channel="corkwall" service="Corkwall" what="token" onkept={load} />
  </details>
{:else}
  <p>Find your token at Corkwall under Settings, Applications, and paste it here. Your boards appear at once.</p>
  <State {work} />
  <Key channel="corkwall" service="Corkwall" what="token" onkept={load} />
{/if}

<style>
  details {
    margin-top: 20px;
  }
</style>
