import type { APIRequestContext, Page } from '@playwright/test';
import { Agent, request as send } from 'node:http';
import { readFileSync } from 'node:fs';
import { brotliCompressSync } from 'node:zlib';
import { decided, type Rule } from '../../resources/embed/rules';
import { GNOMIC, PORTS } from '../browser/setting';

const packed = (text: string | Buffer): number => brotliCompressSync(text).length;

/** Deciding by a thousand rules, and what the one tag of a site weighs. */
export async function spots(page: Page, api: APIRequestContext, say: (line: string) => void): Promise<void> {
  say('\nSpots');
  const rules = Array.from({ length: 1000 }, (_, number): Rule => [
    number % 3 === 0 ? `/part-${number}` : number % 3 === 1 ? [`/part-${number}/`, ''] : [`/part-${number}/`, '/x', ''],
    [],
    number % 10,
    `k${number}`,
    '',
    0,
    0,
  ]);
  await page.goto(GNOMIC);
  const took = await page.evaluate(
    ([rules, body]) => {
      const decided = new Function(`return ${body}`)() as typeof import('../../resources/embed/rules').decided;
      const baseline = new Map((rules as Rule[]).map((rule) => [JSON.stringify(rule[0]), rule]));
      const timed = (work: () => unknown): number => {
        const from = performance.now();
        for (let turn = 0; turn < 200; turn++) work();
        return (performance.now() - from) / 200;
      };
      return [timed(() => decided(rules as Rule[], '/part-998/a/x', 1)), timed(() => baseline.get('"/part-998/a/x"'))];
    },
    [rules, inlined()] as const,
  );
  say(
    `  1,000 rules decided in ${took[0]!.toFixed(3)} ms (wanted: below 1), one looked up in a map ${took[1]!.toFixed(4)} ms`,
  );
  const site = await (await api.get(`${GNOMIC}/s/quillmoor1926.js`)).text();
  say(
    `  the one tag of the site ${packed(readFileSync('public/site.js'))} bytes (wanted: at most 2048), with the rules of the demo ${packed(site)}`,
  );
}

/** The same function, as a browser has it. */
function inlined(): string {
  const fits = `function fits(pattern, path) {
    if (typeof pattern === 'string') return pattern === path;
    if (!path.startsWith(pattern[0])) return false;
    if (!Array.isArray(pattern)) return new RegExp(pattern.r, 'v').test(path);
    const last = pattern.length - 1; let at = pattern[0].length;
    for (let index = 1; index < last; index++) { at = path.indexOf(pattern[index], at); if (at < 0) return false; at += pattern[index].length; }
    return path.endsWith(pattern[last]) && at <= path.length - pattern[last].length; }`;
  return `(() => { ${fits}; return ${decided.toString().replace(/\(0, [\w$.]+\.fits\)|[\w$]+\.fits/g, 'fits')} })()`;
}

/** Beacons as fast as it is asked, over connections that stay; how many were sent, and how many a second. */
export async function beacons(wanted: number, aSecond: number, say: (line: string) => void): Promise<number> {
  const agent = new Agent({ keepAlive: true, maxSockets: 64 });
  let [sent, answered] = [0, 0];
  const from = performance.now();
  await new Promise<void>((done) => {
    const timer = setInterval(() => {
      const due = Math.min(wanted, Math.floor(((performance.now() - from) / 1000) * aSecond));
      for (; sent < due; sent++) {
        const path = `/t?h=load.example&p=%2Fpage-${sent % 40}&d=dome4visit.1152.1.1.0.1.0.1.~0000000${sent % 9}.0.1.0`;
        send({ port: PORTS.gnomic, host: '127.0.0.1', method: 'POST', path, agent }, (answer) => {
          answer.resume();
          answer.on('end', () => {
            if (answer.statusCode === 204) answered++;
            if (answered < wanted) return;
            clearInterval(timer);
            done();
          });
        }).end();
      }
    }, 5);
  });
  const seconds = (performance.now() - from) / 1000;
  agent.destroy();
  say(
    `  ${wanted.toLocaleString('en-GB')} beacons in ${seconds.toFixed(1)} s, ${Math.round(wanted / seconds)} a second, all answered with 204`,
  );
  return wanted;
}
