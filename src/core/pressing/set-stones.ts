// Hot-fix stones: after all vinyl of their place they are lifted out of the template with tape, laid on, pressed through
// the tape and peeled cold. On a decal film they go onto the film, before it is stuck on.

import { closeFor, heat, peelOff, type Way } from './press-moves';
import type { PressStep } from './press-step';

/** Stones of one size and colour, lifted in one go. */
export type StonesToSet = { readonly label: string; readonly count: number; readonly diameterMm: number };

/** What melts their glue and leaves the stone clear. An ordinary range of the trade; the maker's sheet first. */
export const STONE_HEAT = { lowC: 155, highC: 165 } as const;
const STONE_SECONDS = 12;

const nameStones = ({ label }: Pick<StonesToSet, 'label'>): string => `stones, ${label}`;

/** Brushing them into the template and lifting them is work of its own, with the stones' line of the cost. */
export function setStones(stones: readonly StonesToSet[], way: Way): readonly PressStep[] {
  const { shop, recipe } = way;
  return stones.flatMap((field): readonly PressStep[] => {
    const vinylName = nameStones(field);
    const named = { vinylName, stones: { count: field.count, diameterMm: field.diameterMm } };
    return [
      { kind: 'stones', seconds: shop.pressPlaceSeconds, attended: true, ...named },
      heat(way, {
        kind: 'press',
        seconds: closeFor(STONE_SECONDS, recipe),
        pressure: 'firm',
        covered: recipe.cover !== 'never',
        ...named,
      }),
      ...peelOff('cold', vinylName, shop),
    ];
  });
}
