import { onMount } from 'svelte';
import { notices } from './notices.svelte';

/** What a screen shows: asked for while it is open, over and over, and after whatever is done on it. Made while a component is. */
export class Refreshed<T> {
  value = $state<T>();
  /** Why it cannot be shown; what could be shown last stays. */
  broken = $state('');

  readonly #answer: () => Promise<T>;

  /** @param every  milliseconds */
  constructor(answer: () => Promise<T>, every: number) {
    this.#answer = answer;
    onMount(() => {
      void this.load();
      const timer = setInterval(() => void this.load(), every);
      return () => clearInterval(timer);
    });
  }

  async load(): Promise<void> {
    try {
      this.value = await this.#answer();
      this.broken = '';
    } catch (error) {
      this.broken = (error as Error).message;
    }
  }

  /** Does something, and shows what came of it; a failure is told. */
  async act(work: () => Promise<unknown>): Promise<void> {
    try {
      await work();
      await this.load();
    } catch (error) {
      notices.fail(error);
    }
  }
}
