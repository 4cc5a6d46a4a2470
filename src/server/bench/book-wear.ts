// What a finished piece of work wears: blade and mat when it is cut; cover sheet, pillow and transfer tape at the press.

import {
  computeDecalCost,
  computeTapeCost,
  countOnMat,
  getBladeMetre,
  getMatLoad,
  getPressWear,
  type MadeLayer,
} from '../../core/costing/index';
import { getKindFacts, type ShopFigures } from '../../core/materials/index';
import { shareOfRecut } from '../../core/orders/index';
import { getPressedBlank, planPressing, toPressInput } from '../../core/pressing/index';
import type { SupplyKind } from '../../core/stock/index';
import { COUNT_NOISE, groupBy, MM_PER_M } from '../../core/units/index';
import { addWear, findFitted } from '../../data/supply-store';
import { getShop, type ShopContext } from '../context';
import { loadWearPrices } from '../items/evidence';
import { readMadeLines, type MadeLine } from '../items/materials';
import type { BenchWork } from './book-stock';

/** What each part bears of the wear, minor units, not rounded. */
export type WearCosts = ReadonlyMap<number, number>;
/** What wears, and what one of its amount costs. */
type Worn = { readonly kind: SupplyKind; readonly amount: number; readonly unitCost: number };

/**
 * Metres on the blade, loads on the mat: each vinyl is a load of its own, or as many as it takes of the mat. Call it
 * inside a transaction.
 */
export function bookCutWear(shop: ShopContext, work: BenchWork): WearCosts {
  const { figures } = getShop(shop);
  const prices = loadWearPrices(shop);
  const metre = getBladeMetre(figures, prices).value;
  const load = getMatLoad(figures, prices).value;
  const { lines } = readMadeLines(shop, work.orders);
  const cut = work.parts.flatMap((part) => {
    const layer = lines.get(part.lineId)?.layers[part.layerIndex];
    if (!layer) return [];
    const onMat = countOnMat(layer.measurement, layer.vinyl, figures);
    // Of one load of the mat: so much of it is full.
    const again = shareOfRecut(part.recut);
    const ofMat = onMat > 0 ? again / onMat : 0;
    return [{ partId: part.id, vinylId: layer.vinyl.id, metres: metresOf(layer) * again, ofMat }];
  });
  const loads = new Map(
    [...groupBy(cut, (one) => one.vinylId)].map(([vinylId, own]) => {
      const full = own.reduce((sum, one) => sum + one.ofMat, 0);
      return [vinylId, { full, count: Math.ceil(full - COUNT_NOISE) }];
    }),
  );
  const shareOf = (one: (typeof cut)[number]): number => {
    const { full, count } = loads.get(one.vinylId)!;
    return full > 0 ? (count * one.ofMat) / full : 0;
  };
  writeWear(shop, work.sessionId, [
    { kind: 'blade', amount: cut.reduce((sum, one) => sum + one.metres, 0), unitCost: metre },
    { kind: 'mat', amount: [...loads.values()].reduce((sum, { count }) => sum + count, 0), unitCost: load },
  ]);
  return new Map(cut.map((one) => [one.partId, one.metres * metre + load * shareOf(one)]));
}

const metresOf = ({ measurement }: MadeLayer): number => measurement.cutLengthMm / MM_PER_M;

/** Layers on the hook; it costs them nothing. Call it inside a transaction. */
export const bookWeedWear = (shop: ShopContext, { sessionId, parts }: BenchWork): void =>
  writeWear(shop, sessionId, [{ kind: 'weeding tool', amount: parts.length, unitCost: 0 }]);

/** A piece is pressed as a whole, whatever number of parts it has. Call it inside a transaction. */
export function bookPressWear(shop: ShopContext, work: BenchWork): WearCosts {
  const { figures } = getShop(shop);
  const { lines } = readMadeLines(shop, work.orders);
  const pieces = [...groupBy(work.parts, (part) => part.pieceId).values()].flatMap((parts) => {
    const line = lines.get(parts[0]!.lineId);
    return line ? [{ parts, line, pressCycles: countPressCycles(line, figures) }] : [];
  });
  const pressCycles = pieces.reduce((sum, piece) => sum + piece.pressCycles, 0);
  writeWear(shop, work.sessionId, [
    { kind: 'cover sheet', amount: pressCycles, unitCost: figures.coverSheetPrice / figures.coverSheetPresses },
    { kind: 'pillow', amount: pressCycles, unitCost: figures.pillowPrice / figures.pillowPresses },
  ]);
  return new Map(
    pieces.flatMap(({ parts, line, pressCycles: own }) => {
      const { cover, pillow, heatTape } = getPressWear(own, getPressedBlank(line.blank, line.made.recipe), figures);
      const decal = computeDecalCost({ ...line.made, layers: line.layers, blank: line.blank }, figures);
      const each = (cover + pillow + heatTape + decal) / parts.length;
      return parts.map((part) => [part.id, each + getTape(line.layers[part.layerIndex], figures)] as const);
    }),
  );
}

function countPressCycles(line: MadeLine, figures: ShopFigures): number {
  const plan = planPressing(toPressInput({ ...line.made, layers: line.layers, blank: line.blank }, figures));
  return plan.ok ? plan.value.pressCycles : 0;
}

/** Transfer tape, as large as the box with its margin. */
function getTape(layer: MadeLayer | undefined, figures: ShopFigures): number {
  if (!layer || getKindFacts(layer.vinyl.kind).family !== 'adhesive') return 0;
  const { width, height } = layer.measurement.box;
  const margin = 2 * figures.weedMarginMm;
  return computeTapeCost((width + margin) * (height + margin), figures);
}

/** Booked on what is in use now; kinds of which nothing is in use are let be. */
function writeWear(shop: ShopContext, sessionId: number, worn: readonly Worn[]): void {
  const fitted = findFitted(
    shop.db,
    worn.map(({ kind }) => kind),
  );
  for (const { kind, amount, unitCost } of worn) {
    const supplyId = fitted.get(kind);
    if (supplyId !== undefined && amount > 0)
      addWear(shop.db, { supplyId, atMs: shop.now(), kind: 'worn', amount, unitCost, sessionId });
  }
}
