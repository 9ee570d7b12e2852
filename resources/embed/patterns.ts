/** A pattern of paths, as PathPattern::compiled() writes it: one page, pieces between stars, or an expression behind its first words. */
export type Pattern = string | string[] | Expression;

/** Words that a path begins with, ends with and has, and the expression that it fits. */
interface Expression {
  0: string;
  e?: string;
  m?: string;
  r: string;
}

/** @param where the path as the browser has it: some encode bars, and patterns have them encoded */
export function fits(pattern: Pattern, where: string): boolean {
  const path = where.replaceAll('|', '%7C');
  if (typeof pattern === 'string') return pattern === path;
  if (!path.startsWith(pattern[0]!)) return false;
  if (!Array.isArray(pattern))
    return path.endsWith(pattern.e ?? '') && path.includes(pattern.m ?? '') && asked(pattern, path);
  const last = pattern.length - 1;
  let at = pattern[0]!.length;
  for (let index = 1; index < last; index++) {
    at = path.indexOf(pattern[index]!, at);
    if (at < 0) return false;
    at += pattern[index]!.length;
  }
  return path.endsWith(pattern[last]!) && at <= path.length - pattern[last]!.length;
}

const compiled = new Map<string, RegExp | null>();

/** One that the browser cannot read fits nothing, and is nobody else's trouble. */
function asked({ r }: Expression, path: string): boolean {
  if (!compiled.has(r))
    try {
      compiled.set(r, new RegExp(r, 'v'));
    } catch {
      compiled.set(r, null);
    }
  return compiled.get(r)?.test(path) ?? false;
}
