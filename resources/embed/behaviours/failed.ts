/** Why a widget does not show, told apart by what can be done about it. */
export type Cause = 'address' | 'policy' | 'network' | 'server';

export interface Failure {
  cause: Cause;
  error: Error;
  /** What whoever looks after the page can do. */
  next: string;
}

/** What tells it. @param status of the host's last answer, 0 where there was none */
export type Telling = (host: string, key: string, status: number) => Promise<Failure>;

/** Milliseconds that a browser may take to say that it has refused. */
const A_MOMENT = 50;

/** Fetched where a widget failed alone: who gets one has no use for these words. */
export default async function failed(host: string, key: string, status: number): Promise<Failure> {
  const failure = (cause: Cause, message: string, next: string): Failure => ({
    cause,
    error: new Error(message),
    next,
  });
  if (status === 404)
    return failure('address', `there is no widget with the key "${key}"`, 'Copy the code of the widget once more.');
  if (status)
    return failure(
      'server',
      `${host} answered with ${status < 300 ? 'something else than a widget' : `status ${status}`}`,
      'Nothing is wrong with the page; look whether Gnomic is well.',
    );
  return (await refuses(host, key))
    ? failure(
        'policy',
        `the Content-Security-Policy of this page does not allow ${host}`,
        `Add ${host} to its connect-src, img-src and script-src.`,
      )
    : failure('network', `${host} could not be reached`, 'An extension of the browser may block it.');
}

/** Whether the page's policy refuses a host: asked once more, browsers say so in an event of its own. */
async function refuses(host: string, key: string): Promise<boolean> {
  const heard = new AbortController();
  let isRefused = false;
  document.addEventListener(
    'securitypolicyviolation',
    ({ blockedURI }) => (isRefused ||= blockedURI.startsWith(host)),
    heard,
  );
  await fetch(`${host}/w/${key}.html`, { mode: 'no-cors', method: 'HEAD', credentials: 'omit' }).catch(() => undefined);
  if (!isRefused) await new Promise((resolve) => setTimeout(resolve, A_MOMENT));
  heard.abort();
  return isRefused;
}
