<script lang="ts">
  import { onMount } from 'svelte';
  import Button from 'flowbite-svelte/Button.svelte';
  import { api, ask, type WholeBrief } from '../../api/client';
  import type { components } from '../../api/schema';
  import { since } from '../../parts/times';
  import { clock } from '../../parts/clock.svelte';
  import Situation from '../../parts/Situation.svelte';
  import type { Bench } from '../bench.svelte';
  import { tokenName } from './names';
  import SectionPicture from './SectionPicture.svelte';

  let { bench, brief }: { bench: Bench; brief: WholeBrief } = $props();

  type Read = components['schemas']['Ground'];
  let address = $state('');
  let css = $state('');
  let read = $state<Read>();
  let chosen = $state('');
  let reading = $state(false);
  let broken = $state('');
  const id = $props.id();
  const section = $derived(read?.sections.find((one) => one.path === chosen));

  onMount(() => {
    address = bench.ground?.address ?? '';
    if (address) void look(false);
  });

  async function look(again: boolean): Promise<void> {
    reading = true;
    broken = '';
    try {
      const body = { address, again, css: css.trim() === '' ? null : css };
      read = await ask(api.POST('/grounds', { body }));
      address = read.address;
      if (read.hasPage && bench.ground?.address !== read.address) bench.standOn({ address: read.address, at: null });
      chosen = read.sections.find((one) => one.tags.includes(bench.key))?.path ?? read.sections[0]?.path ?? '';
    } catch (error) {
      broken = (error as Error).message;
    }
    reading = false;
  }

  /** The widget as the section is, and in it on the proof. */
  function wear(one: Read['sections'][number]): void {
    chosen = one.path;
    bench.change((changed) => {
      const dress = one.dress as unknown as WholeBrief['dress'];
      Object.assign(changed.dress, { ...dress, css: changed.dress.css, words: changed.dress.words, refused: [] });
    });
    if (read?.hasPage) bench.standOn({ address: read.address, at: one.tags.includes(bench.key) ? null : one.path });
  }

  const colours = (one: Read['sections'][number]): [string, string][] =>
    one.evidence
      .filter(({ token }) => token.startsWith(one.isDark ? 'dark.' : 'light.'))
      .map(({ token, value }) => [token.split('.')[1] ?? '', String(value)]);
  const isWorn = (one: Read['sections'][number]): boolean =>
    brief.dress.name === 'window' &&
    JSON.stringify((one.dress as unknown as WholeBrief['dress'])[one.isDark ? 'dark' : 'light']) ===
      JSON.stringify(brief.dress[one.isDark ? 'dark' : 'light']);
</script>

<form
  class="line"
  onsubmit={(event) => {
    event.preventDefault();
    if (address.trim() !== '') void look(true);
  }}
>
  <label for={id}>Page where the widget will stand</label>
  <input {id} class="field" type="text" inputmode="url" placeholder="https://" bind:value={address} />
  <Button type="submit" size="sm" disabled={reading || address.trim() === ''}
    >{reading ? 'Reading' : 'Read the page'}</Button
  >
  {#if bench.ground}
    <button type="button" class="plain link" onclick={() => bench.standOn(null)}>Proof on a neutral page</button>
    <button
      type="button"
      class="plain link"
      aria-pressed={bench.picking}
      onclick={() => (bench.picking = !bench.picking)}
      >{bench.picking ? 'Now click a place on the page below' : 'Point at another place'}</button
    >
  {/if}
</form>
{#if broken}
  <Situation kind="broken" title="The page cannot be read" text={broken} />
{:else if reading && !read}
  <Situation kind="loading" title="Reading the page and its style sheets" />
{:else if read}
  <p class="small quiet">
    Read {read.fetchedAt ? since(read.fetchedAt, clock.now) : ''}. It is read again every day.
    {#if read.failure}<strong>The last time it could not be: {read.failure}</strong>{/if}
  </p>
  {#each [...read.doubts, ...read.problems] as said (said)}<p class="small attention">{said}</p>{/each}
  <div class="sections" role="radiogroup" aria-label="Section of the page">
    {#each read.sections as one (one.path)}
      <button class="plain" role="radio" aria-checked={chosen === one.path} onclick={() => wear(one)}>
        {#if read.hasPage}<SectionPicture address={read.address} at={one.path} />{/if}
        <span class="swatches" aria-hidden="true"
          >{#each colours(one).filter(([token]) => token !== 'behind') as [token, value] (token)}<i
              style:background={value}
              title={tokenName(token)}
            ></i>{/each}</span
        >
        <span>{one.name}</span>
        <span class="small"
          >{[one.tags.includes(bench.key) && 'its code stands here', isWorn(one) && 'in use']
            .filter(Boolean)
            .join(' · ')}</span
        >
      </button>
    {/each}
  </div>
  {#if section}
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div class="scroll" role="region" tabindex="0" aria-label="Evidence">
      <table>
        <caption>What {section.name} proposes, and why</caption>
        <thead
          ><tr
            ><th scope="col">Token</th><th scope="col">Value</th><th scope="col">Read from</th><th scope="col"
              >Evidence</th
            ></tr
          ></thead
        >
        <tbody>
          {#each section.evidence as one (one.token)}
            <tr>
              <td
                >{tokenName(one.token.split('.')[1] ?? '')}{one.token.startsWith('dark.') && !section.isDark
                  ? ', in the dark'
                  : ''}</td
              >
              <td
                >{#if /^#[0-9a-f]{6,8}$/.test(String(one.value))}<i class="swatch" style:background={String(one.value)}
                  ></i>{/if}
                {one.value}</td
              >
              <td>{one.from}</td>
              <td
                >{one.said}{#if !one.isSure}&nbsp;<span class="attention">not sure</span>{/if}</td
              >
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
  {/if}
  <details>
    <summary class="small">The page says too little? Paste a style sheet</summary>
    <textarea class="field" rows="4" aria-label="Style sheet" bind:value={css} placeholder={'body { color: #234 }'}
    ></textarea>
    <Button size="sm" color="alternative" disabled={reading || css.trim() === ''} onclick={() => look(true)}
      >Read it with the page</Button
    >
  </details>
{:else}
  <p class="quiet">
    Gnomic reads the page and its style sheets and proposes a look for each of its sections, with the evidence for each
    token. The proof below then stands on your page.
  </p>
{/if}

<style>
  .line {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 12px;
    align-items: center;
  }
  .line .field {
    flex: 1 1 260px;
    max-width: 420px;
  }
  .attention {
    color: var(--attention);
  }
  .sections {
    display: flex;
    flex-wrap: wrap;
    align-items: start;
    gap: 10px;
    margin: 8px 0;
  }
  .sections button {
    display: grid;
    align-content: start;
    gap: 3px;
    padding: 10px 12px;
    min-width: 150px;
    text-align: start;
    border: 1px solid var(--line);
    border-radius: 3px;
  }
  .sections button[aria-checked='true'] {
    outline: 2px solid var(--accent);
    outline-offset: 1px;
  }
  .sections .small {
    min-height: 18px;
  }
  .swatches {
    display: flex;
    gap: 3px;
  }
  i {
    display: inline-block;
    width: 15px;
    height: 15px;
    border-radius: 50%;
    border: 1px solid #8888;
  }
  .swatch {
    vertical-align: -2px;
    margin-right: 4px;
  }
  .scroll {
    max-height: 150px;
    overflow: auto;
    margin-bottom: 8px;
  }
  table {
    border-collapse: collapse;
    font-size: 13px;
    width: 100%;
  }
  caption {
    text-align: start;
    font-weight: 600;
    padding-bottom: 4px;
  }
  th {
    text-align: start;
    font-weight: 400;
    color: var(--quiet);
  }
  td,
  th {
    padding: 3px 14px 3px 0;
    border-bottom: 1px solid var(--line);
    vertical-align: baseline;
  }
  textarea {
    display: block;
    width: 100%;
    margin: 4px 0;
    font-family: 'JetBrains Mono Variable', monospace;
    font-size: 13px;
  }
</style>
