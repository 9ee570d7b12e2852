<script lang="ts">
  let { onchoose }: { onchoose: (key: string) => void } = $props();

  /** What somebody meets who builds pages, in general words; and the code that helps. */
  const meets = [
    ['There is a block for custom HTML', 'Put the tag into it. The block is often called HTML, code or embed.', 'tag'],
    [
      'There is only a block for short codes',
      'Short codes are for what is installed there. Look for a block for HTML beside it; where there is none, the address may do: paste it on a line of its own.',
      'address',
    ],
    [
      'Nothing shows while I edit',
      'That is normal: most editors run no scripts. Publish or preview the page, and look there.',
      'tag',
    ],
    [
      'The code is gone after saving',
      'The editor takes scripts out, or elements that it does not know. Use the frame; or the one tag of the whole site, which goes into the settings for the head of all pages.',
      'frame',
    ],
    [
      'The code shows as text',
      'It was pasted where people write. Take it out there, and paste it into a block for HTML, or into the HTML view of the editor.',
      'tag',
    ],
    [
      'I want it on many pages',
      'Paste the tag of the site once, in the head or the foot of all pages, and say above on which pages the widget stands.',
      'site',
    ],
    [
      'My pages are made by a server of my own',
      'Let the server put the widget in: it is there at once, and without scripts.',
      'php',
    ],
  ] as const;
</script>

<details>
  <summary>When it does not work, or where to paste it</summary>
  <dl>
    {#each meets as [what, then, code] (what)}
      <dt>{what}</dt>
      <dd>{then} <button class="plain link" onclick={() => onchoose(code)}>Show that code</button></dd>
    {/each}
  </dl>
</details>

<style>
  details {
    margin-top: 10px;
  }
  summary {
    cursor: pointer;
    font-weight: 600;
  }
  dl {
    display: grid;
    grid-template-columns: minmax(180px, 260px) minmax(0, 1fr);
    gap: 6px 24px;
    margin: 6px 0;
    max-width: 900px;
  }
  dt {
    font-weight: 600;
  }
  @media (max-width: 760px) {
    dl {
      grid-template-columns: 1fr;
      gap: 2px;
    }
    dd {
      margin-bottom: 8px;
    }
  }
</style>
