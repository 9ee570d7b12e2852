<script lang="ts">
  import { notices } from './notices.svelte';

  interface Props {
    text: string;
    /** What it is: "The tag". */
    what: string;
    /** @default Copy */
    label?: string;
  }
  let { text, what, label = 'Copy' }: Props = $props();

  async function copy(): Promise<void> {
    try {
      await navigator.clipboard.writeText(text);
      notices.say(`${what} is copied.`);
    } catch {
      notices.fail('Your browser blocked copying. Select the text and copy it yourself.');
    }
  }
</script>

<button type="button" class="field" aria-label="{label}: {what.toLowerCase()}" onclick={copy}>{label}</button>

<style>
  button {
    flex: none;
    width: fit-content;
    cursor: pointer;
  }
</style>
