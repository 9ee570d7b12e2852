<script lang="ts">
  import type { Session } from '../api/client';
  import Mark from './Mark.svelte';
  import { router } from './router.svelte';
  import { scheme } from './scheme.svelte';

  interface Props {
    session: Session;
    onleave: () => void;
    onkeys: () => void;
    onsite: () => void;
    onaccount: () => void;
  }
  let { session, onleave, onkeys, onsite, onaccount }: Props = $props();

  const sections = [
    ['/', 'Today'],
    ['/sources', 'Sources'],
    ['/entries', 'Entries'],
    ['/widgets', 'Widgets'],
    ['/pages', 'Pages'],
  ] as const;
  const isHere = (path: string): boolean => (path === '/' ? router.path === '/' : router.path.startsWith(path));
</script>

<nav aria-label="Sections">
  <a class="brand" href="/"><Mark /> <span>Gnomic</span></a>
  {#if session.site}
    <button class="plain site" title="Address, tag, languages and time zone" onclick={onsite}>
      <strong>{session.site.name}</strong>
      <span class="small quiet">{session.site.address}</span>
    </button>
  {/if}
  <ul>
    {#each sections as [path, name] (path)}
      <li><a href={path} aria-current={isHere(path) ? 'page' : undefined}>{name}</a></li>
    {/each}
  </ul>
  <div class="foot small">
    <button class="plain" onclick={onkeys}>Keys <kbd>?</kbd></button>
    <button class="plain" onclick={() => scheme.turn()}>
      {{ system: 'Light or dark: system', light: 'Light', dark: 'Dark' }[scheme.choice]}
    </button>
    <button class="plain" title={session.email} onclick={onaccount}>Your account</button>
    <button class="plain" onclick={onleave}>Sign out</button>
  </div>
</nav>

<style>
  nav {
    display: flex;
    flex-direction: column;
    border-right: 1px solid var(--line);
    min-height: 0;
    overflow-y: auto;
  }
  .brand {
    display: flex;
    align-items: center;
    gap: 8px;
    padding: 18px 18px 12px;
    font: 600 19px/1 var(--font-serif);
  }
  .site {
    display: grid;
    margin: 0 10px 12px;
    padding: 6px 10px;
    background: var(--surface);
    border: 1px solid var(--line);
    border-radius: 3px;
    line-height: 1.35;
    text-align: left;
  }
  .site:hover {
    border-color: var(--accent);
  }
  .site strong {
    font-weight: 600;
    font-size: 14px;
  }
  ul {
    flex: 1;
  }
  li a {
    display: block;
    padding: 6px 16px;
    line-height: 22px;
  }
  li a:hover {
    background: color-mix(in srgb, var(--accent-soft) 60%, transparent);
  }
  li a[aria-current] {
    color: var(--accent);
    font-weight: 600;
    background: var(--accent-soft);
    clip-path: polygon(0 0, 66% 0, 60% 100%, 0 100%);
  }
  .foot {
    display: grid;
    gap: 4px;
    padding: 12px 16px;
    border-top: 1px solid var(--line);
    color: var(--quiet);
  }
  .foot button {
    min-height: 24px;
  }
  kbd {
    border: 1px solid var(--line);
    border-radius: 3px;
    padding: 0 5px;
    font-family: inherit;
  }
  @media (max-width: 760px) {
    nav {
      flex-direction: row;
      flex-wrap: wrap;
      align-items: center;
      border-right: 0;
      border-bottom: 1px solid var(--line);
    }
    .brand {
      padding: 12px 16px 8px;
    }
    .site {
      margin: 8px 16px 6px auto;
      padding: 4px 10px;
      max-width: 60vw;
    }
    .site span {
      display: none;
    }
    ul {
      display: flex;
      flex: 1 0 100%;
      order: 3;
      padding: 0 4px;
    }
    li {
      flex: 1;
      text-align: center;
    }
    li a {
      padding: 8px 4px;
    }
    li a[aria-current] {
      clip-path: none;
    }
    .foot {
      order: 2;
      display: flex;
      flex: 1 0 100%;
      gap: 18px;
      border: 0;
      padding: 0 16px 6px;
    }
  }
</style>
