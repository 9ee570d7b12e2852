<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import Choice from '../../clauses/Choice.svelte';
  import type { Bench } from '../bench.svelte';
  import { tokenName } from './names';

  let { bench, brief }: { bench: Bench; brief: WholeBrief } = $props();

  const account = $derived(bench.proof?.dress);
  type Finding = NonNullable<typeof account>['findings'][number];
  // One row a token: what failed of it is told in one.
  const rows = $derived.by(() => {
    const found: { key: string; first: Finding; texts: string[] }[] = [];
    for (const finding of account?.findings ?? []) {
      const key = `${finding.scheme}.${finding.token}`;
      const row = found.find((one) => one.key === key);
      if (row) row.texts.push(finding.text);
      else found.push({ key, first: finding, texts: [finding.text] });
    }
    return found;
  });
  const behind = (scheme: 'light' | 'dark', mended: boolean): string => {
    const of = mended ? account?.mended[scheme] : account?.look[scheme];
    const solid = (colour: string | null | undefined, under: string): string =>
      !colour ? under : `linear-gradient(${colour},${colour}),${under}`;
    const picture = of?.['behindTo']
      ? `linear-gradient(90deg,${of['behind']},${of['behindTo']})`
      : (of?.['behind'] ?? '#fff');
    const ground = of?.['groundTo'] ? `linear-gradient(90deg,${of['ground']},${of['groundTo']}),` : '';
    return `${ground}${solid(of?.['ground'], picture)}`;
  };
  /** What lies over: of a ground that was changed, the words on it. */
  const over = (finding: Finding, mended: boolean): string =>
    (finding.contrast === null
      ? (mended ? account?.mended : account?.look)?.[finding.scheme]['ink']
      : mended
        ? finding.to
        : finding.from) ?? '#000';
  const refuse = (key: string): void =>
    bench.change(({ dress }) => {
      dress.refused = dress.refused.includes(key)
        ? dress.refused.filter((one) => one !== key)
        : [...dress.refused, key];
    });
</script>

<Choice
  type="checkbox"
  checked={brief.dress.mend}
  onchange={() => bench.change(({ dress }) => (dress.mend = !dress.mend))}
  >Fix what cannot be read, by the smallest change of lightness</Choice
>
{#if rows.length === 0}
  <p>
    Everything can be told from what is behind it: words by 4.5 to 1 and more, glyphs, arrows, dots and the ring of the
    focus by 3 to 1, at the worst point.
  </p>
{:else}
  <ul>
    {#each rows as { key, first, texts } (key)}
      <li>
        <span class="sample" aria-hidden="true">
          <span style:background={behind(first.scheme, false)} style:color={over(first, false)}>Aa ★</span>
          {#if !first.isRefused}<span style:background={behind(first.scheme, true)} style:color={over(first, true)}
              >Aa ★</span
            >{/if}
        </span>
        <span>
          <strong>{tokenName(first.token)}{account?.look.scheme === first.scheme ? '' : `, ${first.scheme}`}</strong>
          {texts.join('. ')}.
          {#if first.contrast !== null && first.least !== null}
            <span class="quiet"
              >Contrast {first.contrast} of {first.least}{first.isRefused
                ? ', left as it is.'
                : first.to === first.from
                  ? `; ${first.after} on the background as it is now.`
                  : `; ${first.from} became ${first.to}, ${first.after}.`}</span
            >
          {:else}<span class="quiet">{first.from ?? 'plain'} became {first.to}.</span>{/if}
        </span>
        {#if first.contrast !== null && brief.dress.mend && (first.isRefused || first.to !== first.from)}
          <button class="plain link" onclick={() => refuse(key)}
            >{first.isRefused ? 'Fix it' : 'Leave it as it was'}</button
          >
        {/if}
      </li>
    {/each}
  </ul>
{/if}
{#each account?.eyes ?? [] as said (said)}<p class="small attention">{said}</p>{/each}

<style>
  ul {
    list-style: none;
    margin: 8px 0 0;
    padding: 0;
  }
  li {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr) auto;
    gap: 4px 14px;
    align-items: center;
    padding: 6px 0;
    border-top: 1px solid var(--line);
  }
  .sample {
    display: flex;
    gap: 6px;
  }
  .sample span {
    padding: 6px 10px;
    border: 1px solid var(--line);
    font-weight: 600;
    white-space: nowrap;
  }
  .attention {
    color: var(--attention);
  }
  @media (max-width: 600px) {
    li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
