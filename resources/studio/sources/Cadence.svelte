<script lang="ts">
  import { api, ask, type Source } from '../api/client';
  import { notices } from '../parts/notices.svelte';

  interface Props {
    source: Source;
    onchange: () => void;
  }
  let { source, onchange }: Props = $props();

  // Daily is the usual advice, hourly is generous, a fortnight is enough for an account that rarely posts.
  const usual: [number, string][] = [
    [3600, 'every hour'],
    [21_600, 'every six hours'],
    [86_400, 'every day'],
    [604_800, 'every week'],
    [1_209_600, 'every two weeks'],
  ];
  const options = $derived(
    usual.some(([seconds]) => seconds === source.cadence)
      ? usual
      : ([[source.cadence, source.cadenceSpoken], ...usual] as [number, string][]),
  );

  async function change(cadence: number): Promise<void> {
    try {
      await ask(api.PATCH('/sources/{key}', { params: { path: { key: source.key } }, body: { cadence } }));
      onchange();
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<select
  class="field"
  aria-label="How often {source.name} is checked"
  value={source.cadence}
  onchange={(event) => change(Number(event.currentTarget.value))}
>
  {#each options as [seconds, words] (seconds)}<option value={seconds}>{words}</option>{/each}
</select>

<style>
  select {
    padding: 3px 28px 3px 8px;
    min-height: 30px;
  }
</style>
