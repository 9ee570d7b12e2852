import { CAME } from '../came';
import { inDigits } from '../digits';

const STEPS: [Intl.RelativeTimeFormatUnit, number][] = [
  ['year', 31_557_600],
  ['month', 2_629_800],
  ['week', 604_800],
  ['day', 86_400],
  ['hour', 3600],
  ['minute', 60],
];

/** Dates as the time since, reckoned when somebody reads them; the day stays to be seen for who points at one. */
export default function ago(root: ShadowRoot, signal: AbortSignal): void {
  const language = root.querySelector('[lang]')?.getAttribute('lang') ?? 'en';
  const format = new Intl.RelativeTimeFormat(language, { numeric: 'auto' });
  const reckon = (): void => {
    for (const time of root.querySelectorAll<HTMLTimeElement>('time.date[datetime]')) {
      const seconds = (Date.parse(time.dateTime) - Date.now()) / 1000;
      const [unit, length] = STEPS.find(([, length]) => Math.abs(seconds) >= length) ?? ['minute', 60];
      if (!Number.isFinite(seconds)) continue;
      time.title ||= time.textContent ?? '';
      time.textContent = inDigits(time, format.format(Math.trunc(seconds / length), unit));
    }
  };
  root.addEventListener(CAME, reckon, { signal });
  reckon();
}
