<script lang="ts">
  import { onMount } from 'svelte';
  import Modal from 'flowbite-svelte/Modal.svelte';
  import type { components } from '../api/schema';
  import { api, ask } from '../api/client';
  import { clock } from '../parts/clock.svelte';
  import { since } from '../parts/times';
  import Situation from '../parts/Situation.svelte';
  import type { Bench } from './bench.svelte';
  import Frame from './Frame.svelte';

  let { bench, onclose }: { bench: Bench; onclose: () => void } = $props();

  type Past = components['schemas']['PastEdition'];
  let editions = $state<Past[]>();
  let looked = $state<{ number: number; fragment: string; isKept: boolean } | null>(null);
  let broken = $state('');
  let open = $state(true);
  let room = $state(0);
  const WIDE = 900;

  onMount(() => void load());
  async function load(): Promise<void> {
    try {
      editions = (await ask(api.GET('/widgets/{key}/editions', { params: { path: { key: bench.key } } }))).editions;
      broken = '';
    } catch (error) {
      broken = (error as Error).message;
    }
  }
  async function look(number: number): Promise<void> {
    try {
      looked = await ask(api.GET('/widgets/{key}/editions/{number}', { params: { path: { key: bench.key, number } } }));
    } catch (error) {
      broken = (error as Error).message;
    }
  }
  async function restore(number: number): Promise<void> {
    open = false;
    await bench.restore(number);
  }
  $effect(() => {
    if (!open) onclose();
  });
</script>

<Modal bind:open title="Editions" size="lg" outsideclose>
  {#if broken}
    <Situation kind="broken" title="The editions cannot be loaded" text={broken} />
  {:else if !editions}
    <Situation kind="loading" title="Loading the editions" />
  {:else}
    {#if looked}
      <div class="looked" bind:clientWidth={room}>
        <p>
          <strong>Edition {looked.number}</strong>, {looked.isKept
            ? 'as visitors had it'
            : 'its brief over the entries as they are now: its own files are kept no longer'}
        </p>
        <Frame
          {bench}
          width={WIDE}
          scale={Math.min(1, Math.max(0.2, room / WIDE))}
          name="Edition {looked.number}"
          fragment={looked.fragment}
        />
      </div>
    {/if}
    <ol>
      {#each editions as edition (edition.number)}
        <li>
          <p>
            <strong>Edition {edition.number}</strong>
            <span class="quiet">{since(edition.createdAt, clock.now)}. {edition.cause}.</span>
            {#if edition.isOut}<span class="out">On your pages now</span>{/if}
          </p>
          <p class="changes">
            {#if edition.changes.length > 0}{edition.changes.join('; ')}.{:else}<span class="quiet"
                >{edition.number === 1 ? 'The first.' : 'The same brief over other entries.'}</span
              >{/if}
          </p>
          <p class="acts">
            <button class="plain link" onclick={() => look(edition.number)}>Look at it</button>
            {#if !edition.isOut}
              <button class="plain link" onclick={() => restore(edition.number)}>Bring it back</button>
            {/if}
          </p>
        </li>
      {/each}
    </ol>
  {/if}
</Modal>

<style>
  li {
    padding: 10px 0;
    border-bottom: 1px solid var(--line);
  }
  .out {
    color: var(--accent);
    font-weight: 600;
  }
  .acts {
    display: flex;
    gap: 20px;
  }
  .looked {
    padding-bottom: 12px;
  }
</style>
