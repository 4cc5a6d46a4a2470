// How a decorated piece wants to be treated, from what it is and what is on it.

import type { Blank } from './blank';
import { getKindFacts, type VinylKind } from './vinyl-kinds';

/**
 * The rules that hold for a piece, in the order of a care label. Trade rules; what the maker of the blank says comes
 * before them.
 */
export type CareRule =
  | 'rest-a-day'
  | 'wash-inside-out-30'
  | 'no-tumble'
  | 'no-iron-on-print'
  | 'no-dry-cleaning'
  | 'wipe-only'
  | 'hand-wash'
  | 'no-dishwasher'
  | 'off-the-lip';

/** `kinds`: of the vinyls on it, at least one. */
export function decideCare(
  { fabric, heating }: Pick<Blank, 'fabric' | 'heating'>,
  kinds: readonly VinylKind[],
): readonly CareRule[] {
  const isHard = fabric === 'enamel' || fabric === 'wood' || fabric === 'glass-tin';
  if (isHard) {
    const isDrinkware = fabric === 'enamel' && heating === 'wrap';
    return [
      'rest-a-day',
      ...(fabric === 'wood' ? (['wipe-only'] as const) : (['hand-wash', 'no-dishwasher'] as const)),
      ...(isDrinkware ? (['off-the-lip'] as const) : []),
    ];
  }
  const isPressed = kinds.some((kind) => getKindFacts(kind).family === 'heat');
  if (!isPressed || fabric === 'leather-look') return ['rest-a-day', 'wipe-only'];
  return ['rest-a-day', 'wash-inside-out-30', 'no-tumble', 'no-iron-on-print', 'no-dry-cleaning'];
}
