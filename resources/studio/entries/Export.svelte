<script lang="ts">
  interface Props {
    /** Which entries. */
    query: { wanted: string | undefined; state: string | undefined; search: string | undefined };
  }
  let { query }: Props = $props();

  const forms = [
    ['csv', 'Table (CSV)'],
    ['jsonl', 'JSON Lines'],
    ['json', 'JSON Feed'],
  ] as const;
  const asked = $derived(
    new URLSearchParams(
      Object.entries(query).filter((pair): pair is [string, string] => pair[1] !== undefined),
    ).toString(),
  );
</script>

<details class="menu">
  <summary class="field">Export</summary>
  <ul>
    {#each forms as [form, name] (form)}
      <li><a class="link" href="/api/entries/export.{form}?{asked}" download="entries.{form}">{name}</a></li>
    {/each}
    <li class="small quiet">Everything in the list.</li>
  </ul>
</details>
