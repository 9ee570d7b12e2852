import type { Round } from '../api/client';

/** What a round changed, in words: "2 new, 1 edited"; "nothing new" where it changed nothing. */
export function told(round: Round): string {
  const parts = [
    round.added && `${round.added} new`,
    round.changed && `${round.changed} edited`,
    round.gone && `${round.gone} gone`,
  ];
  return parts.filter(Boolean).join(', ') || 'nothing new';
}
