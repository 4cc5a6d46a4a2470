// How often something goes wrong, as it is believed: the shop's rate to begin with, moved by what was logged.

import type { ShopFigures } from '../materials';
import { figure, type Figure } from '../units';

/** Parts cut from a vinyl so far, and how many of them were spoiled. */
export type Evidence = { readonly made: number; readonly spoiled: number };

/**
 * The failure rate as it is believed: a Beta distribution. It starts at the shop's own rate, held as firmly as
 * PRIOR_PIECES pieces would hold it, and each logged piece moves it.
 */
export type Belief = { readonly alpha: number; readonly beta: number; readonly mean: Figure };
const PRIOR_PIECES = 25;

export function believeFailure({ made, spoiled }: Evidence, shop: Pick<ShopFigures, 'spoilageShare'>): Belief {
  // A rate of nought would never be moved by anything.
  const start = Math.min(0.9, Math.max(0.002, shop.spoilageShare));
  const alpha = start * PRIOR_PIECES + spoiled,
    beta = (1 - start) * PRIOR_PIECES + Math.max(0, made - spoiled);
  return {
    alpha,
    beta,
    mean: figure('Goes wrong', alpha / (alpha + beta), 'share', made > 0 ? 'learned' : 'default', {
      how: '(spoiled + share at first × its weight) ÷ (cut + its weight)',
      parts: [
        figure('Cut', made, 'count', 'measured'),
        figure('Spoiled', spoiled, 'count', 'measured'),
        figure('Share at first', start, 'share', 'shop'),
        figure('Weight of that, in pieces', PRIOR_PIECES, 'count', 'default'),
      ],
    }),
  };
}
