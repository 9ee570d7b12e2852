<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import { api, ask, type NewSource, type Website } from '../../api/client';
  import State from './State.svelte';
  import { connectAll, Work } from './work.svelte';

  const work = new Work();
  let address = $state('');
  let found = $state<Website>();
  let subjects = $state<Record<string, boolean>>({});
  let sources = $state<Record<string, boolean>>({});

  type Found = Website['sources'][number];
  const keyOf = (source: Found): string => `${source.channel} ${source.address} ${source.subject ?? ''}`;
  /** Feeds, pages and the directory need no more than a tick. */
  const isReady = (source: Found): boolean => !source.connected && source.needs === null;
  const chosen = $derived(found?.sources.filter((source) => isReady(source) && sources[keyOf(source)]) ?? []);
  const named = $derived(found?.subjects.filter(({ name }) => subjects[name]) ?? []);

  const read = (): Promise<unknown> =>
    work.during(async () => {
      found = undefined;
      let reading = await ask(api.POST('/website', { body: { address } }));
      while (reading.state === 'reading') {
        await new Promise((resolve) => setTimeout(resolve, 700));
        reading = await ask(api.GET('/website/{token}', { params: { path: { token: reading.token } } }));
      }
      if (!reading.found) throw new Error(reading.reason ?? 'It could not be read.');
      const answer = reading.found;
      subjects = Object.fromEntries(answer.subjects.map(({ name }) => [name, true]));
      sources = Object.fromEntries(answer.sources.map((source) => [keyOf(source), isReady(source)]));
      found = answer;
    });

  const take = (): Promise<unknown> =>
    work.during(async () => {
      for (const { name, kind } of named) {
        const { key } = await ask(api.POST('/subjects', { body: { name, kind } }));
        // What still needs access or a token is kept in the table of subjects, to be connected from there.
        for (const source of found?.sources.filter((one) => one.subject === name && one.needs !== null) ?? [])
          await ask(
            api.PUT('/subjects/{key}/addresses', {
              params: { path: { key } },
              body: { channel: source.channel, address: source.address, keep: true },
            }),
          );
      }
      await connectAll(
        chosen.map(({ channel, address: at, name, subject }) => ({
          channel: channel as NewSource['channel'],
          address: at,
          name: name.slice(0, 100),
          home: null,
          subject,
          of: channel === 'page' ? subject : null,
        })),
      );
    });
</script>

<form onsubmit={(event) => (event.preventDefault(), read())}>
  <label for="website">Address of your own website</label>
  <div class="row">
    <input
      id="website"
      class="field"
      required
      bind:value={address}
      placeholder="https://quillmoor.example"
      inputmode="url"
    />
    <Button type="submit" disabled={work.busy}>Read</Button>
  </div>
</form>
{#if found}
  <p class="quiet">
    {found.read.length === 1 ? 'One page was' : `${found.read.length} pages were`} read.
    {found.sources.length + found.subjects.length === 0
      ? 'They link to no place where people write about you. Look it up by name, or paste an address.'
      : 'Nothing is connected yet: choose below.'}
  </p>
  {#if found.subjects.length > 0}
    <fieldset>
      <legend>What the reviews are about</legend>
      {#each found.subjects as { name, kind, why } (name)}
        <label
          ><input type="checkbox" bind:checked={subjects[name]} /><span
            ><strong>{name}</strong>
            <span class="quiet">{kind.replaceAll(/(?<=[a-z])(?=[A-Z])/g, ' ').toLowerCase()}; {why}</span></span
          ></label
        >
      {/each}
    </fieldset>
  {/if}
  {#if found.sources.length > 0}
    <fieldset>
      <legend>Where people write about it</legend>
      {#each found.sources as source (keyOf(source))}
        <label
          ><input type="checkbox" disabled={!isReady(source)} bind:checked={sources[keyOf(source)]} />
          <span
            ><strong>{source.channelName}</strong>
            {source.subject ?? source.name}
            <span class="small quiet">{source.address.replace(/^https?:\/\//, '')}; {source.why}</span>
            {#if source.connected}<em class="small">Already connected</em>{:else if source.needs}<em
                class="small attention"
                >Needs <a class="link" href="/sources/add/{source.channel}">{source.needs}</a></em
              >{/if}</span
          ></label
        >
      {/each}
    </fieldset>
  {/if}
  {#each found.problems as problem (problem)}<p class="small attention">{problem}</p>{/each}
  {#if found.sources.length + found.subjects.length > 0}
    <Button disabled={work.busy || (chosen.length === 0 && named.length === 0)} onclick={take}
      >{chosen.length === 0
        ? 'Add the subjects'
        : chosen.length === 1
          ? 'Connect one source'
          : `Connect ${chosen.length} sources`}</Button
    >
  {/if}
{/if}
<State {work} doing="Reading…" />

<style>
  form {
    display: grid;
    gap: 6px;
    margin-bottom: 16px;
  }
  fieldset {
    margin: 14px 0;
  }
  fieldset label {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 12px;
    align-items: baseline;
    padding: 7px 2px;
    border-top: 1px solid var(--line);
  }
  legend {
    font-weight: 600;
    margin-bottom: 4px;
  }
  input[type='checkbox'] {
    accent-color: var(--accent);
  }
  .attention {
    color: var(--attention);
  }
</style>
