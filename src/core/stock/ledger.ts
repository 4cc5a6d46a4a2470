// Stock as a ledger: lots, and lines that add to them or take from them. Nothing is ever changed or taken away; what
// lies on the shelf is the sum. No lot can go below nothing.

import { fail, figure, roundMoney, succeed, type Figure, type Result } from '../units';

export type StockCause = 'received' | 'cut' | 'used' | 'spoiled' | 'counted' | 'sold' | 'returned' | 'set-aside';
export const STOCK_CAUSES: readonly StockCause[] = [
  'received',
  'cut',
  'used',
  'spoiled',
  'counted',
  'sold',
  'returned',
  'set-aside',
];
/** What adds, what takes, and what may do either. An offcut is set aside: taken from its roll, and a lot of its own. */
const SIGN: Readonly<Record<StockCause, 1 | -1 | 0>> = {
  received: 1,
  cut: -1,
  used: -1,
  spoiled: -1,
  counted: 0,
  sold: -1,
  returned: 1,
  'set-aside': -1,
};

/** A roll is measured by its length left, mm; sheets, offcuts and pieces are counted. */
export type LotForm = 'roll' | 'sheet' | 'offcut' | 'piece';
export const LOT_FORMS: readonly LotForm[] = ['roll', 'sheet', 'offcut', 'piece'];
export type Lot = {
  readonly id: number;
  /** What it is a lot of: the key of a thing. */
  readonly key: string;
  readonly form: LotForm;
  /** Of a roll, its width; of a sheet or offcut, its own width and length. Null for pieces. */
  readonly widthMm: number | null;
  readonly lengthMm: number | null;
  readonly receivedAtMs: number;
  /** Of one mm of a roll, or of one sheet, offcut or piece; landed, in minor units, not rounded. */
  readonly unitCost: number;
};
export type StockLine = {
  readonly lotId: number;
  readonly atMs: number;
  readonly cause: StockCause;
  /** mm or count, never 0; what is taken is negative. */
  readonly quantity: number;
};
export type LineDraft = Omit<StockLine, 'atMs'>;

export type BookingProblem =
  | { readonly kind: 'below-zero'; readonly has: number; readonly asked: number }
  | { readonly kind: 'wrong-sign'; readonly cause: StockCause }
  | { readonly kind: 'not-whole' }
  | { readonly kind: 'nothing' };

/** Lengths are booked to a tenth of a millimetre: sums of many lines stay exact. */
const toBookable = (form: LotForm, quantity: number): number =>
  form === 'roll' ? Math.round(quantity * 10) / 10 : quantity;

export const sumLines = (lines: readonly Pick<StockLine, 'quantity'>[]): number =>
  Math.round(lines.reduce((sum, line) => sum + line.quantity * 10, 0)) / 10;

/**
 * The line as it may be booked on a lot that has `left`. Problems: takes more than there is, adds by a cause that
 * takes, part of a piece, or nothing at all.
 */
export function checkLine(lot: Pick<Lot, 'form'>, left: number, draft: LineDraft): Result<LineDraft, BookingProblem> {
  const quantity = toBookable(lot.form, draft.quantity);
  if (!Number.isFinite(quantity) || quantity === 0) return fail({ kind: 'nothing' });
  if (lot.form !== 'roll' && !Number.isInteger(quantity)) return fail({ kind: 'not-whole' });
  if (SIGN[draft.cause] * quantity < 0) return fail({ kind: 'wrong-sign', cause: draft.cause });
  if (sumLines([{ quantity: left }, { quantity }]) < 0)
    return fail({ kind: 'below-zero', has: left, asked: -quantity });
  return succeed({ ...draft, quantity });
}

/** What brings a lot to what was counted; null when it says so already. `counted` is not negative. */
export function correctTo(lot: Pick<Lot, 'id' | 'form'>, left: number, counted: number): LineDraft | null {
  const quantity = sumLines([{ quantity: toBookable(lot.form, counted) }, { quantity: -left }]);
  return quantity === 0 ? null : { lotId: lot.id, cause: 'counted', quantity };
}

export type LotLeft = { readonly lot: Lot; readonly left: number };
export type Taken = { readonly lotId: number; readonly quantity: number; readonly cost: number };

/** First in, first out: what is taken from which lot, oldest first, and what it cost. Problem: there is not so much. */
export function takeFirstIn(
  lots: readonly LotLeft[],
  quantity: number,
): Result<{ readonly taken: readonly Taken[]; readonly cost: Figure }, BookingProblem> {
  if (!(quantity > 0)) return fail({ kind: 'nothing' });
  const has = sumLines(lots.map(({ left }) => ({ quantity: left })));
  if (has < quantity) return fail({ kind: 'below-zero', has, asked: quantity });
  const taken: Taken[] = [];
  let wanted = quantity;
  for (const { lot, left } of [...lots].sort(
    (a, b) => a.lot.receivedAtMs - b.lot.receivedAtMs || a.lot.id - b.lot.id,
  )) {
    const take = Math.min(left, wanted);
    if (take <= 0) continue;
    taken.push({ lotId: lot.id, quantity: take, cost: take * lot.unitCost });
    wanted = sumLines([{ quantity: wanted }, { quantity: -take }]);
    if (wanted === 0) break;
  }
  const cost = taken.reduce((sum, part) => sum + part.cost, 0);
  return succeed({
    taken,
    cost: figure('Cost, first in first out', cost, 'money', 'computed', {
      how: 'what is taken from each lot × what it cost',
      parts: taken.map((part) => figure(`Lot ${part.lotId}`, part.cost, 'money', 'computed')),
    }),
  });
}

/** What the lots are worth at what they cost, each to the cent: the lots’ sums add up to that of all. */
export function valueStock(lots: readonly LotLeft[]): Figure {
  return figure(
    'Value of stock',
    lots.reduce((sum, { lot, left }) => sum + roundMoney(left * lot.unitCost), 0),
    'money',
    'computed',
    {
      how: 'what is left of each lot × what it cost',
      ...(lots.length === 1
        ? { parts: lots.map(({ lot, left }) => figure('Left', left, lot.form === 'roll' ? 'mm' : 'count', 'measured')) }
        : {}),
    },
  );
}
