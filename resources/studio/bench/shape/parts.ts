import type { WholeBrief } from '../../api/client';

/** A part of a card, by the word that briefs have for it. */
export type Part = WholeBrief['shape']['card'][number];

/** What the parts of a card are called. */
export const PARTS: Record<Part, string> = {
  rating: 'Rating',
  title: 'Title',
  words: 'Words',
  reply: 'Your reply',
  pictures: 'Pictures and videos',
  face: 'Portrait or initials',
  name: 'Name',
  role: 'Role or company',
  place: 'Place',
  date: 'Date',
  source: 'Source',
  subject: 'What it is about',
  labels: 'Labels',
  likes: 'Likes and comments',
};
