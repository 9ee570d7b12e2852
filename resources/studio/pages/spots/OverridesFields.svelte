<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ask, type Offered } from '../../api/client';
  import Choice from '../../clauses/Choice.svelte';
  import { notices } from '../../parts/notices.svelte';
  import type { Spot } from '../pages.svelte';

  interface Props {
    overrides: NonNullable<Spot['overrides']>;
    follows: NonNullable<Spot['follows']> | null;
    elseUsual: boolean;
  }
  let { overrides = $bindable(), follows = $bindable(), elseUsual = $bindable() }: Props = $props();

  let offered = $state<Offered>();
  let subjects = $state<{ key: string; name: string }[]>([]);
  let languages = $state<{ key: string; name: string }[]>([]);
  let looks = $state<{ key: string; name: string }[]>([]);

  onMount(async () => {
    try {
      const [choices, found, site, kept] = await Promise.all([
        ask(api.GET('/choices')),
        ask(api.GET('/subjects')),
        ask(api.GET('/site')),
        ask(api.GET('/looks')),
      ]);
      offered = choices;
      subjects = found.subjects;
      languages = site.offered;
      looks = [...choices.looks, ...kept.looks.filter((one) => !choices.looks.some((other) => other.key === one.key))];
    } catch (error) {
      notices.fail(error);
    }
  });

  const isOther = $derived(
    follows !== null ||
      Object.values(overrides).some((one) => (Array.isArray(one) ? one.length > 0 : one !== null && one !== undefined)),
  );
</script>

<details open={isOther}>
  <summary>What differs here</summary>
  <div class="columns">
    <fieldset>
      <legend>About</legend>
      <Choice type="radio" name="about" checked={follows === null} onchange={() => (follows = null)}>
        <select
          class="field"
          aria-label="Subject"
          value={overrides.subject ?? ''}
          onchange={(event) => ((overrides.subject = event.currentTarget.value || null), (follows = null))}
        >
          <option value="">What the widget is about</option>
          {#each subjects as one (one.key)}<option value={one.key}>{one.name}</option>{/each}
        </select>
      </Choice>
      {#each [['schema', 'What the page’s own data names (schema.org)'], ['path', 'What the last part of its address names'], ['data', 'What its attribute data-subject names']] as const as [value, name] (value)}
        <Choice
          type="radio"
          name="about"
          checked={follows === value}
          onchange={() => ((follows = value), (overrides.subject = null))}>{name}</Choice
        >
      {/each}
      {#if follows !== null}
        <Choice type="checkbox" checked={elseUsual} onchange={() => (elseUsual = !elseUsual)}
          >Pages about something else show the widget as it is</Choice
        >
      {/if}
    </fieldset>
    <label
      >Entries
      <input
        class="field"
        type="number"
        min="1"
        max="100"
        placeholder="as many"
        value={overrides.most ?? ''}
        onchange={(event) =>
          (overrides.most = event.currentTarget.value === '' ? null : event.currentTarget.valueAsNumber)}
      /></label
    >
    <label
      >With a label of
      <input
        class="field"
        placeholder="any"
        value={(overrides.labels ?? []).join(', ')}
        onchange={(event) =>
          (overrides.labels = event.currentTarget.value
            .split(',')
            .map((one) => one.trim())
            .filter(Boolean))}
      /></label
    >
    <label
      >Language
      <select
        class="field"
        value={overrides.language ?? ''}
        onchange={(event) => (overrides.language = event.currentTarget.value || null)}
      >
        <option value="">as the widget</option>
        {#each languages as one (one.key)}<option value={one.key}>{one.name}</option>{/each}
      </select></label
    >
    <label
      >Layout
      <select
        class="field"
        value={overrides.layout ?? ''}
        onchange={(event) => (overrides.layout = event.currentTarget.value || null)}
      >
        <option value="">as the widget</option>
        {#each offered?.layouts ?? [] as one (one.name)}<option value={one.name}>{one.label}</option>{/each}
      </select></label
    >
    <label
      >Look
      <select
        class="field"
        value={overrides.look ?? ''}
        onchange={(event) => (overrides.look = event.currentTarget.value || null)}
      >
        <option value="">as the widget</option>
        {#each looks as one (one.key)}<option value={one.key}>{one.name}</option>{/each}
      </select></label
    >
  </div>
</details>

<style>
  summary {
    cursor: pointer;
    font-weight: 600;
    margin-bottom: 6px;
  }
  label,
  fieldset {
    display: grid;
    gap: 4px;
    align-content: start;
  }
  input[type='number'] {
    width: 9ch;
  }
  .columns {
    gap: 12px 32px;
  }
</style>
