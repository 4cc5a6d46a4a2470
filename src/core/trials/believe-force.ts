// Where a ladder begins: at what is known of this vinyl, else of others of its kind, else at what is ordinary. The less
// it has to do with this vinyl, this lot and this blade, the wider it is searched.

import { median } from 'simple-statistics';
import type { ForceBelief } from './force-response';

export type KnownSetting = {
  readonly forceGrams: number;
  /** Of its life the blade had spent, from 0. */
  readonly bladeWorn: number;
};
export type ForceKnowledge = {
  /** The last setting that came out clean on this vinyl with such a blade. */
  readonly own: (KnownSetting & { readonly sameLot: boolean; readonly sameBlade: boolean }) | null;
  /** Those of other vinyls of its kind, the latest first. */
  readonly like: readonly KnownSetting[];
  readonly ordinaryGrams: number;
  /** Of the blade that is in. */
  readonly bladeWorn: number;
};
export type BeliefSource = 'own' | 'like' | 'ordinary';

/** How far the middle of the clean window may lie from what is known, as a logarithm of force. */
const STRAYS = { sameLot: 0.08, sameVinyl: 0.14, otherBlade: 0.06, like: 0.22, ordinary: 0.3 } as const;
/** A blade at the end of its life wants so much more force: wear moves the setting up. */
const WORN_MORE = 0.25;

export function believeForce({ own, like, ordinaryGrams, bladeWorn }: ForceKnowledge): ForceBelief & {
  readonly source: BeliefSource;
} {
  if (own) {
    const stray = (own.sameLot ? STRAYS.sameLot : STRAYS.sameVinyl) + (own.sameBlade ? 0 : STRAYS.otherBlade);
    return { grams: shiftByWear(own, bladeWorn), stray, source: 'own' };
  }
  if (like.length > 0) {
    const middle = median(like.map((one) => shiftByWear(one, bladeWorn)));
    return { grams: middle, stray: STRAYS.like, source: 'like' };
  }
  return { grams: ordinaryGrams, stray: STRAYS.ordinary, source: 'ordinary' };
}

/** What a setting that was right at one wear of the blade is at another. */
export const shiftByWear = ({ forceGrams, bladeWorn }: KnownSetting, now: number): number =>
  (forceGrams * (1 + WORN_MORE * now)) / (1 + WORN_MORE * bladeWorn);
