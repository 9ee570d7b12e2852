import type { Offered, WholeBrief } from '../../api/client';

/** A part of a card, by the word that briefs have for it. */
export type Part = WholeBrief['shape']['card'][number];

/** What the parts of a card are called, in the order in which they are offered. */
export const partNames = (offered: Offered | undefined): Map<Part, string> =>
  new Map((offered?.parts ?? []).map(({ name, label }) => [name as Part, label]));
