import { api, ask, Refused, type NewSource, type Source } from '../../api/client';
import { notices } from '../../parts/notices.svelte';
import { router } from '../../parts/router.svelte';

/** Something that is asked of a service: whether it is under way, and what went wrong. */
export class Work {
  busy = $state(false);
  wrong = $state('');
  needs = $state<Refused['needs']>();

  async during<T>(work: () => Promise<T>): Promise<T | undefined> {
    this.busy = true;
    [this.wrong, this.needs] = ['', undefined];
    try {
      return await work();
    } catch (error) {
      this.wrong = (error as Error).message;
      this.needs = error instanceof Refused ? error.needs : undefined;
      return undefined;
    } finally {
      this.busy = false;
    }
  }
}

export const connected = (wanted: NewSource): Promise<Source> => ask(api.POST('/sources', { body: wanted }));

/** Connects one after another and shows the sources, where their entries come in. */
export async function connectAll(wanted: NewSource[]): Promise<void> {
  for (const one of wanted) await connected(one);
  router.go('/sources');
  notices.say(
    wanted.length === 1
      ? `${wanted[0]?.name} is connected; its entries are on their way.`
      : `${wanted.length} sources are connected; their entries are on their way.`,
  );
}
