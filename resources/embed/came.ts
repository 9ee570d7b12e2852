/** Told to the other behaviours of a widget when further cards have come into it. */
export const CAME = 'gnomic-more';
