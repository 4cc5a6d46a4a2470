// Is it worth buying: a roll instead of sheets, a better tool, a vinyl that needs no mat. Each with the number of
// pieces at which it turns.

import { computePacksPrice, computeShipping, type Offer, type Supplier } from '../buying';
import type { CostLayer } from '../costing';
import { computePricePerM2, type ShopFigures } from '../materials';
import { figure, SECONDS_PER_HOUR, type Figure, COUNT_NOISE, LENGTH_NOISE_MM } from '../units';

/** The box of one piece with its margins, and how it is cut. */
export type PieceBox = {
  readonly acrossMm: number;
  readonly alongMm: number;
  readonly turnable: boolean;
  /** That no cutter reaches, each side. */
  readonly edgeMm: number;
};
export type Buy = { readonly offer: Offer; readonly supplier: Pick<Supplier, 'shipping' | 'freeFrom'> };

const waysOf = ({ acrossMm, alongMm, turnable }: PieceBox) => [
  { across: acrossMm, along: alongMm },
  ...(turnable ? [{ across: alongMm, along: acrossMm }] : []),
];
const count = (room: number, each: number): number => Math.max(0, Math.floor(room / each + LENGTH_NOISE_MM));

/** How many pieces one pack gives: of a roll, or a sheet. 0 where none fits. */
export function countInPack(box: PieceBox, { parts: [part] }: Pick<Offer, 'parts'>): number {
  if (!part?.widthMm || !part.lengthMm) return 0;
  const width = part.widthMm - 2 * box.edgeMm,
    length = part.lengthMm;
  return part.count * Math.max(...waysOf(box).map((way) => count(width, way.across) * count(length, way.along)));
}

/** What has to be paid so that `pieces` can be cut; null where none fits on it. */
export function computeOutlay(box: PieceBox, buy: Buy, pieces: number): Figure | null {
  const each = countInPack(box, buy.offer);
  if (each === 0) return null;
  const packs = Math.ceil(pieces / each),
    goods = computePacksPrice(buy.offer, packs),
    shipping = computeShipping(buy.supplier, goods);
  return figure(buy.offer.name, goods + shipping, 'money', 'computed', {
    how: 'packs × price, with breaks, + shipping',
    parts: [
      figure('Pieces from a pack', each, 'count', 'computed'),
      figure('Packs', packs, 'count', 'computed'),
      figure('Shipping', shipping, 'money', 'shop'),
    ],
  });
}

const MOST_PIECES = 5000;
/**
 * The number of pieces from which the first costs no more than the second, and never more again up to `MOST_PIECES`;
 * null where there is none.
 */
export function findCheaperFrom(box: PieceBox, first: Buy, second: Buy): number | null {
  let from: number | null = null;
  for (let pieces = 1; pieces <= MOST_PIECES; pieces++) {
    const a = computeOutlay(box, first, pieces),
      b = computeOutlay(box, second, pieces);
    if (!a || !b) return null;
    if (a.value > b.value) from = null;
    else from ??= pieces;
  }
  return from;
}

export type Tool = {
  /** Above what is done without. */
  readonly price: number;
  /** Of your time, for each piece. */
  readonly savesSeconds: number;
  /** Of pieces that go wrong. */
  readonly savesShare: number;
  /** Pieces it lasts; null for ever. */
  readonly life: number | null;
};
/**
 * What a tool saves on each piece, and from how many pieces on it has paid for itself; null where it never does.
 * `atStake`: what a spoiled piece loses.
 */
export function judgeTool(
  tool: Tool,
  atStake: number,
  wagePerHour: number,
): { readonly saves: Figure; readonly from: Figure | null } {
  const time = figure('Time saved, paid', (tool.savesSeconds / SECONDS_PER_HOUR) * wagePerHour, 'money', 'computed', {
    how: 'seconds × your hour',
    parts: [figure('Saved', tool.savesSeconds, 's', 'typed'), figure('Your hour', wagePerHour, 'money/h', 'shop')],
  });
  const waste = figure('Fewer spoiled', tool.savesShare * atStake, 'money', 'computed', {
    how: 'share × what one loses',
    parts: [
      figure('Fewer that go wrong', tool.savesShare, 'share', 'typed'),
      figure('A spoiled one loses', atStake, 'money', 'computed'),
    ],
  });
  const saves = figure('Saved on each piece', time.value + waste.value, 'money', 'computed', {
    how: 'time + waste',
    parts: [time, waste],
  });
  const pieces = saves.value > 0 ? Math.ceil(tool.price / saves.value - COUNT_NOISE) : Infinity;
  return {
    saves,
    from:
      pieces <= (tool.life ?? Infinity) && Number.isFinite(pieces)
        ? figure('Paid for after', pieces, 'count', 'computed', {
            how: 'price ÷ saved on each piece',
            parts: [figure('Price', tool.price, 'money', 'typed'), saves],
          })
        : null,
  };
}

/** A layer's piece as it is boxed for packs and strips. */
export function boxPiece(
  { measurement, vinyl }: Pick<CostLayer, 'measurement' | 'vinyl'>,
  shop: Pick<ShopFigures, 'weedMarginMm' | 'cutterEdgeMm'>,
): PieceBox {
  return {
    acrossMm: measurement.box.width + 2 * shop.weedMarginMm,
    alongMm: measurement.box.height + 2 * shop.weedMarginMm,
    turnable: vinyl.details.direction === 'none',
    edgeMm: shop.cutterEdgeMm,
  };
}

/** The seller's own figures of the two ways. */
export type MatWish = Pick<MatFacts, 'handlingSeconds' | 'piecesPerLoad'> &
  Pick<MatlessFacts, 'perM2' | 'leadMm' | 'leastMm'>;
const MOST_AT_ONCE = 500;

/**
 * Both ways for so many, and the smallest number at which no mat is cheaper; null where it never is up to
 * `MOST_AT_ONCE`.
 */
export function judgeMat(
  layer: Pick<CostLayer, 'measurement' | 'vinyl'>,
  quantity: number,
  wish: MatWish,
  matLoad: number,
  shop: ShopFigures,
): { readonly withMat: Figure; readonly without: Figure; readonly from: number | null } {
  const box = boxPiece(layer, shop),
    { vinyl } = layer;
  const across = Math.max(1, count(vinyl.rollWidthMm - 2 * box.edgeMm, box.acrossMm));
  const at = (pieces: number) =>
    compareMat(
      pieces,
      Math.ceil(pieces / across) * box.alongMm,
      { matLoad, ...wish },
      { ...wish, rollWidthMm: vinyl.rollWidthMm, pricePerM2: computePricePerM2(vinyl).value },
      shop.wagePerHour,
    );
  for (let pieces = 1; pieces <= MOST_AT_ONCE; pieces++) {
    const { withMat, without } = at(pieces);
    if (without.value < withMat.value) return { ...at(quantity), from: pieces };
  }
  return { ...at(quantity), from: null };
}

export type MatFacts = {
  /** Of one load on a mat: its wear. */
  readonly matLoad: number;
  /** Of your time: to lay the vinyl on it, peel it off and clean it. */
  readonly handlingSeconds: number;
  /** Between two loads of this vinyl with a mat. */
  readonly piecesPerLoad: number;
};
export type MatlessFacts = {
  /** Dearer or cheaper than the other, for a m². */
  readonly perM2: number;
  /** Led in and out, mm of strip that is lost in each load. */
  readonly leadMm: number;
  /** The shortest strip the machine takes. */
  readonly leastMm: number;
  readonly rollWidthMm: number;
  readonly pricePerM2: number;
};
/** What each way costs for one piece of a load of `pieces` that takes `stripMm`: beyond what both have alike. */
export function compareMat(
  pieces: number,
  stripMm: number,
  mat: MatFacts,
  matless: MatlessFacts,
  wagePerHour: number,
): { readonly withMat: Figure; readonly without: Figure } {
  const loads = Math.ceil(pieces / mat.piecesPerLoad);
  const handling = (mat.handlingSeconds / SECONDS_PER_HOUR) * wagePerHour;
  const strip = Math.max(stripMm + matless.leadMm, matless.leastMm);
  const lost = ((strip - stripMm) * matless.rollWidthMm * (matless.pricePerM2 + matless.perM2)) / 1e6,
    dearer = (stripMm * matless.rollWidthMm * matless.perM2) / 1e6;
  const money = (label: string, value: number) => figure(label, value, 'money', 'computed');
  return {
    withMat: figure('With a mat, for each', ((mat.matLoad + handling) * loads) / pieces, 'money', 'computed', {
      how: '(wear of a load + handling) × loads ÷ pieces',
      parts: [
        money('Wear of a load', mat.matLoad),
        money('Handling, at your hour', handling),
        figure('Loads', loads, 'count', 'computed'),
        figure('Pieces', pieces, 'count', 'typed'),
      ],
    }),
    without: figure('Without a mat, for each', (lost + dearer) / pieces, 'money', 'computed', {
      how: '(strip lost + dearer vinyl) ÷ pieces',
      parts: [
        money('Strip lost to lead-in, lead-out and least length', lost),
        money('Dearer vinyl', dearer),
        figure('Pieces', pieces, 'count', 'typed'),
      ],
    }),
  };
}
