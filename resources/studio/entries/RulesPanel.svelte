<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import Modal from 'flowbite-svelte/Modal.svelte';
  import { api, ask, type Rules } from '../api/client';
  import Choice from '../clauses/Choice.svelte';
  import Terms from '../clauses/Terms.svelte';
  import { notices } from '../parts/notices.svelte';

  interface Props {
    open: boolean;
    onchange: () => void;
  }
  let { open = $bindable(), onchange }: Props = $props();

  let rules = $state<Rules>();
  let broken = $state('');

  $effect(() => {
    if (open) void load();
  });

  async function load(): Promise<void> {
    try {
      [rules, broken] = [await ask(api.GET('/rules')), ''];
    } catch (error) {
      broken = (error as Error).message;
    }
  }

  async function keep(next: Pick<Rules, 'never' | 'hold'>, undo?: Pick<Rules, 'never' | 'hold'>): Promise<void> {
    try {
      const kept = await ask(api.PUT('/rules', { body: { never: next.never, hold: next.hold } }));
      rules = kept;
      onchange();
      const barred =
        kept.barred === 0
          ? 'No entry contains a blocked word.'
          : `${kept.barred === 1 ? 'One entry contains' : `${kept.barred} entries contain`} a blocked word.`;
      notices.say(`The rules are saved. ${barred}`, undo && (() => void keep(undo)));
    } catch (error) {
      notices.fail(error);
    }
  }

  let before: Pick<Rules, 'never' | 'hold'> | undefined;
  $effect(() => {
    if (rules && !before)
      before = $state.snapshot({ never: rules.never, hold: rules.hold }) as Pick<Rules, 'never' | 'hold'>;
    if (!open) before = undefined;
  });
</script>

<Modal bind:open title="Rules for all widgets" size="md">
  {#if rules}
    <div class="rules">
      <section>
        <h3>Blocked words</h3>
        <Terms
          label="Never show entries with one of these words"
          value={rules.never}
          onchange={(words) => rules && (rules.never = words)}
        />
        <p class="small quiet">
          Separate words with commas; a star at the end finds any ending. Blocked entries still count in the figures.
        </p>
      </section>
      <section>
        <h3>Hold new entries</h3>
        <p class="small quiet">They are not shown until you release them. Today shows how many are waiting.</p>
        <label class="stars"
          >Rated below
          <select
            class="field"
            value={rules.hold.starsBelow ?? 0}
            onchange={(event) => {
              const below = Number(event.currentTarget.value);
              if (rules) rules.hold.starsBelow = below === 0 ? null : below;
            }}
          >
            <option value={0}>not used</option>
            {#each [2, 3, 4, 5] as below (below)}<option value={below}>{below} stars</option>{/each}
          </select></label
        >
        <Choice
          type="checkbox"
          checked={rules.hold.links}
          onchange={() => rules && (rules.hold.links = !rules.hold.links)}>That contain a link</Choice
        >
        <Choice
          type="checkbox"
          checked={rules.hold.newcomers}
          onchange={() => rules && (rules.hold.newcomers = !rules.hold.newcomers)}>From somebody new</Choice
        >
        <Terms
          label="That contain one of these words"
          value={rules.hold.words}
          onchange={(words) => rules && (rules.hold.words = words)}
        />
      </section>
      {#each rules.doubts as doubt (doubt)}<p class="doubt small">▲ {doubt}</p>{/each}
      <p>
        <Button
          onclick={async () => {
            if (!rules) return;
            const undo = before;
            before = undefined;
            open = false;
            await keep($state.snapshot(rules) as Rules, undo);
          }}>Save rules</Button
        >
      </p>
    </div>
  {:else if broken}<p role="alert">{broken}</p>
  {:else}<p>Loading the rules…</p>{/if}
</Modal>

<style>
  .rules {
    display: grid;
    gap: 18px;
    color: var(--ink);
  }
  section {
    display: grid;
    gap: 6px;
  }
  h3 {
    font-weight: 600;
  }
  .stars {
    display: flex;
    gap: 12px;
    align-items: center;
  }
  .doubt {
    color: var(--attention);
  }
</style>
