type Choice = 'system' | 'light' | 'dark';

/** Light or dark: the system's word, or the owner's. */
class Scheme {
  choice = $state<Choice>((localStorage.getItem('scheme') as Choice | null) ?? 'system');
  #system = matchMedia('(prefers-color-scheme: dark)');

  constructor() {
    this.#system.addEventListener('change', () => this.apply());
    this.apply();
  }

  turn(): void {
    const order: Choice[] = ['system', 'light', 'dark'];
    this.choice = order[(order.indexOf(this.choice) + 1) % order.length] ?? 'system';
    localStorage.setItem('scheme', this.choice);
    this.apply();
  }

  apply(): void {
    const dark = this.choice === 'dark' || (this.choice === 'system' && this.#system.matches);
    document.documentElement.dataset.scheme = dark ? 'dark' : 'light';
  }
}

export const scheme = new Scheme();
