// What is done at the press again and again: it closes on a place, and a carrier comes off.

import type { Blank, Peel, ShopFigures } from '../materials';
import type { PressRecipe } from './press-recipe';
import type { PressStep } from './press-step';

/** How it is pressed at one place. */
export type Way = {
  readonly blank: Blank;
  readonly shop: ShopFigures;
  readonly recipe: PressRecipe;
  readonly temperatureC: number;
  readonly sections: number;
};

/** Cooling before the carrier comes off, seconds: warm is barely warm to the hand, cold is hand-cool. */
const PEEL_WAIT_SECONDS: Readonly<Record<Peel, number>> = { hot: 0, warm: 15, cold: 45 };
/** With an iron or a hand press: longer, for it is less even. */
const HAND_TIMES = 1.5;
const HAND_LEAST_SECONDS = 15;

export const closeFor = (seconds: number, { tool }: Pick<PressRecipe, 'tool'>): number =>
  tool === 'hand press' ? Math.max(HAND_LEAST_SECONDS, Math.round(seconds * HAND_TIMES)) : seconds;

/** A step with the press closed: as often as the place has sections. */
export function heat(
  { temperatureC, sections }: Pick<Way, 'temperatureC' | 'sections'>,
  { seconds, ...step }: Pick<PressStep, 'kind' | 'seconds'> & Partial<PressStep>,
): PressStep {
  return {
    ...step,
    seconds: seconds * sections,
    attended: true,
    temperatureC,
    ...(sections > 1 ? { sections } : {}),
  };
}

export function peelOff(peel: Peel, vinylName: string, { pressPeelSeconds }: ShopFigures): readonly PressStep[] {
  const seconds = PEEL_WAIT_SECONDS[peel];
  return [
    ...(seconds > 0 ? [{ kind: 'wait', seconds, attended: false, peel, vinylName } as const] : []),
    { kind: 'peel', seconds: pressPeelSeconds, attended: true, peel, vinylName },
  ];
}
