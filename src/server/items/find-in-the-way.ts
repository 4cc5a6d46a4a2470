// What stands in the way of making an item well, in the shop's words.

import { checkMade, FINDING_STATIONS, type Made } from '../../core/costing/index';
import { describeMadeFinding } from '../../wording/made-findings';
import { getSettings, getShop, type ShopContext } from '../context';
import type { Materials } from './materials';

/** The strongest first, each with the station where it is in the way. */
export function findInTheWay(shop: ShopContext, made: Made, materials: Materials) {
  const blank = materials.blanks.get(made.blankId);
  if (!blank) return [];
  const settings = getSettings(shop);
  return checkMade({ made, materials, blank, shop: getShop(shop).figures }).map((finding) => ({
    ...describeMadeFinding(finding, settings),
    station: FINDING_STATIONS[finding.kind],
  }));
}
