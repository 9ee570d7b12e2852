<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import { onMount } from 'svelte';
  import { api, ask } from '../../api/client';
  import { notices } from '../../parts/notices.svelte';
  import { router } from '../../parts/router.svelte';
  import { sent } from './sending';
  import State from './State.svelte';
  import SubjectField from './SubjectField.svelte';
  import { Work } from './work.svelte';

  const work = new Work();
  /** The one that is edited; none for a new one. */
  const id = new URLSearchParams(location.search).get('edit');
  let given = $state({
    author: '',
    role: '',
    place: '',
    email: '',
    title: '',
    text: '',
    rating: '',
    date: '',
    labels: '',
    subject: '',
  });
  let picture = $state<FileList>();

  onMount(() => {
    if (!id) return;
    void work.during(async () => {
      const kept = await ask(api.GET('/testimonials/{id}', { params: { path: { id } } }));
      const { entry } = kept;
      given = {
        author: entry.author.name ?? '',
        role: entry.author.role ?? '',
        place: entry.author.place ?? '',
        email: kept.email ?? '',
        title: entry.title ?? '',
        text: entry.text,
        rating: entry.rating ? String(entry.rating.value) : '',
        date: entry.published?.slice(0, 10) ?? '',
        labels: entry.tags.join(', '),
        subject: entry.subject ?? '',
      };
    });
  });

  const keep = (): Promise<unknown> =>
    work.during(async () => {
      await sent(id ? `/testimonials/${id}` : '/testimonials', { ...given, picture: picture?.[0] ?? null });
      router.go('/entries');
      notices.say(id ? 'Saved. The earlier version is kept.' : 'The testimonial is saved.');
    });

  const remove = (id: string): Promise<unknown> =>
    work.during(async () => {
      const turn = (removed: 0 | 1): Promise<unknown> =>
        ask(api.DELETE('/testimonials/{id}', { params: { path: { id }, query: { removed } } }));
      await turn(1);
      router.go('/entries');
      notices.say('The testimonial is removed.', () => void turn(0).catch((error) => notices.fail(error)));
    });
</script>

<form onsubmit={(event) => (event.preventDefault(), keep())}>
  <label>Who said it <input class="field" required maxlength="100" bind:value={given.author} /></label>
  <div class="two">
    <label>Role or company <input class="field" maxlength="100" bind:value={given.role} /></label>
    <label>Place <input class="field" maxlength="100" bind:value={given.place} /></label>
  </div>
  <label>What they said <textarea class="field" rows="5" maxlength="10000" bind:value={given.text}></textarea></label>
  <div class="two">
    <label>Title <input class="field" maxlength="200" bind:value={given.title} /></label>
    <label
      >Rating
      <select class="field" bind:value={given.rating}>
        <option value="">none</option>
        {#each ['5', '4.5', '4', '3.5', '3', '2.5', '2', '1.5', '1'] as stars (stars)}<option value={stars}
            >{stars} of 5</option
          >{/each}
      </select></label
    >
    <label>Date <input class="field" type="date" bind:value={given.date} /></label>
    <label>Labels, with commas between <input class="field" maxlength="500" bind:value={given.labels} /></label>
    <SubjectField bind:value={given.subject} />
    <label
      >E-mail <span class="small quiet">never shown</span><input
        class="field"
        type="email"
        bind:value={given.email}
      /></label
    >
    <label
      >Picture <span class="small quiet">cut square; initials stand in where there is none</span>
      <input class="file" type="file" accept="image/jpeg,image/png,image/webp,image/gif" bind:files={picture} /></label
    >
  </div>
  <p class="acts">
    <Button type="submit" disabled={work.busy}>{id ? 'Save changes' : 'Save the testimonial'}</Button>
    {#if id}<button type="button" class="plain link" onclick={() => remove(id)}>Remove it</button>{/if}
  </p>
</form>
<State {work} doing="One moment…" />

<style>
  form,
  label {
    display: grid;
    gap: 4px;
  }
  form {
    gap: 12px;
  }
  .two {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(240px, 100%), 1fr));
    gap: 12px 20px;
    align-items: end;
  }
  .acts {
    display: flex;
    gap: 20px;
    align-items: center;
  }
  .file {
    font-size: 13px;
    padding: 6px 0;
  }
</style>
