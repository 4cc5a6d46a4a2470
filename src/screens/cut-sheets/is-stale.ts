// Whether a load is still what is asked for.

import { choiceOf, keyOfSource } from '../../core/orders';
import { toLaidLoad, type Laid } from './cut-load';
import type { LoadInput } from './use-load';

/**
 * Whether something else is asked for than what is laid out. Marks that need no room are drawn as they are asked for.
 */
export function isStale(laid: Laid, { parts, stock, setup, loose }: LoadInput): boolean {
  return (
    needsOtherRoom(laid, setup) ||
    !laid.layout.sheets.every((use) => isOffered(laid, use.stockId, stock)) ||
    (!laid.counting && (isPartedOtherwise(laid, loose) || hasOtherParts(laid, parts)))
  );
}

const needsOtherRoom = ({ setup: laid }: Laid, asked: LoadInput['setup']): boolean =>
  laid.gapMm !== asked.gapMm ||
  laid.hold !== asked.hold ||
  laid.inside !== asked.inside ||
  laid.marks.tags !== asked.marks.tags;

function isOffered(laid: Laid, stockId: string, stock: LoadInput['stock']): boolean {
  const choice = choiceOf(toLaidLoad(laid), stockId);
  return stock.some(
    (lot) =>
      lot.lotId === choice?.lotId && (lot.lotId > 0 || (lot.widthMm === choice.widthMm && lot.left === choice.left)),
  );
}

function isPartedOtherwise(laid: Laid, loose: ReadonlySet<string>): boolean {
  const parted = new Set(laid.job.cut.flatMap((piece) => (piece.island === null ? [] : [keyOfSource(piece.source)])));
  const hasIslands = (key: string) => (laid.shapes.get(key)?.islands.length ?? 0) > 1;
  return [...parted].some((key) => !loose.has(key)) || [...loose].some((key) => !parted.has(key) && hasIslands(key));
}

function hasOtherParts(laid: Laid, parts: LoadInput['parts']): boolean {
  const own = new Set(laid.job.cut.flatMap((piece) => piece.partIds.flatMap((id) => id ?? [])));
  const asked = new Set(parts.map((part) => part.partId));
  return own.size !== asked.size || [...asked].some((id) => !own.has(id));
}
