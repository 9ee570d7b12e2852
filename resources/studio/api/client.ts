import createClient from 'openapi-fetch';
import type { components, paths } from './schema';

type Schemas = components['schemas'];
export type Source = Schemas['Source'];
export type Round = Schemas['Round'];
export type StoredEntry = Schemas['StoredEntry'];
export type Proof = Schemas['Proof'];
export type Phrase = Schemas['Phrase'];
export type Step = Schemas['Step'];
export type Place = Schemas['Place'];
export type Look = Schemas['Look'];
export type Other = Schemas['Other'];
export type Choice = Schemas['Choices']['choices'][number];
export type NewSource = Schemas['NewSource'];
export type Website = Schemas['Website'];
export type Subjects = Schemas['Subjects'];
export type Import = Schemas['Import'];
export type Rows = Schemas['Rows'];
export type Today = Schemas['Today'];
export type Offered = Schemas['Offered'];
export type Rules = Schemas['Rules'];
export type View = Schemas['View'];
export type Whereabouts = Schemas['Whereabouts'];
export type Warning = Proof['warnings'][number];
export type SiteSettings = Schemas['Site'];
export type Session = Schemas['Session'];
export type Account = Schemas['Account'];

type Whole<T> = T extends (infer U)[]
  ? U[]
  : T extends object
    ? { [K in keyof T]-?: Whole<Exclude<T[K], undefined>> }
    : T;
/** A brief as the interface gives it: every member written. */
export type WholeBrief = Whole<Schemas['Brief']>;
export type Widget = Omit<Schemas['Widget'], 'brief'> & { brief: WholeBrief };

/** What the interface says is wrong, in words for the owner. */
export class Refused extends Error {
  constructor(
    message: string,
    readonly status: number,
    /** What the outside service wants of the owner first. */
    readonly needs?: Schemas['Wrong']['needs'],
  ) {
    super(message);
  }
}

/** Tries beside the first, while Gnomic says that it is busy. */
const PATIENCE = 15;

/** Whether the password was given again: the studio asks for it. */
const passwordAgain = (): Promise<boolean> =>
  new Promise((resolve) => window.dispatchEvent(new CustomEvent('gnomic:password', { detail: resolve })));

/** Asks again for as long as Gnomic is busy: nothing has happened yet then. The studio says so meanwhile. */
async function patiently(request: Request): Promise<Response> {
  for (let tries = 0; ; tries++) {
    const response = await fetch(request.clone());
    // What removes much wants the password again; then it is done.
    if (response.status === 428 && tries < PATIENCE && (await passwordAgain())) continue;
    const seconds = Number(response.headers.get('Retry-After'));
    if (response.status !== 503 || !(seconds > 0) || tries >= PATIENCE) {
      if (tries > 0) window.dispatchEvent(new CustomEvent('gnomic:busy', { detail: false }));
      return response;
    }
    window.dispatchEvent(new CustomEvent('gnomic:busy', { detail: true }));
    await new Promise((resolve) => setTimeout(resolve, 1000 * Math.min(5, seconds)));
  }
}

const client = createClient<paths>({ baseUrl: '/api', fetch: patiently });
client.use({
  onRequest({ request }) {
    const token = /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1];
    if (token) request.headers.set('X-XSRF-TOKEN', decodeURIComponent(token));
    request.headers.set('Accept', 'application/json');
    return request;
  },
});
export const api = client;

/** Unwraps an answer: its data, or an error with the words of the interface. */
export async function ask<T>(
  answer: Promise<{ data?: T; error?: unknown; response: Response }>,
): Promise<NonNullable<T>> {
  let result;
  try {
    result = await answer;
  } catch {
    throw new Refused('Gnomic does not answer. Check the connection; what you did is not lost.', 0);
  }
  const { data, error, response } = result;
  if (!response.ok) {
    if (response.status === 401) window.dispatchEvent(new Event('gnomic:signed-out'));
    const wrong = error as Partial<Schemas['Wrong']> | undefined;
    const said = (response.status < 500 || response.status === 503) && wrong?.message;
    throw new Refused(
      said || `Gnomic answered with status ${response.status}. Try again; if it stays so, look in its log.`,
      response.status,
      wrong?.needs,
    );
  }
  return (data ?? {}) as NonNullable<T>;
}
