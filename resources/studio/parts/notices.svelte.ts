export interface Notice {
  id: number;
  text: string;
  tone: 'done' | 'harm';
  undo: (() => void) | undefined;
}

/** Short words at the foot of the screen, with a way back where there is one. */
class Notices {
  list = $state<Notice[]>([]);
  /** Ways back, the latest last; they stay when the words have gone. */
  #ways: { id: number; undo: () => void }[] = [];
  #next = 1;

  say(text: string, undo?: () => void): void {
    this.#add(text, 'done', undo);
  }

  fail(error: unknown): void {
    this.#add(error instanceof Error ? error.message : String(error), 'harm');
  }

  /** Goes the way back of a notice. */
  undo(id: number): void {
    const way = this.#ways.find((one) => one.id === id);
    this.#ways = this.#ways.filter((one) => one.id !== id);
    way?.undo();
    this.dismiss(id);
  }

  dismiss(id: number): void {
    this.list = this.list.filter((notice) => notice.id !== id);
  }

  /** Takes back the last thing that can be. */
  undoLast(): boolean {
    const last = this.#ways.pop();
    last?.undo();
    if (last) this.dismiss(last.id);
    return last !== undefined;
  }

  #add(text: string, tone: Notice['tone'], undo?: () => void): void {
    const id = this.#next++;
    if (undo) this.#ways = [...this.#ways.slice(-49), { id, undo }];
    this.list = [...this.list.slice(-2), { id, text, tone, undo }];
    setTimeout(() => this.dismiss(id), tone === 'harm' ? 12_000 : 8_000);
  }
}

export const notices = new Notices();
