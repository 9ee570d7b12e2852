<script lang="ts" generics="T extends string | number | null">
  interface Props {
    label: string;
    value: T;
    /** Each with what the owner reads. */
    options: readonly (readonly [T, string])[];
    onchange: (value: T) => void;
  }
  let { label, value, options, onchange }: Props = $props();
  const id = $props.id();
  const at = $derived(options.findIndex(([option]) => option === value));
</script>

<span class="select">
  <label for={id}>{label}</label>
  <select
    {id}
    class="field"
    value={String(at)}
    onchange={(event) => {
      const chosen = options[Number(event.currentTarget.value)];
      if (chosen) onchange(chosen[0]);
    }}
  >
    {#each options as [option, said], index (option)}<option value={String(index)}>{said}</option>{/each}
  </select>
</span>

<style>
  .select {
    display: grid;
    justify-items: start;
    gap: 2px;
  }
  select {
    min-width: min(210px, 100%);
    max-width: 100%;
    padding-right: 30px;
  }
</style>
