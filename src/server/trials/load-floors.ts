// How fine the vinyls hold that were worked on last, and what of it is calculated with.

import type { InferType } from 'yup';
import type { DetailFloor } from '../../core/artwork/index';
import type { floorInput } from '../../core/input/index';
import { getDetailFloor, getOrdinaryFloor } from '../../core/materials/index';
import { isFloorKnown, proposeFloor, tellFloor, type TriedWidth } from '../../core/trials/index';
import { groupBy } from '../../core/units/index';
import { findVinyls, setDetailFloor, type StoredVinyl } from '../../data/shelf-store';
import { loadWidthTries } from '../../data/width-tries-store';
import type { FloorRow } from '../../views/trials';
import type { ShopContext } from '../context';
import { notFound } from '../errors';
import { listVinylsTried } from './load-trust';

/** Wider than this nothing tells how fine a vinyl holds, mm. */
const TELLS_BELOW_MM = 4;
/** What is kept is rounded to this, mm. */
const STEP_MM = 0.1;

/** Those of which something fine was cut. */
export function loadFloors(shop: ShopContext): readonly FloorRow[] {
  const ids = listVinylsTried(shop);
  const vinyls = new Map(findVinyls(shop.db, ids).map((vinyl) => [vinyl.id, vinyl]));
  const tried = groupBy(loadWidthTries(shop.db, ids), ({ vinylId }) => vinylId);
  return ids.flatMap((id) => {
    const vinyl = vinyls.get(id);
    const own = (tried.get(id) ?? []).filter(({ tries }) => tries > 0);
    return vinyl && own.some(({ widthMm }) => widthMm < TELLS_BELOW_MM) ? [toRow(vinyl, own)] : [];
  });
}

function toRow(vinyl: StoredVinyl, tried: readonly TriedWidth[]): FloorRow {
  const ordinary = getOrdinaryFloor(vinyl);
  const floor = tellFloor(tried, ordinary.strokeMm);
  const range = { lowMm: floor.low!, mm: floor.value, highMm: floor.high! };
  const { strokeMm, gapMm } = vinyl.details;
  return {
    vinylId: vinyl.id,
    vinylName: vinyl.name,
    colourHex: vinyl.colourHex,
    tried: tried.map(({ widthMm, tries, failures }) => ({ widthMm, tries, failures })),
    floor,
    isKnown: isFloorKnown(range),
    now: getDetailFloor(vinyl),
    kept: { strokeMm, gapMm },
    proposed: propose(proposeFloor(range, tried), ordinary),
  };
}

/** Gaps hold as much finer than strokes as is ordinary of the kind: what failed tells no more than the thinner of both. */
const propose = (floorMm: number, ordinary: DetailFloor): DetailFloor => ({
  strokeMm: roundUp(floorMm),
  gapMm: roundUp((floorMm * ordinary.gapMm) / ordinary.strokeMm),
});
/** 0.3 ÷ 0.1 is a little more than 3. */
const ROUNDING = 1e-6;
const roundUp = (mm: number): number => Number((Math.ceil(mm / STEP_MM - ROUNDING) * STEP_MM).toFixed(1));

/** From now on it is calculated with, and checked against. @throws ShopError where the vinyl is gone */
export function keepFloor(shop: ShopContext, vinylId: number, floor: InferType<typeof floorInput>): void {
  if (!setDetailFloor(shop.db, vinylId, floor)) throw notFound('This vinyl');
}
