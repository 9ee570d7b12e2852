<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import type { Bench } from '../bench.svelte';
  import Select from '../shape/Select.svelte';
  import ColourField from './ColourField.svelte';
  import { COLOURS, GROUPS, letsThrough, missing, none, tokenName } from './names';

  let { bench, brief }: { bench: Bench; brief: WholeBrief } = $props();

  interface Member {
    description?: string;
    type?: string | string[];
    minimum?: number;
    maximum?: number;
    anyOf?: { oneOf?: { const: string; title: string }[] }[];
  }
  type Tokens = WholeBrief['dress']['tokens'];
  const look = $derived(bench.proof?.dress.look);
  const proved = $derived((bench.proof?.brief as WholeBrief | undefined)?.dress);
  /** Tokens of another look or scheme, until this one is proved: what is typed into them must not become this one's. */
  const isOfOther = $derived(proved?.name !== brief.dress.name || proved.scheme !== brief.dress.scheme);
  const members = $derived(
    ((bench.offered?.dress.schema as { properties?: { tokens?: { properties?: Record<string, Member> } } })?.properties
      ?.tokens?.properties ?? {}) as Record<string, Member>,
  );
  const schemes = $derived(
    look?.scheme === 'light'
      ? (['light'] as const)
      : look?.scheme === 'dark'
        ? (['dark'] as const)
        : (['light', 'dark'] as const),
  );
  const set = (token: string, value: unknown): void =>
    bench.change(({ dress }) => Object.assign(dress.tokens, { [token]: value }));
  const is = (token: string): unknown => brief.dress.tokens[token as keyof Tokens] ?? look?.tokens[token] ?? null;
  const choices = (member: Member): { const: string; title: string }[] => member.anyOf?.[0]?.oneOf ?? [];
</script>

<fieldset disabled={isOfOther} aria-busy={isOfOther}>
  <div class="schemes">
    {#each schemes as scheme (scheme)}
      <fieldset>
        <legend>{scheme === 'light' ? 'Colours on light' : 'Colours on dark'}</legend>
        {#each GROUPS as [group, tokens] (group)}
          <div class="group" role="group" aria-label={group}>
            <p class="small quiet">{group}</p>
            {#each tokens as token (token)}
              <ColourField
                label={COLOURS[token] ?? token}
                about={bench.offered?.dress.colours[token] ?? ''}
                value={look?.[scheme][token] ?? null}
                isOpen={letsThrough(token)}
                none={none(token)}
                missing={missing(token)}
                isOwn={brief.dress[scheme][token as keyof WholeBrief['dress']['light']] !== null}
                onchange={(value) => bench.change(({ dress }) => Object.assign(dress[scheme], { [token]: value }))}
              />
            {/each}
          </div>
        {/each}
      </fieldset>
    {/each}
  </div>
  <div class="tokens">
    {#each Object.entries(members) as [token, member] (token)}
      {#if choices(member).length > 0}
        <Select
          label={tokenName(token)}
          value={String(is(token) ?? '')}
          options={choices(member).map((one) => [one.const, one.title] as const)}
          onchange={(value) => set(token, value)}
        />
      {:else if member.maximum === 1}
        <label class="token"
          ><span>{tokenName(token)}</span>
          <input
            type="checkbox"
            checked={is(token) === 1}
            onchange={(event) => set(token, event.currentTarget.checked ? 1 : 0)}
          /></label
        >
      {:else if member.maximum !== undefined}
        <label class="token"
          ><span>{tokenName(token)}</span>
          <input
            class="field"
            type="number"
            min={member.minimum}
            max={member.maximum}
            value={is(token) ?? ''}
            placeholder="usual"
            onchange={(event) => {
              if (event.currentTarget.checkValidity())
                set(token, event.currentTarget.value === '' ? null : event.currentTarget.valueAsNumber);
              else event.currentTarget.reportValidity();
            }}
          />
          {#if ['edge', 'shadow', 'rule', 'pictureEdge'].includes(token)}
            <button class="plain small link" aria-pressed={is(token) === 0} onclick={() => set(token, 0)}
              >None<span class="unseen">: {tokenName(token)}</span></button
            >
          {/if}</label
        >
      {:else}
        <label class="token wide"
          ><span>{tokenName(token)}</span>
          <input
            class="field"
            type={token === 'picture' ? 'url' : 'text'}
            value={is(token) ?? ''}
            placeholder={token === 'picture' ? 'https://' : "the page's own"}
            onchange={(event) =>
              set(token, event.currentTarget.value.trim() === '' ? null : event.currentTarget.value.trim())}
          /></label
        >
      {/if}
    {/each}
  </div>
</fieldset>

<style>
  .schemes,
  .tokens {
    display: flex;
    flex-wrap: wrap;
    gap: 10px 24px;
    align-items: end;
  }
  fieldset {
    border: 0;
    padding: 0;
    margin: 0;
    min-width: 0;
  }
  /* Not at once: mostly the proof is there before anybody has seen that it was not. */
  fieldset[aria-busy='true'] {
    opacity: 0.5;
    cursor: progress;
    transition: opacity 0.1s 0.25s;
  }
  .schemes fieldset {
    margin: 0 0 12px;
    display: flex;
    flex-wrap: wrap;
    gap: 6px 18px;
  }
  .group {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 18px;
    align-items: end;
  }
  .group p {
    flex: 0 0 100%;
    margin: 4px 0 0;
  }
  legend {
    font-weight: 600;
    margin-bottom: 4px;
  }
  .token {
    display: grid;
    gap: 2px;
    justify-items: start;
  }
  .token .field {
    width: 110px;
  }
  .wide .field {
    width: 230px;
  }
</style>
