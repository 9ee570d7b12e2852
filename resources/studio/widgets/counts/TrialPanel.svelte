<script lang="ts">
  import { api, ask } from '../../api/client';
  import type { components } from '../../api/schema';
  import { notices } from '../../parts/notices.svelte';
  import { date } from '../../parts/times';

  interface Props {
    key: string;
    trial: components['schemas']['Trial'] | null;
    ended: components['schemas']['Trial'][];
    onchanged: () => void;
  }
  let { key, trial, ended, onchanged }: Props = $props();

  const share = (value: number): string => `${(100 * value).toFixed(1)} %`;
  const number = (value: number): string => value.toLocaleString('en-GB');
  const says = (one: components['schemas']['Trial']): string =>
    one.says === 'enough'
      ? `Enough: ${one.other.share > one.this.share ? 'the other version' : 'the published version'} is used more.`
      : one.says === 'no difference'
        ? 'No difference worth having: keep whichever you like better.'
        : 'Not yet: what is seen may still be chance.';

  async function begin(): Promise<void> {
    try {
      await ask(api.POST('/widgets/{key}/trial', { params: { path: { key } } }));
      notices.say('The trial runs. Half of the visitors get what is on the bench, by chance; nobody is remembered.');
      onchanged();
    } catch (error) {
      notices.fail(error);
    }
  }

  async function end(kept: 'this' | 'other'): Promise<void> {
    try {
      await ask(api.DELETE('/widgets/{key}/trial', { params: { path: { key }, query: { kept } } }));
      notices.say(
        kept === 'other'
          ? 'The other version is kept and being published. The history says why.'
          : 'It is kept as it was.',
      );
      onchanged();
    } catch (error) {
      notices.fail(error);
    }
  }

  /** Both shares on one line, from nothing to the greater with room. */
  const most = $derived(trial ? Math.max(0.02, trial.this.share, trial.other.share) * 1.25 : 1);
</script>

<section>
  <h2>Two versions</h2>
  {#if trial}
    <p class="says" role="status">{says(trial)}</p>
    <dl>
      {#each [['As published', trial.this, 'this'], ['The other version', trial.other, 'other']] as const as [name, arm, which] (which)}
        <dt>{name}</dt>
        <dd>
          <span class="bar" style:width="{(100 * arm.share) / most}%"></span>
          <span class="figures">{share(arm.share)}</span>
          <span class="small quiet">used in {number(arm.engaged)} of {number(arm.views)} views</span>
          <button class="plain link small" onclick={() => end(which)}>Keep this one</button>
        </dd>
      {/each}
    </dl>
    <p class="small quiet">
      Since {date(trial.startedAt)}.
      {#if trial.interval}The other one is used in {share(trial.interval[0] ?? 0)} to {share(trial.interval[1] ?? 0)} more
        of its views.{/if}
      Looking often does not make it say "enough" sooner than it should: of a hundred trials of versions that are alike, at
      most five ever do (always-valid p-values{#if trial.p !== null}; now {trial.p < 0.001
          ? 'below 0.001'
          : trial.p.toFixed(3)}{/if}).
    </p>
  {:else}
    <p>
      Try what is on the bench against what is published: half of the visitors get each, by chance and without being
      remembered.
      <button class="plain link" onclick={begin}>Begin a trial</button>
    </p>
  {/if}
  {#each ended as one (one.startedAt)}
    <p class="small quiet">
      {date(one.startedAt)} to {one.endedAt ? date(one.endedAt) : ''}: {says(one)}
      {share(one.this.share)} against {share(one.other.share)}; {one.kept === 'other'
        ? 'the other version was kept'
        : 'it was kept as it was'}.
    </p>
  {/each}
</section>

<style>
  section {
    margin-top: 24px;
    max-width: 900px;
  }
  .says {
    font: 18px/1.5 var(--font-serif);
  }
  dl {
    display: grid;
    grid-template-columns: 150px minmax(0, 1fr);
    gap: 6px 16px;
    margin: 8px 0;
  }
  dd {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 14px;
  }
  .bar {
    height: 10px;
    max-width: 46%;
    background: var(--accent);
    clip-path: polygon(0 0, 100% 40%, 100% 60%, 0 100%);
  }
</style>
