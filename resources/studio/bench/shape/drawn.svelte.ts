/** Pictures that follow what they are made of, a moment after it has changed. Made in a component, and gone with it. */
export class Drawn<T> {
  /** Milliseconds. */
  static patience = 150;

  pictures = $state<T[]>([]);
  /** Why they cannot be made; the last ones that could stay to be seen. */
  broken = $state('');

  /** @param of  everything that they depend on @param load  makes them */
  constructor(of: () => unknown, load: () => Promise<T[]>) {
    $effect(() => {
      of();
      const waiting = setTimeout(() => void this.#follow(load), Drawn.patience);
      return () => clearTimeout(waiting);
    });
  }

  async #follow(load: () => Promise<T[]>): Promise<void> {
    try {
      this.pictures = await load();
      this.broken = '';
    } catch (error) {
      this.broken = (error as Error).message;
    }
  }
}
