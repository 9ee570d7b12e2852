<script lang="ts">
  import { untrack } from 'svelte';
  import Button from 'flowbite-svelte/Button.svelte';
  import type { paths } from '../../api/schema';
  import { tokenName } from './names';

  type Asked = paths['/looks/imported']['post']['responses'][200]['content']['application/json'];
  interface Props {
    /** What the file has, and what its names propose. */
    asked: Asked;
    onkeep: (name: string, mapping: { target: string; token: string }[]) => void;
    oncancel: () => void;
  }
  let { asked, onkeep, oncancel }: Props = $props();

  let name = $state('Imported look');
  let chosen = $state<Record<string, string>>(untrack(() => ({ ...asked.proposed })));
  const id = $props.id();

  const GROUPS = [
    ['light', 'Colours on light'],
    ['dark', 'Colours on dark'],
    ['tokens', 'Sizes and fonts'],
  ] as const;
  const targets = (group: string): [string, string][] =>
    Object.entries(asked.targets).filter(([target]) => target.startsWith(`${group}.`));
  /** Tokens of a kind; of those in two modes, the one of the scheme. */
  const fitting = (kind: string, group: string): Asked['found'] => {
    const all = asked.found.filter(
      (one) => one.kind === kind && (one.mode === null || one.mode === group || group === 'tokens'),
    );
    return [...new Map(all.map((one) => [one.name, one])).values()];
  };
  const valueOf = (target: string, kind: string, group: string): string | number | undefined =>
    fitting(kind, group).find((one) => one.name === chosen[target])?.value;
  const mapping = $derived(
    Object.entries(chosen)
      .filter(([, token]) => token !== '')
      .map(([target, token]) => ({ target, token })),
  );
  const hasInk = $derived(mapping.some(({ target }) => target.endsWith('.ink')));
</script>

<form
  aria-label="Which token is which"
  onsubmit={(event) => {
    event.preventDefault();
    if (hasInk) onkeep(name.trim(), mapping);
  }}
>
  <p>
    This file has {asked.found.length} tokens with names of its own. Choose which is which, once; what their names suggest
    is chosen already.
  </p>
  {#each GROUPS as [group, title] (group)}
    <fieldset>
      <legend>{title}</legend>
      {#each targets(group) as [target, kind] (target)}
        {@const value = valueOf(target, kind, group)}
        <label
          ><span class="small">{tokenName(target.split('.')[1] ?? '')}</span>
          <span class="pick">
            {#if kind === 'colour'}<i class:none={value === undefined} style:background={value}></i>{/if}
            <select class="field" aria-label={tokenName(target.split('.')[1] ?? '')} bind:value={chosen[target]}>
              <option value="">nothing</option>
              {#each fitting(kind, group) as one (one.name)}<option value={one.name}>{one.name} ({one.value})</option
                >{/each}
            </select>
          </span></label
        >
      {/each}
    </fieldset>
  {/each}
  {#if asked.left.length > 0}
    <details>
      <summary class="small"
        >{asked.left.length === 1
          ? 'One token of the file is left out'
          : `${asked.left.length} tokens of the file are left out`}</summary
      >
      <ul class="small quiet">
        {#each asked.left as said (said)}<li>{said}</li>{/each}
      </ul>
    </details>
  {/if}
  <div class="line">
    <label for={id} class="small">Name</label>
    <input {id} class="field" maxlength="60" bind:value={name} />
    <Button type="submit" size="sm" disabled={!hasInk || name.trim() === ''}>Keep as a look</Button>
    <button type="button" class="plain link" onclick={oncancel}>Cancel</button>
    {#if !hasInk}<span class="small attention">Choose a token for the text.</span>{/if}
  </div>
</form>

<style>
  form {
    margin: 8px 0;
  }
  fieldset {
    border: 0;
    padding: 0;
    margin: 0 0 10px;
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
    gap: 6px 18px;
  }
  legend {
    font-weight: 600;
    margin-bottom: 4px;
  }
  .pick {
    display: flex;
    gap: 6px;
    align-items: center;
  }
  i {
    flex: none;
    width: 20px;
    height: 20px;
    border: 1px solid var(--line);
    border-radius: 3px;
  }
  i.none {
    background: linear-gradient(to top right, transparent 47%, var(--line) 47% 53%, transparent 53%);
  }
  select {
    flex: 1;
    min-width: 0;
  }
  .line {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 12px;
    align-items: center;
  }
  .attention {
    color: var(--attention);
  }
</style>
