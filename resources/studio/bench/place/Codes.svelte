<script lang="ts">
  import { api, ask } from '../../api/client';
  import type { components } from '../../api/schema';
  import Code from '../../parts/Code.svelte';
  import Copy from '../../parts/Copy.svelte';
  import { notices } from '../../parts/notices.svelte';
  import type { Bench } from '../bench.svelte';
  import Builders from './Builders.svelte';

  let { bench }: { bench: Bench } = $props();

  let told = $state<components['schemas']['Codes']>();
  let chosen = $state('tag');
  let making = $state(false);

  // Its room is another with each edition.
  $effect(() => {
    void bench.widget?.edition?.number;
    void load();
  });

  async function load(): Promise<void> {
    try {
      told = await ask(api.GET('/widgets/{key}/codes', { params: { path: { key: bench.key } } }));
    } catch (error) {
      notices.fail(error);
    }
  }

  async function makeSubjects(): Promise<void> {
    making = true;
    try {
      told = await ask(api.POST('/widgets/{key}/codes/subjects', { params: { path: { key: bench.key } } }));
      notices.say('A code for each subject is made; each is published within a minute.');
    } catch (error) {
      notices.fail(error);
    }
    making = false;
  }

  const code = $derived(told?.codes.find((one) => one.key === chosen) ?? told?.codes[0]);
  const table = $derived((told?.subjects ?? []).map((one) => `${one.name}\t${one.tag}`).join('\n'));
</script>

<section>
  <h2>The code</h2>
  {#if told && code}
    <div class="kinds">
      <label
        >How the page is made
        <select class="field" bind:value={chosen}>
          {#each told.codes as one (one.key)}<option value={one.key}>{one.title}</option>{/each}
        </select></label
      >
      <p class="small quiet">{code.why}</p>
    </div>
    <Code code={code.code} what={code.copied} name={code.key} />
    <Builders onchoose={(key) => (chosen = key)} />
    <details>
      <summary>Send it by e-mail</summary>
      <pre>{told.mail.body}</pre>
      <p class="row">
        <Copy text={told.mail.body} what="The mail" label="Copy the mail" />
        <a
          class="link"
          href="mailto:?subject={encodeURIComponent(told.mail.subject)}&body={encodeURIComponent(told.mail.body)}"
          >Open it in your mail program</a
        >
      </p>
    </details>
    <details>
      <summary>A code for each subject</summary>
      {#if told.subjects === null}
        <p>
          One widget, and a code of its own for each venue, product or property: the same cards, about that one alone.
          Pages that say in data-subject what they are about are served as well.
          <button class="plain link" disabled={making} onclick={makeSubjects}>Make the codes</button>
        </p>
      {:else}
        <p class="row">
          <Copy text={table} what="The table" label="Copy the table" />
          <a class="link" href="/api/widgets/{bench.key}/codes/subjects.csv" download>Download it as CSV</a>
        </p>
        <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
        <div class="scroll" role="region" tabindex="0" aria-label="Codes by subject">
          <table class="sheet">
            <thead><tr><th scope="col">Subject</th><th scope="col">Code</th><th scope="col"></th></tr></thead>
            <tbody>
              {#each told.subjects as one (one.key)}
                <tr>
                  <th scope="row"
                    ><strong>{one.name}</strong>{#if !one.isOut}<span class="small quiet">is being published</span
                      >{/if}</th
                  >
                  <td class="mono">{one.tag.replace(/ style="[^"]*"/, '')}</td>
                  <td><Copy text={one.tag} what="The tag of {one.name}" /></td>
                </tr>
              {/each}
            </tbody>
          </table>
        </div>
      {/if}
    </details>
    <p class="small quiet">
      The key never changes, and nothing has to be pasted again when the widget is changed.
      <a class="link" href="/widgets/{bench.key}/counts">Who sees it</a>
    </p>
  {/if}
</section>

<style>
  section {
    margin-top: 18px;
  }
  h2 {
    font-size: 15px;
    font-weight: 600;
    margin-bottom: 4px;
  }
  .kinds {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 20px;
    align-items: end;
    margin-bottom: 6px;
  }
  .kinds p {
    flex: 1 1 240px;
    padding-bottom: 8px;
  }
  label {
    display: grid;
    gap: 4px;
  }
  details {
    margin-top: 8px;
  }
  summary {
    cursor: pointer;
    font-weight: 600;
  }
  pre {
    white-space: pre-wrap;
    overflow-wrap: anywhere;
    font: 13px/1.5 var(--font-mono);
    max-height: 220px;
    overflow: auto;
    border: 1px solid var(--line);
    padding: 8px 10px;
    margin: 6px 0;
  }
  .row {
    align-items: center;
    gap: 16px;
    margin: 6px 0;
  }
  .scroll {
    max-height: 320px;
    overflow: auto;
  }
  .mono {
    font: 13px/1.4 var(--font-mono);
    overflow-wrap: anywhere;
  }
</style>
