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
  const noteId = $props.id();
  let { type, checked, onchange, name, note, disabled = false, children }: Props = $props();
</script>

<div class="choice" class:disabled>
  <label>
    <input
      {type}
      {name}
      {checked}
      {disabled}
      aria-describedby={note ? noteId : undefined}
      onchange={(event) => {
        onchange();
        event.currentTarget.checked = checked; // what the brief says, should it not have taken the change
      }}
    />
    <span>{@render children()}</span>
  </label>
  {#if note}<span class="note small quiet" id={noteId}>{note}</span>{/if}
</div>

<style>
  .choice,
  label {
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 28px;
  }
  label {
    cursor: pointer;
  }
  .disabled label {
    opacity: 0.6;
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
