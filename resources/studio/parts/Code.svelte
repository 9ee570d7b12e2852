<script lang="ts">
  import Copy from './Copy.svelte';

  interface Props {
    code: string;
    /** What it is: "The tag". */
    what: string;
    /** By which tests and styles find it. */
    name?: string;
  }
  let { code, what, name }: Props = $props();
</script>

<div class="line">
  <code data-code={name}>{code}</code>
  <Copy text={code} {what} />
</div>

<style>
  .line {
    display: flex;
    gap: 8px;
    align-items: start;
  }
  code {
    flex: 1;
    min-width: 0;
    max-height: 12lh;
    overflow: auto;
    font: 13px/1.5 var(--font-mono);
    padding: 7px 10px;
    border: 1px solid var(--line);
    border-radius: 3px;
    background: var(--ground);
    overflow-wrap: anywhere;
    white-space: pre-wrap;
    user-select: all;
  }
</style>
