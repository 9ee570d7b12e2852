const relative = new Intl.RelativeTimeFormat('en-GB', { numeric: 'auto' });
let day = dayIn(undefined);

function dayIn(timeZone: string | undefined): Intl.DateTimeFormat {
  return new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric', timeZone });
}

/** Days are those at the site, wherever the owner sits: what was written on the third stays on the third. */
export function tellDaysIn(timeZone: string): void {
  try {
    day = dayIn(timeZone);
  } catch {
    day = dayIn(undefined); // a zone that this browser does not know
  }
}
const units: [Intl.RelativeTimeFormatUnit, number][] = [
  ['week', 604_800],
  ['day', 86_400],
  ['hour', 3600],
  ['minute', 60],
];

/** "3 minutes ago", "in 2 hours"; a date beyond four weeks. */
export function ago(time: string | null | undefined, now: Date): string {
  if (!time) return 'never';
  const seconds = (new Date(time).getTime() - now.getTime()) / 1000;
  if (Math.abs(seconds) > 4 * 604_800) return date(time);
  for (const [unit, length] of units) {
    if (Math.abs(seconds) >= length) return relative.format(Math.round(seconds / length), unit);
  }
  return seconds > 0 ? 'in a moment' : 'just now';
}

/** The same for what has happened already, whatever the clocks of two machines say. */
export function since(time: string | null | undefined, now: Date): string {
  return ago(time, time && new Date(time) > now ? new Date(time) : now);
}

export function date(time: string): string {
  return day.format(new Date(time));
}
