import { fits, type Pattern } from './patterns';

/** Pattern, pages left out, place, what shows, the room it takes, and from when to when in seconds. */
export type Rule = [
  pattern: Pattern,
  except: Pattern[],
  place: number,
  key: string,
  room: string,
  from: number,
  to: number,
];

/** The first rule that fits decides, for each place. */
export function decided(rules: Rule[], path: string, now: number): Rule[] {
  const found: Rule[] = [];
  for (const rule of rules)
    if (
      fits(rule[0], path) &&
      !found[rule[2]] &&
      rule[5] <= now &&
      (!rule[6] || now < rule[6]) &&
      !rule[1].some((one) => fits(one, path))
    )
      found[rule[2]] = rule;
  return found.filter(Boolean);
}
