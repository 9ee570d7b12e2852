<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ask } from '../../api/client';

  interface Props {
    value: string;
    /** @default 'What it is about' */
    label?: string;
  }
  let { value = $bindable(), label = 'What it is about' }: Props = $props();
  let names = $state<string[]>([]);

  onMount(() => {
    // Names to choose from help, and are not needed.
    ask(api.GET('/subjects')).then(
      (answer) => (names = answer.subjects.map(({ name }) => name)),
      () => (names = []),
    );
  });
  const id = $props.id();
</script>

<label
  >{label} <span class="small quiet">a venue, product or person; optional</span>
  <input class="field" list="{id}-names" maxlength="100" bind:value />
</label>
<datalist id="{id}-names">
  {#each names as name (name)}<option value={name}></option>{/each}
</datalist>

<style>
  label {
    display: grid;
    gap: 2px;
  }
</style>
