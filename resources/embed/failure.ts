/** Why a widget does not show, told apart by what can be done about it. */
export type Cause = 'address' | 'policy' | 'network' | 'server';

/** No class: the names of its members would be in what visitors fetch more often. */
export interface Failure {
  cause: Cause;
  error: Error;
  /** What whoever looks after the page can do. */
  next: string;
}

const failure = (cause: Cause, message: string, next: string): Failure => ({ cause, error: new Error(message), next });

/** Undefined where it is none of these. */
export const causeOf = (error: unknown): Cause | undefined =>
  (error as Partial<Failure> | undefined)?.next ? (error as Failure).cause : undefined;

export const noWidget = (key: string): Failure =>
  failure('address', `there is no widget with the key "${key}"`, 'Copy the code of the widget once more.');

export const refused = (host: string): Failure =>
  failure(
    'policy',
    `the Content-Security-Policy of this page does not allow ${host}`,
    `Add ${host} to its connect-src, img-src and script-src.`,
  );

export const unreached = (host: string): Failure =>
  failure('network', `${host} could not be reached`, 'An extension of the browser may block it.');

export const broken = (host: string, what: string): Failure =>
  failure('server', `${host} ${what}`, 'Nothing is wrong with the page; look whether Gnomic is well.');

/** Tells whether the page's policy has refused a host; browsers say so in an event of their own, a moment after the refusal. */
export function policyOf(host: string, signal: AbortSignal): () => Promise<boolean> {
  let isRefused = false;
  document.addEventListener(
    'securitypolicyviolation',
    ({ blockedURI }) => (isRefused ||= blockedURI.startsWith(host)),
    { signal },
  );
  return async () => {
    if (!isRefused) await new Promise((resolve) => setTimeout(resolve, 50));
    return isRefused;
  };
}
