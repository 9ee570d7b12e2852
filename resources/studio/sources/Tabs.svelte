<script lang="ts">
  import { router } from '../parts/router.svelte';
  import Button from 'flowbite-svelte/Button.svelte';

  const views = [
    ['/sources', 'Connections'],
    ['/sources/subjects', 'By subject'],
  ] as const;
</script>

<header>
  <h1>Sources</h1>
  <nav aria-label="Views of the sources">
    {#each views as [path, name] (path)}
      <a href={path} aria-current={router.path === path ? 'page' : undefined}>{name}</a>
    {/each}
  </nav>
  <Button size="sm" onclick={() => router.go('/sources/add')}>Add a source</Button>
</header>

<style>
  header {
    display: flex;
    align-items: baseline;
    flex-wrap: wrap;
    gap: 6px 28px;
    margin-bottom: 20px;
  }
  nav {
    display: flex;
    gap: 22px;
    margin-right: auto;
  }
  a {
    color: var(--quiet);
    padding-bottom: 3px;
    border-bottom: 3px solid transparent;
  }
  a[aria-current] {
    color: var(--accent);
    font-weight: 600;
    border-image: linear-gradient(to right, var(--accent) 40%, transparent) 1;
  }
</style>
