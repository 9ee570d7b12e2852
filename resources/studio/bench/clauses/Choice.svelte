<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Props {
    type: 'checkbox' | 'radio';
    checked: boolean;
    onchange: () => void;
    /** Radios of one name exclude each other. */
    name?: string;
    /** What it costs or brings, at the end of the line. */
    note?: string;
    disabled?: boolean;
    children: Snippet;
  }
  let { type, checked, onchange, name, note, disabled = false, children }: Props = $props();
</script>

<label class:disabled>
  <input
    {type}
    {name}
    {checked}
    {disabled}
    onchange={(event) => {
      onchange();
      event.currentTarget.checked = checked; // what the brief says, should it not have taken the change
    }}
  />
  <span>{@render children()}</span>
  {#if note}<span class="note small quiet">{note}</span>{/if}
</label>

<style>
  label {
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 28px;
    cursor: pointer;
  }
  .disabled {
    opacity: 0.55;
    cursor: default;
  }
  input {
    accent-color: var(--accent);
    width: 16px;
    height: 16px;
  }
  .note {
    margin-left: auto;
    padding-left: 24px;
  }
</style>
