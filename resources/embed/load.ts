/** What a module of a host has for us. */
export const load = async <T>(address: string): Promise<T> =>
  ((await import(/* @vite-ignore */ address)) as { default: T }).default;
