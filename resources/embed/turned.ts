/** What the parts of a bar that turns cards tell each other, as events of the bar. */

/** Another page is shown: `{ now, last }`, the page from 0 and how many there are. */
export const TURNED = 'gnomic-turned';
/** Asks which page is shown. */
export const ASKED = 'gnomic-asked';
/** Asks for a page, by its number from 0, and says whether a visitor did. */
export const GO = 'gnomic-go';

export interface Turned {
  now: number;
  last: number;
}
export type Go = [page: number, isByHand: boolean];
