// What the parts that turn cards say to each other, on their bar: each is fetched only where it is needed.

/** Another page is shown: `{ now, last }`. */
export const TURNED = 'gnomic-turned';
/** Asks which page is shown. */
export const ASKED = 'gnomic-asked';
/** Asks for a page, by its number from 0. */
export const GO = 'gnomic-go';
/** Asks for the next one, round and round. */
export const ON = 'gnomic-on';
