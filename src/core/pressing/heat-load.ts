// How long each layer is under heat in all: its own presses, and those of whatever comes on top of it.

import type { PressStep } from './press-step';

export type LayerHeat = {
  readonly vinylName: string;
  readonly place: string;
  /** Seconds under the closed press, of any one spot. */
  readonly seconds: number;
  /** More than this is too much. */
  readonly limitSeconds: number;
};

/** Without a word of the maker, three times its own dwell (a rule of thumb of the trade). */
const HEAT_TIMES = 3;

/**
 * Of the steps of one place, in order. `dwellOf`: the full press that its maker asks for, seconds, by the vinyl's name.
 * Sections count once: a spot lies under one of them.
 */
export function sumHeat(
  steps: readonly PressStep[],
  dwellOf: ReadonlyMap<string, number>,
  place: string,
): readonly LayerHeat[] {
  const lying: string[] = [];
  const seconds = new Map<string, number>();
  for (const step of steps) {
    if ((step.kind === 'place' || step.kind === 'stack') && step.vinylName !== undefined) lying.push(step.vinylName);
    if (step.kind !== 'tack' && step.kind !== 'press' && step.kind !== 're-press') continue;
    const own = step.seconds / (step.sections ?? 1);
    for (const name of new Set(lying)) seconds.set(name, (seconds.get(name) ?? 0) + own);
  }
  return [...seconds].map(([vinylName, sum]) => ({
    vinylName,
    place,
    seconds: sum,
    limitSeconds: HEAT_TIMES * (dwellOf.get(vinylName) ?? 0),
  }));
}
