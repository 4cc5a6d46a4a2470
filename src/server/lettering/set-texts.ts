// Texts set for a screen: each as the drawing it became, or why it can't be.

import type { InferType } from 'yup';
import type { textsInput } from '../../core/input/index';
import { findArtworkVersions } from '../../data/artwork-store';
import type { SetTextView } from '../../views/letterings';
import { describeFitProblem } from '../../wording/lettering';
import { pictureHref } from '../artwork/picture-file';
import type { ShopContext } from '../context';
import { keyOfWish, letterTexts } from './letter-texts';

/** In the order of the texts. */
export async function setTexts(
  shop: ShopContext,
  { texts }: InferType<typeof textsInput>,
): Promise<{ readonly texts: readonly SetTextView[] }> {
  const set = await letterTexts(shop, texts);
  const ids = [...set.values()].flatMap((answer) => (answer.ok ? [answer.value.artworkId] : []));
  const versions = new Map(findArtworkVersions(shop.db, [...new Set(ids)]).map(({ id, version }) => [id, version]));
  return {
    texts: texts.map((wish): SetTextView => {
      const answer = set.get(keyOfWish(wish))!;
      if (!answer.ok)
        return {
          set: false,
          problem: describeFitProblem(answer.problem),
          fitsSmaller: answer.problem.kind === 'too-wide' && answer.problem.capHeightMm >= LEAST_CAPITALS_MM,
        };
      const { artworkId, fit } = answer.value;
      return { set: true, artworkId, fit, href: pictureHref({ id: artworkId, version: versions.get(artworkId) ?? 1 }) };
    }),
  };
}

/** Smaller capitals can't be weeded from any vinyl. */
const LEAST_CAPITALS_MM = 3;
