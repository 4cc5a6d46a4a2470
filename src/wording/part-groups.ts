// Groups of parts in words: how far they are, and which pieces they are of.

import { PART_STATES, type PartGroup } from '../core/orders';
import { STATE_NAMES } from './stations';

export const describeStates = ({ states, broken }: Pick<PartGroup, 'states' | 'broken'>): string =>
  [
    ...PART_STATES.flatMap((state) => (states[state] > 0 ? [`${states[state]} ${STATE_NAMES[state]}`] : [])),
    ...(broken > 0 ? [`${broken} of them again`] : []),
  ].join(', ');

/** Rising numbers as "1–4, 7": those that follow one another are told as a stretch. */
export function describePieces(numbers: readonly number[]): string {
  const stretches: { from: number; to: number }[] = [];
  for (const number of numbers) {
    const last = stretches.at(-1);
    if (last && number === last.to + 1) last.to = number;
    else stretches.push({ from: number, to: number });
  }
  return stretches.map(({ from, to }) => (from === to ? String(from) : `${from}–${to}`)).join(', ');
}
