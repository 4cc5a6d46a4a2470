// What a new load is wished to be: which waiting parts, from which stock, held and marked how.

import { useMemo, useState } from 'react';
import { NO_MARKS } from '../../core/nesting';
import { keyOfSource, listPartIds, orderStock, type LotChoice } from '../../core/orders';
import type { CutSheetsView, WaitingPart } from '../../views/cut-sheets';
import type { Group, SavedSheet, Setup } from './cut-load';

/** Any stock of the vinyl, some lots of it, one by its id, or a piece that was measured by hand. */
export type StockWish = 'shelf' | 'typed' | 'mix' | number;
export type TypedPiece = { readonly widthMm: number; readonly lengthMm: number };
export type LoadWish = ReturnType<typeof useLoadWish>;

/** The wish with everything that changes it. `ownId`: the saved sheet that is worked on, null while there is none. */
export function useLoadWish(view: CutSheetsView, group: Group, start: SavedSheet | null, ownId: number | null) {
  const parts = useUnclaimedParts(group, ownId);
  const [chosen, setChosen] = useState<ReadonlySet<number>>(
    () => new Set(start ? listPartIds(start.sheet) : parts.map((part) => part.partId)),
  );
  const [loose, setLoose] = useState<ReadonlySet<string>>(
    () => new Set(start?.sheet.pieces.flatMap((piece) => (piece.island === null ? [] : [keyOfSource(piece.source)]))),
  );
  const [setup, setSetup] = useState<Setup>(() => startSetup(view, start));
  const stock = useStockWish(group, start);
  return {
    parts,
    chosen,
    chooseOnly: (ids: readonly number[]) => setChosen(new Set(ids)),
    toggle: (ids: readonly number[], on: boolean) => setChosen((before) => withAll(before, ids, on)),
    loose,
    toggleLoose: (key: string, on: boolean) => setLoose((before) => withAll(before, [key], on)),
    setup,
    setSetup,
    stock,
  };
}

/** The parts that lie on no other saved sheet. */
function useUnclaimedParts(group: Group, ownId: number | null): readonly WaitingPart[] {
  return useMemo(() => {
    const others = group.saved.filter((saved) => saved.id !== ownId);
    const claimed = new Set(others.flatMap((saved) => listPartIds(saved.sheet)));
    return group.parts.filter((part) => !claimed.has(part.partId));
  }, [group, ownId]);
}

function useStockWish(group: Group, start: SavedSheet | null) {
  const [wish, setWish] = useState<StockWish>(() => startWish(group, start));
  const [mix, setMix] = useState<ReadonlySet<number>>(
    () => new Set(start ? start.sheet.sheets.map((use) => use.lotId) : group.stock.map((lot) => lot.lotId)),
  );
  const [typed, setTyped] = useState<TypedPiece>(() => {
    const lot = start?.sheet.lots.find((one) => one.lotId === 0);
    return { widthMm: lot?.widthMm ?? group.vinyl.rollWidthMm, lengthMm: lot?.lengthMm ?? 1000 };
  });
  const lots = useMemo(() => listWishedLots(group.stock, wish, mix, typed), [group.stock, wish, mix, typed]);
  const toggleMix = (lotId: number, on: boolean) => setMix((before) => withAll(before, [lotId], on));
  return { wish, setWish, mix, toggleMix, typed, setTyped, lots };
}

function listWishedLots(
  stock: readonly LotChoice[],
  wish: StockWish,
  mix: ReadonlySet<number>,
  typed: TypedPiece,
): readonly LotChoice[] {
  if (wish === 'shelf') return orderStock(stock);
  if (wish === 'mix') return orderStock(stock.filter((lot) => mix.has(lot.lotId)));
  return [stock.find((lot) => lot.lotId === wish) ?? toUnbookedLot(typed)];
}

/** A piece that is on no book: it can be laid out, exported and cut, but nothing is booked off. */
const toUnbookedLot = ({ widthMm, lengthMm }: TypedPiece): LotChoice => ({
  lotId: 0,
  form: 'roll',
  widthMm,
  lengthMm: null,
  left: lengthMm,
  shape: null,
  spoiledSpots: [],
  code: null,
});

const startSetup = (view: CutSheetsView, start: SavedSheet | null): Setup =>
  start
    ? { gapMm: start.sheet.gapMm, hold: start.sheet.hold, marks: start.sheet.marks, inside: start.sheet.inside }
    : { gapMm: view.gapMm, hold: 'suited', marks: NO_MARKS, inside: 'bays' };

/** A saved sheet goes on with the stock that it lies on. */
function startWish(group: Group, start: SavedSheet | null): StockWish {
  if (!start) return group.stock.length > 0 ? 'shelf' : 'typed';
  const lots = [...new Set(start.sheet.sheets.map((use) => use.lotId))];
  const isThere = (id: number) => group.stock.some((lot) => lot.lotId === id);
  const [only] = lots;
  if (lots.length === 1 && only !== undefined) return only === 0 ? 'typed' : isThere(only) ? only : 'shelf';
  return lots.length > 1 && lots.every(isThere) && group.stock.length > 2 ? 'mix' : 'shelf';
}

function withAll<T>(before: ReadonlySet<T>, some: readonly T[], on: boolean): ReadonlySet<T> {
  return new Set(on ? [...before, ...some] : [...before].filter((one) => !some.includes(one)));
}
