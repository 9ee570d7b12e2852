import { vi } from 'vitest';

/** Waits for what comes in its own time; the usual second is too short on a machine that is busy with something else. */
export const until = (holds: () => void): Promise<void> => vi.waitFor(holds, { timeout: 20_000, interval: 10 });
