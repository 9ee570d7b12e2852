<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import Button from 'flowbite-svelte/Button.svelte';
  import { Refused, type WholeBrief } from '../api/client';
  import { clock } from '../parts/clock.svelte';
  import { since } from '../parts/times';
  import { inDialog, isTyping } from '../parts/keys';
  import Situation from '../parts/Situation.svelte';
  import { Bench } from './bench.svelte';
  import Controls from './Controls.svelte';
  import Proofs from './Proofs.svelte';
  import Sentence from '../parts/Sentence.svelte';
  import SieveBar from './SieveBar.svelte';
  import History from './History.svelte';

  let { key }: { key: string } = $props();
  // The bench is made anew for another widget.
  const bench = untrack(() => new Bench(key));

  let history = $state(false);

  onMount(() => {
    void bench.load();
    return () => bench.leave();
  });

  const phrases = $derived((bench.proof?.sentence ?? []).filter((phrase) => phrase.key !== null));
  /** The stages in their order, each with what opens where the sentence does not speak of it. */
  const stages = [
    ['gather', 'sources'],
    ['sift', 'order'],
    ['shape', 'layout'],
    ['dress', 'dress'],
    ['place', 'place'],
    ['tend', 'cadence'],
  ] as const;

  function open(phrase: string | null, focus = true): void {
    bench.open = phrase;
    if (phrase && focus) {
      // What the sentence does not speak of yet has its controls alone.
      requestAnimationFrame(() =>
        (document.querySelector<HTMLElement>(`[data-phrase="${phrase}"]`) ?? firstControl())?.focus(),
      );
    }
  }

  const firstControl = (): HTMLElement | null =>
    document.querySelector<HTMLElement>('#controls :is(input:not([disabled]), select, textarea, button, a)');

  function onkeydown(event: KeyboardEvent): void {
    // The entries behind a number close themselves first.
    if (inDialog() || (event.key === 'Escape' && document.querySelector('.behind'))) return;
    if (event.key === 'ArrowDown' && bench.open && (event.target as Element).matches('[data-phrase]')) {
      event.preventDefault();
      firstControl()?.focus();
      return;
    }
    if (event.key === 'Escape' && bench.open) {
      const was = bench.open;
      bench.open = null;
      (
        document.querySelector<HTMLElement>(`[data-phrase="${was}"]`) ??
        document.querySelector<HTMLElement>('[data-phrase="more"]')
      )?.focus();
      return;
    }
    if (
      (event.ctrlKey || event.metaKey) &&
      event.key === 'z' &&
      !(event.target as Element).matches('input, textarea')
    ) {
      if (bench.undo()) event.preventDefault();
      return;
    }
    if (isTyping(event)) return;
    const stage = stages[Number(event.key) - 1];
    const at = phrases.findIndex((phrase) => phrase.key === bench.open);
    if (stage) open(phrases.find((phrase) => phrase.stage === stage[0] && !phrase.isOffer)?.key ?? stage[1]);
    else if (event.key === ']') open(phrases[(at + 1) % phrases.length]?.key ?? null);
    else if (event.key === '[') open(phrases[(at - 1 + phrases.length) % phrases.length]?.key ?? null);
    else if (event.key === 'u' && bench.undo()) event.preventDefault();
  }

  /** What asks for another change, and not for another try. */
  const isOfBrief = $derived(bench.wrong instanceof Refused && bench.wrong.status === 422);
  const changes = $derived(
    ['', '1 unpublished change'][bench.changes.length] ?? `${bench.changes.length} unpublished changes`,
  );
</script>

<svelte:window {onkeydown} onbeforeunload={() => bench.leave()} />

{#if bench.widget && bench.proof}
  {@const edition = bench.widget.edition}
  <div class="bench">
    <header>
      <input
        class="name"
        aria-label="Name of the widget"
        value={bench.widget.name}
        maxlength="100"
        onchange={(event) => bench.rename(event.currentTarget.value)}
      />
      <span class="quiet out">
        {#if edition}Edition {edition.number}, published {since(edition.createdAt, clock.now)}{:else}Not published yet{/if}
      </span>
      <span class="quiet changes" title={bench.changes.join('; ')}>{changes}</span>
      {#if edition}
        <Button size="sm" color="light" onclick={() => (history = true)}>History</Button>
      {/if}
      <Button size="sm" color="light" onclick={() => open('place')}>Get the code</Button>
      <Button
        size="sm"
        disabled={bench.publishing || (edition !== null && bench.changes.length === 0)}
        onclick={() => bench.publish()}
      >
        {edition ? `Publish edition ${edition.number + 1}` : 'Publish the first edition'}
      </Button>
    </header>
    <div class="work">
      <h1 class="unseen">{bench.widget.name}</h1>
      <Sentence
        phrases={bench.proof.sentence}
        open={bench.open}
        onopen={(phrase) => open(phrase === bench.open ? null : phrase, false)}
      />
      {#if bench.wrong}
        <p class="wrong" role="alert">
          ✕ {bench.wrong.message}
          {#if !isOfBrief}<button class="plain link" onclick={() => bench.again()}>Try again</button>{/if}
        </p>
      {/if}
      {#each bench.proof.warnings as warning (warning.text)}
        <p class="warning" role="status">
          ▲ {warning.text}
          {#each warning.repairs as repair (repair.text)}
            <button class="field repair" onclick={() => bench.take(repair.brief as WholeBrief)}>{repair.text}</button>
          {/each}
          <button class="plain link" onclick={() => open(warning.key as string)}>Change this</button>
        </p>
      {/each}
      {#if Math.abs(bench.proof.moreRoom ?? 0) > 8 && bench.open !== 'place'}
        <p class="warning" role="status">
          ▲ This takes up to {Math.abs(bench.proof.moreRoom ?? 0)} pixels {(bench.proof.moreRoom ?? 0) > 0
            ? 'more'
            : 'less'} room than what is published. The code on your pages keeps working.
          <button class="plain link" onclick={() => open('place')}>Get the code anew</button>
        </p>
      {/if}
      {#if bench.open}<Controls {bench} onopen={(key) => open(key)} />{/if}
      <Proofs {bench} proof={bench.proof} name={bench.widget.name} />
    </div>
    <SieveBar {bench} />
    {#if history}<History {bench} onclose={() => (history = false)} />{/if}
  </div>
{:else if bench.broken || bench.wrong}
  <div class="alone">
    <Situation
      alone
      kind="broken"
      title="This widget cannot be opened"
      text={bench.broken || (bench.wrong?.message ?? '')}
    >
      {#snippet step()}
        <button class="plain link" onclick={() => bench.load()}>Try again</button>
        <a class="link" href="/widgets">All widgets</a>
      {/snippet}
    </Situation>
  </div>
{:else}
  <div class="alone"><Situation alone kind="loading" title="Opening the widget" /></div>
{/if}

<style>
  .bench {
    display: grid;
    grid-template: auto minmax(0, 1fr) auto / minmax(0, 1fr);
    height: 100%;
  }
  header {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 14px;
    padding: 12px 28px 8px;
  }
  .name {
    font-weight: 600;
    border: 1px solid transparent;
    border-radius: 3px;
    background: none;
    padding: 4px 6px;
    margin-left: -6px;
    color: inherit;
    field-sizing: content;
    min-width: 8ch;
    max-width: 30ch;
  }
  .name:hover,
  .name:focus {
    border-color: var(--line);
    background: var(--surface);
  }
  .out {
    flex: 1;
  }
  .work {
    overflow-y: auto;
    padding: 4px 28px 16px;
  }
  .wrong {
    color: var(--harm);
    margin-top: 8px;
  }
  .warning {
    color: var(--attention);
    margin-top: 8px;
  }
  .repair {
    min-height: 28px;
    padding: 2px 10px;
    margin: 0 4px;
    cursor: pointer;
  }
  .alone {
    padding: 24px 28px;
  }
  @media (max-width: 760px) {
    header {
      padding: 8px 16px 4px;
    }
    .out {
      flex: 1 0 50%;
    }
    .work {
      padding: 4px 16px 16px;
    }
  }
</style>
