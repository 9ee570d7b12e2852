<script lang="ts">
  import type { Step } from '../api/client';
  import Behind from './Behind.svelte';
  import type { Bench } from './bench.svelte';

  let { bench }: { bench: Bench } = $props();

  const steps = $derived(
    // What always applies is told where it leaves something out; a condition, even where it does not.
    (bench.proof?.sieve ?? []).filter(
      (step) => step.dropped > 0 || step.alone !== null || step.key === 'collected' || step.key === 'shown',
    ),
  );
  const stage = $derived(
    bench.proof?.sentence.find((phrase) => phrase.key === bench.open)?.stage ??
      bench.offered?.topics.find((topic) => topic.key === bench.open)?.stage ??
      '',
  );
  const collected = $derived(Math.max(1, steps[0]?.kept ?? 1));
  let looked = $state<{ step: string; kept: boolean } | null>(null);

  /** The height of a wedge's edge: what is left, in proportion; never nothing while something is left. */
  const edge = (count: number): number => (count === 0 ? 0 : Math.max(1.5, (18 * count) / collected));
  const before = (index: number): number => steps[Math.max(0, index - 1)]?.kept ?? 0;
  /** One line, while nothing of it is used. */
  const folded = $derived(looked === null && !['gather', 'sift'].includes(stage));
  const isActive = (step: Step): boolean => bench.open === step.topic && step.key !== 'collected';

  const told = (number: number): string => number.toLocaleString('en-GB');
  const look = (step: string, kept: boolean): void => {
    looked = looked?.step === step && looked.kept === kept ? null : { step, kept };
  };
</script>

<section class="sieve" class:folded aria-label="The sieve">
  {#if looked}
    <Behind
      {bench}
      step={looked.step}
      kept={looked.kept}
      onclose={() => (looked = null)}
      onturn={(kept) => looked && (looked = { ...looked, kept })}
    />
  {/if}
  <ol>
    {#each steps as step, index (step.key)}
      <li class:active={isActive(step)}>
        <span class="phrase" title={step.phrase}>{step.phrase}</span>
        <span class="counts">
          <button
            class="plain kept"
            aria-label="{told(step.kept)} kept: {step.phrase}"
            onclick={() => look(step.key, true)}>{told(step.kept)}</button
          >
          {#if step.dropped > 0}
            <button
              class="plain dropped"
              aria-label="{told(step.dropped)} {step.key === 'shown' ? 'more' : 'left out'}: {step.phrase}"
              onclick={() => look(step.key, false)}
              >{step.key === 'shown' ? `${told(step.dropped)} more` : `−${told(step.dropped)}`}</button
            >
          {/if}
        </span>
        <span class="if quiet"
          >{step.more
            ? `without it: ${told(step.more)} more shown`
            : step.alone
              ? `without it: ${told(step.alone)} more`
              : ''}</span
        >
        <svg viewBox="0 0 100 18" preserveAspectRatio="none" aria-hidden="true">
          <path d="M0 {18 - edge(before(index))}L100 {18 - edge(step.kept)}V18H0z" />
        </svg>
      </li>
    {/each}
  </ol>
</section>

<style>
  .sieve {
    position: relative;
    border-top: 1px solid var(--line);
    background: var(--surface);
  }
  ol {
    display: flex;
    gap: 8px;
    padding: 8px 28px 10px;
    overflow-x: auto;
  }
  @media (max-width: 760px) {
    ol {
      padding-inline: 16px;
    }
  }
  li {
    flex: 1 1 0;
    min-width: 98px;
    display: grid;
    align-content: end;
    line-height: 1.3;
  }
  .phrase {
    font-size: 13px;
    color: var(--quiet);
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .kept {
    font-size: 18px;
    font-weight: 600;
    margin-right: 6px;
    min-height: 26px;
    min-width: 24px;
  }
  .dropped {
    font-size: 13px;
    color: var(--attention);
    min-height: 24px;
  }
  .kept:hover,
  .dropped:hover {
    text-decoration: underline;
    text-underline-offset: 3px;
  }
  .if {
    font-size: 12px;
    white-space: nowrap;
    min-height: 18px;
  }
  svg {
    width: 100%;
    height: 18px;
    fill: var(--accent-soft);
  }
  .folded ol {
    padding-block: 4px;
    gap: 22px;
  }
  .folded li {
    flex: none;
    min-width: 0;
    display: flex;
    align-items: baseline;
    gap: 8px;
  }
  .folded .counts {
    white-space: nowrap;
  }
  .folded .kept {
    font-size: 15px;
  }
  .folded :is(.if, svg) {
    display: none;
  }
  li.active svg {
    fill: var(--accent-mid);
  }
  li:last-child svg {
    fill: var(--accent);
  }
  li.active .phrase {
    color: var(--accent);
    font-weight: 600;
  }
</style>
