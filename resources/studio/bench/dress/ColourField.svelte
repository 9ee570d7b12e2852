<script lang="ts">
  interface Props {
    label: string;
    about: string;
    /** "#rrggbb", or with two digits more where it lets through; null: none. */
    value: string | null;
    /** Whether it may let through what is behind it. */
    isOpen: boolean;
    /** What it is where there is none of it; undefined: there is always one. */
    none?: string;
    /** What is read then. */
    missing: string;
    /** Whether it is other than in the look. */
    isOwn: boolean;
    onchange: (value: string | null) => void;
  }
  let { label, about, value, isOpen, none, missing, isOwn, onchange }: Props = $props();
  const COLOUR = /^#([0-9a-f]{6}|[0-9a-f]{8})$/i;
  const solid = $derived((value ?? '#ffffff').slice(0, 7));
  const alpha = $derived(value === null ? 0 : value.length > 7 ? Math.round(parseInt(value.slice(7), 16) / 2.55) : 100);
  const isNone = $derived(value === null || alpha === 0);
  const withAlpha = (hundredths: number): string =>
    hundredths >= 100
      ? solid
      : solid +
        Math.round(hundredths * 2.55)
          .toString(16)
          .padStart(2, '0');
</script>

<span class="colour" title={about}>
  <label class="swatch" class:none={isNone} class:as={isNone && missing !== 'none'}>
    <input
      type="color"
      aria-label="{label}, picked"
      value={solid}
      onchange={(event) => {
        const picked = event.currentTarget.value;
        onchange(isNone || !isOpen ? picked : picked + (value ?? '').slice(7));
      }}
    />
    <span style:background={isNone ? undefined : value}></span>
  </label>
  <label
    ><span class="small">{label}</span><br />
    <input
      class="field"
      value={isNone ? '' : value}
      placeholder={missing}
      spellcheck="false"
      aria-invalid={value !== null && !COLOUR.test(value)}
      onchange={(event) => {
        const text = event.currentTarget.value.trim().toLowerCase();
        if (text === '' && none !== undefined) onchange(none);
        else if (COLOUR.test(text)) onchange(isOpen ? text : text.slice(0, 7));
        else event.currentTarget.value = isNone ? '' : (value ?? '');
      }}
    /></label
  >
  {#if none !== undefined}
    <button
      class="plain nothing"
      aria-label={missing === 'none' ? `No ${label.toLowerCase()}` : `${label} ${missing}`}
      title={missing === 'none' ? 'None' : missing}
      aria-pressed={isNone}
      onclick={() => onchange(none)}
    >
      <svg viewBox="0 0 20 20" aria-hidden="true"><circle cx="10" cy="10" r="7.5" /><path d="M4.7 15.3 15.3 4.7" /></svg
      >
    </button>
  {/if}
  {#if isOpen && !isNone}
    <label class="opacity"
      ><span class="small quiet">{alpha} %</span><br />
      <input
        type="range"
        min="1"
        max="100"
        aria-label="{label}, opacity"
        value={alpha}
        onchange={(event) => onchange(withAlpha(event.currentTarget.valueAsNumber))}
      /></label
    >
  {/if}
  {#if isOwn}<button class="plain small link" aria-label="{label} as the look has it" onclick={() => onchange(null)}
      >undo</button
    >{/if}
</span>

<style>
  .colour {
    display: flex;
    align-items: end;
    gap: 6px;
    min-width: 200px;
  }
  .swatch {
    position: relative;
    width: 34px;
    height: 34px;
    border: 1px solid var(--line);
    border-radius: 3px;
    overflow: hidden;
    /* What is let through is seen to be. */
    background: repeating-conic-gradient(#d6dbd3 0 25%, #fff 0 50%) 0 0/12px 12px;
  }
  .swatch span {
    position: absolute;
    inset: 0;
  }
  .swatch.none span {
    background: linear-gradient(to top right, transparent 47%, var(--harm) 47% 53%, transparent 53%), var(--surface);
  }
  .swatch.as span {
    background: var(--surface);
  }
  .swatch input {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
    opacity: 0;
    cursor: pointer;
  }
  .swatch:focus-within {
    outline: 2px solid var(--accent);
    outline-offset: 1px;
  }
  .field {
    width: 96px;
    font-variant-numeric: tabular-nums;
  }
  .nothing {
    display: grid;
    place-items: center;
    width: 28px;
    height: 34px;
  }
  .nothing svg {
    width: 18px;
    fill: none;
    stroke: var(--quiet);
    stroke-width: 1.5;
  }
  .nothing[aria-pressed='true'] svg {
    stroke: var(--accent);
    stroke-width: 2.5;
  }
  .opacity input {
    width: 76px;
    height: 24px;
    accent-color: var(--accent);
  }
</style>
