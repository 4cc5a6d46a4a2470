// How an order's lines get from what they are to what is wanted: which pieces stay, which go, which are made anew. What
// becomes of pieces that were begun is the seller's to say.

import { fail, succeed, type Result } from '../units';

/**
 * What became of a piece that is not wanted any more: nothing was cut of it, it is kept as a spare, or it is booked as
 * spoiled.
 */
export type PieceGone = 'dropped' | 'spare' | 'spoiled';
export type Fate = Exclude<PieceGone, 'dropped'>;

/** What makes pieces alike: only these are copies of one another. */
type LineMakeup = {
  readonly itemId: number;
  readonly sizeName: string;
  readonly colourName: string;
  /** Places in the options of the item. */
  readonly options: readonly number[];
  readonly texts: readonly { readonly label: string; readonly text: string; readonly smaller?: boolean }[];
};
type PieceNow = { readonly pieceId: number; readonly number: number; readonly begun: boolean };
export type LineNow = LineMakeup & { readonly lineId: number; readonly pieces: readonly PieceNow[] };
export type LineWanted = LineMakeup & { readonly lineId: number | null; readonly quantity: number };

export type LinesPlan<Wanted extends LineWanted> = {
  /** Pieces that go, and what becomes of each. */
  readonly gone: readonly { readonly pieceId: number; readonly number: number; readonly gone: PieceGone }[];
  /** Lines that stay, with what is wanted of them: their note or price may differ. */
  readonly kept: readonly { readonly lineId: number; readonly wish: Wanted }[];
  /** More pieces of a line that stays. */
  readonly more: readonly { readonly lineId: number; readonly count: number }[];
  /** Lines that are new, or made so differently that their pieces are new. */
  readonly fresh: readonly Wanted[];
};
export type LinesProblem =
  | { readonly kind: 'pieces-begun'; readonly numbers: readonly number[] }
  | { readonly kind: 'no-such-line'; readonly lineId: number };

const keyOfMakeup = ({ itemId, sizeName, colourName, options, texts }: LineMakeup): string =>
  JSON.stringify([
    itemId,
    sizeName,
    colourName,
    [...options].sort((a, b) => a - b),
    texts.map(({ label, text, smaller }) => [label, text, smaller ?? false]),
  ]);

/**
 * The plan. Of a line that shrinks, pieces that nothing was cut of go first, the last of them before the others. Lines
 * left out go whole. Problems: pieces that were begun would go and `fate` is null; a line that the order hasn't.
 */
export function planLineChange<Wanted extends LineWanted>(
  lines: readonly LineNow[],
  wanted: readonly Wanted[],
  fate: Fate | null,
): Result<LinesPlan<Wanted>, LinesProblem> {
  const byId = new Map(lines.map((line) => [line.lineId, line]));
  const unknown = wanted.find(({ lineId }) => lineId !== null && !byId.has(lineId));
  if (unknown) return fail({ kind: 'no-such-line', lineId: unknown.lineId! });
  const going: PieceNow[] = [];
  const more: { lineId: number; count: number }[] = [];
  const fresh: Wanted[] = [];
  const kept = new Map<number, Wanted>();
  for (const wish of wanted) {
    const line = wish.lineId === null ? undefined : byId.get(wish.lineId);
    if (!line || kept.has(line.lineId) || keyOfMakeup(line) !== keyOfMakeup(wish)) {
      fresh.push(wish);
      continue;
    }
    kept.set(line.lineId, wish);
    const surplus = line.pieces.length - wish.quantity;
    if (surplus > 0) going.push(...pickSurplus(line.pieces, surplus));
    if (surplus < 0) more.push({ lineId: line.lineId, count: -surplus });
  }
  for (const line of lines) if (!kept.has(line.lineId)) going.push(...line.pieces);
  const begun = going.filter((piece) => piece.begun);
  if (begun.length > 0 && fate === null)
    return fail({ kind: 'pieces-begun', numbers: begun.map(({ number }) => number) });
  const gone = going.map(({ pieceId, number, begun: isBegun }) => ({
    pieceId,
    number,
    gone: isBegun ? fate! : ('dropped' as const),
  }));
  return succeed({ gone, kept: [...kept].map(([lineId, wish]) => ({ lineId, wish })), more, fresh });
}

const pickSurplus = (pieces: readonly PieceNow[], count: number): readonly PieceNow[] =>
  [...pieces].sort((a, b) => Number(a.begun) - Number(b.begun) || b.number - a.number).slice(0, count);
