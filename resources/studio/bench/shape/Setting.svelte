<script lang="ts">
  import Choice from '../../clauses/Choice.svelte';
  import Terms from '../../clauses/Terms.svelte';
  import { choices, isNullable, kindOf, said, type Schema } from './settings';
  import Self from './Setting.svelte';

  interface Props {
    schema: Schema;
    value: unknown;
    onchange: (value: unknown) => void;
    /** Of the class of widths, where the schema says nothing of its own. */
    name?: string;
  }
  let { schema, value, onchange, name = '' }: Props = $props();
  const id = $props.id();

  const kind = $derived(kindOf(schema));
  const words = $derived(said(schema));
  const label = $derived(words.label || name);
  const list = $derived((value as string[] | null) ?? []);
  const group = $derived((value as Record<string, unknown> | null) ?? {});
  /** A number that may be none begins, when it is wanted, at the usual or the least. */
  const start = $derived(Number(schema.default ?? Math.max(schema.minimum ?? 1, Math.min(5, schema.maximum ?? 5))));
  const isShort = $derived((schema.maximum ?? 99) - (schema.minimum ?? 0) <= 10);
  const turn = (one: string): void =>
    onchange(
      choices(schema.items)
        .map((item) => item.const)
        .filter((item) => (item === one ? !list.includes(item) : list.includes(item))),
    );
</script>

{#if kind === 'switch'}
  <Choice type="checkbox" checked={value === true} onchange={() => onchange(value !== true)}>{label}</Choice>
{:else if kind === 'choice'}
  <label for={id}>{label}</label>
  <select {id} class="field" {value} onchange={(event) => onchange(event.currentTarget.value)}>
    {#each choices(schema) as option (option.const)}<option value={option.const}>{option.title}</option>{/each}
  </select>
{:else if kind === 'several'}
  <fieldset>
    <legend>{label}</legend>
    {#each choices(schema.items) as item (item.const)}
      <Choice type="checkbox" checked={list.includes(item.const)} onchange={() => turn(item.const)}>{item.title}</Choice
      >
    {/each}
  </fieldset>
{:else if kind === 'words'}
  <Terms {label} value={list} {onchange} />
{:else if kind === 'group'}
  <fieldset>
    <legend>{label}</legend>
    <div class="group">
      {#each Object.entries(schema.properties ?? {}) as [member, own] (member)}
        <span>
          <Self
            schema={own}
            name={member}
            value={group[member]}
            onchange={(to) => onchange({ ...group, [member]: to })}
          />
        </span>
      {/each}
    </div>
  </fieldset>
{:else if kind === 'text'}
  <label for={id}>{label}</label>
  <input
    {id}
    class="field"
    maxlength={schema.maxLength}
    value={(value as string | null) ?? ''}
    placeholder={words.none}
    onchange={(event) => onchange(event.currentTarget.value.trim() || null)}
  />
{:else if isShort}
  <label for={id}>{label}</label>
  <select
    {id}
    class="field"
    value={value === null || value === undefined ? '' : String(value)}
    onchange={(event) => onchange(event.currentTarget.value === '' ? null : Number(event.currentTarget.value))}
  >
    {#if isNullable(schema)}<option value="">{name ? 'any' : words.none}</option>{/if}
    {#each { length: (schema.maximum ?? 0) - (schema.minimum ?? 0) + 1 }, index}
      {@const number = (schema.minimum ?? 0) + index}
      <option value={String(number)}>{number}</option>
    {/each}
  </select>
{:else}
  <label for={id}>{label}</label>
  <span class="number">
    <input
      {id}
      type="number"
      class="field"
      min={schema.minimum}
      max={schema.maximum}
      value={(value as number | null) ?? ''}
      disabled={value === null}
      onchange={(event) => {
        const { valueAsNumber, min, max } = event.currentTarget;
        if (Number.isFinite(valueAsNumber))
          onchange(Math.round(Math.max(Number(min), Math.min(Number(max), valueAsNumber))));
      }}
    />
    {#if isNullable(schema)}
      <Choice type="checkbox" checked={value === null} onchange={() => onchange(value === null ? start : null)}
        >{words.none}</Choice
      >
    {/if}
  </span>
{/if}

<style>
  label {
    display: block;
  }
  select,
  input {
    max-width: 100%;
  }
  select {
    padding-right: 30px;
  }
  input[type='number'] {
    width: 90px;
  }
  .number {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 12px;
  }
  .group {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 0 8px;
  }
</style>
