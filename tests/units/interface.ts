/** A stand-in for the HTTP interface: answers by method and path, and remembers what it was asked. */

export interface Asked {
  what: string;
  host: string;
  query: URLSearchParams;
  body: unknown;
}
type Answer = unknown | ((asked: Asked) => unknown);

let answers: Record<string, Answer> = {};
export let asked: Asked[] = [];

/** @param given - "GET /entries" to what it answers; a number is a status without a body */
export function interfaceAnswers(given: Record<string, Answer>): void {
  [answers, asked] = [given, []];
}

export const askedFor = (what: string): Asked[] => asked.filter((one) => one.what === what);

export async function answer(input: RequestInfo | URL, init?: RequestInit): Promise<Response> {
  const request = input instanceof Request ? input : new Request(String(input), init);
  const url = new URL(request.url);
  const text = await request.text();
  const one: Asked = {
    what: `${request.method} ${url.pathname.replace(/^\/api/, '')}`,
    host: url.host,
    query: url.searchParams,
    body: text === '' ? null : (JSON.parse(text) as unknown),
  };
  asked.push(one);
  const found = answers[one.what];
  const given = typeof found === 'function' ? await (found as (asked: Asked) => unknown)(one) : found;
  if (given === undefined)
    return new Response(JSON.stringify({ message: `${one.what} is not there` }), { status: 404 });
  if (given instanceof Response) return given;
  if (typeof given === 'number') return new Response('{}', { status: given });
  if (typeof given === 'string') return new Response(given);
  return new Response(JSON.stringify(given), { headers: { 'Content-Type': 'application/json' } });
}
