import { beforeEach, expect, test, vi } from 'vitest';
import { api, ask, Refused } from '../../resources/studio/api/client';
import { asked, interfaceAnswers } from './interface';

const busy = (): Response =>
  new Response('{"message":"Gnomic is busy just now."}', {
    status: 503,
    headers: { 'Retry-After': '2', 'Content-Type': 'application/json' },
  });

beforeEach(() => vi.useFakeTimers());

test('while Gnomic is busy it is asked again, and that is said', async () => {
  const told: boolean[] = [];
  const listen = (event: Event): void => void told.push((event as CustomEvent<boolean>).detail);
  addEventListener('gnomic:busy', listen);
  let tries = 0;
  interfaceAnswers({ 'PATCH /widgets/dome': () => (++tries < 3 ? busy() : { key: 'dome' }) });
  const answer = ask(api.PATCH('/widgets/{key}', { params: { path: { key: 'dome' } }, body: { name: 'Dome' } }));
  await vi.advanceTimersByTimeAsync(5000);
  expect(await answer).toEqual({ key: 'dome' });
  expect(asked.map(({ body }) => body)).toEqual([{ name: 'Dome' }, { name: 'Dome' }, { name: 'Dome' }]);
  expect(told).toEqual([true, true, false]);
  removeEventListener('gnomic:busy', listen);
});

test('what does not pass by itself is said at once, in its words', async () => {
  const full = new Response('{"message":"Its disk is full."}', {
    status: 503,
    headers: { 'Content-Type': 'application/json' },
  });
  interfaceAnswers({ 'GET /session': () => full });
  await expect(ask(api.GET('/session'))).rejects.toEqual(new Refused('Its disk is full.', 503));
  expect(asked).toHaveLength(1);
});
