<script lang="ts">
  interface Props {
    label: string;
    about: string;
    /** "#rrggbb", or with two digits more where it lets through; null: none. */
    value: string | null;
    /** Whether it is other than in the look. */
    isOwn: boolean;
    onchange: (value: string | null) => void;
  }
  let { label, about, value, isOwn, onchange }: Props = $props();
  const COLOUR = /^#([0-9a-f]{6}|[0-9a-f]{8})$/i;
</script>

<span class="colour" title={about}>
  <input
    type="color"
    aria-label="{label}, picked"
    value={(value ?? '#ffffff').slice(0, 7)}
    onchange={(event) => onchange(event.currentTarget.value)}
  />
  <label
    ><span class="small">{label}</span><br />
    <input
      class="field"
      value={value ?? ''}
      placeholder="none"
      spellcheck="false"
      aria-invalid={value !== null && !COLOUR.test(value)}
      onchange={(event) => {
        const text = event.currentTarget.value.trim().toLowerCase();
        if (text === '' || COLOUR.test(text)) onchange(text === '' ? null : text);
        else event.currentTarget.value = value ?? '';
      }}
    /></label
  >
  {#if isOwn}<button class="plain small link" aria-label="{label} as the look has it" onclick={() => onchange(null)}
      >undo</button
    >{/if}
</span>

<style>
  .colour {
    display: flex;
    align-items: end;
    gap: 6px;
    min-width: 190px;
  }
  input[type='color'] {
    width: 34px;
    height: 34px;
    padding: 1px;
    border: 1px solid var(--line);
    background: none;
  }
  .field {
    width: 104px;
    font-variant-numeric: tabular-nums;
  }
</style>
