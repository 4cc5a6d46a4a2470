// How long somebody at a stall waits for a piece that is made while they stand there.

import { figure, type Figure } from '../units';

export type StallWait = {
  /** Work of hands on what was promised for today and is not done, seconds. */
  readonly ahead: readonly { readonly label: string; readonly seconds: number }[];
  /** Work of hands on the piece itself, seconds. */
  readonly ownHandsSeconds: number;
  /** What the cutter runs by itself for it, seconds: nobody else's piece can be cut meanwhile. */
  readonly ownMachineSeconds: number;
};

/** Seconds: all that comes before it, one after the other, then the piece. */
export function computeStallWait({ ahead, ownHandsSeconds, ownMachineSeconds }: StallWait): Figure {
  const parts = ahead.map(({ label, seconds }) => figure(label, seconds, 's', 'computed'));
  const before = figure(
    'What comes before it',
    parts.reduce((sum, part) => sum + part.value, 0),
    's',
    'computed',
    { how: 'your time on what is promised for today', parts },
  );
  const own = [
    figure('Your time on it', ownHandsSeconds, 's', 'computed'),
    figure('The cutter by itself', ownMachineSeconds, 's', 'computed'),
  ];
  return figure('Waiting time', before.value + ownHandsSeconds + ownMachineSeconds, 's', 'computed', {
    how: 'sum',
    parts: [before, ...own],
  });
}
