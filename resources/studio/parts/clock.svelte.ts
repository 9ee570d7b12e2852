/** The time, for what is told relative to it. */
class Clock {
  now = $state(new Date());

  constructor() {
    setInterval(() => (this.now = new Date()), 10_000);
  }
}

export const clock = new Clock();
