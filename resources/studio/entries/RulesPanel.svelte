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
          ? 'No entry says one of the words never shown.'
          : `${kept.barred === 1 ? 'One entry says' : `${kept.barred} entries say`} one of the words never shown.`;
      notices.say(`The rules are kept. ${barred}`, undo && (() => void keep(undo)));
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
        <h3>Words never shown</h3>
        <Terms
          label="Entries that say one of these show nowhere"
          value={rules.never}
          onchange={(words) => rules && (rules.never = words)}
        />
        <p class="small quiet">
          Whole words, with a comma between them; a star at the end is any ending. They still count in the figures.
        </p>
      </section>
      <section>
        <h3>New entries that wait for you</h3>
        <p class="small quiet">They show nowhere until you release them. Today tells how many there are.</p>
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
            <option value={0}>never mind the stars</option>
            {#each [2, 3, 4, 5] as below (below)}<option value={below}>{below} stars</option>{/each}
          </select></label
        >
        <Choice
          type="checkbox"
          checked={rules.hold.links}
          onchange={() => rules && (rules.hold.links = !rules.hold.links)}>With a link in their words</Choice
        >
        <Choice
          type="checkbox"
          checked={rules.hold.newcomers}
          onchange={() => rules && (rules.hold.newcomers = !rules.hold.newcomers)}
          >By somebody who has said nothing here before</Choice
        >
        <Terms
          label="That say one of these words"
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
          }}>Keep these rules</Button
        >
      </p>
    </div>
  {:else if broken}<p role="alert">{broken}</p>
  {:else}<p>Fetching the rules.</p>{/if}
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
