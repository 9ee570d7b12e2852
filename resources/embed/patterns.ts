/** A pattern of paths, as PathPattern::compiled() writes it: one page, pieces between stars, or an expression behind its first words. */
export type Pattern = string | string[] | { 0: string; r: string };

export function fits(pattern: Pattern, path: string): boolean {
  if (typeof pattern === 'string') return pattern === path;
  if (!path.startsWith(pattern[0]!)) return false;
  if (!Array.isArray(pattern)) return new RegExp(pattern.r, 'v').test(path);
  const last = pattern.length - 1;
  let at = pattern[0]!.length;
  for (let index = 1; index < last; index++) {
    at = path.indexOf(pattern[index]!, at);
    if (at < 0) return false;
    at += pattern[index]!.length;
  }
  return path.endsWith(pattern[last]!) && at <= path.length - pattern[last]!.length;
}
