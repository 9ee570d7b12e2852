import { execFileSync, spawn } from 'node:child_process';
import { openSync, readFileSync, readSync, writeSync } from 'node:fs';
import { join } from 'node:path';

// What gnomic:render prints, of one process that stays: to start anew for each takes longer than all that the browser does with it.
// Named pipes, because what waits for an answer here are plain functions.

let ways: { asked: number; told: number; aside: string } | undefined;

function begin(folder: string): NonNullable<typeof ways> {
  const [asked, told, aside] = ['asked', 'told', 'aside'].map((name) => join(folder, name)) as [string, string, string];
  execFileSync('mkfifo', [asked, told]);
  // It ends when nobody can ask any more: with this process.
  spawn('sh', ['-c', 'exec php tests/browser/renderer.php <"$0" >"$1" 2>"$2"', asked, told, aside], {
    stdio: 'ignore',
  }).unref();
  return { asked: openSync(asked, 'w'), told: openSync(told, 'r'), aside };
}

/** What the command prints; an error with its own words where it fails. The folder is for the pipes. */
export function rendering(folder: string, options: string[]): string {
  ways ??= begin(folder);
  writeSync(ways.asked, `${JSON.stringify(options)}\n`);
  const pieces: Buffer[] = [];
  const piece = Buffer.alloc(65_536);
  const problem = (what: string): Error => new Error(`${what}: ${readFileSync(ways!.aside, 'utf8').slice(-2000)}`);
  for (;;) {
    const length = readSync(ways.told, piece);
    if (length === 0) throw problem('gnomic:render is gone');
    pieces.push(Buffer.from(piece.subarray(0, length)));
    if (piece[length - 1] !== 10) continue;
    const whole = Buffer.concat(pieces).toString();
    const end = whole.lastIndexOf('\0');
    if (end < 0) continue;
    if (whole.slice(end + 1) !== '0\n') throw problem('gnomic:render failed');
    return whole.slice(0, end);
  }
}
