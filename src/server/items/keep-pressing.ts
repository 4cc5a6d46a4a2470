// What a stretch of pressing was of, kept for learning: what hands did, and how long the press was closed.

import { listPressAmounts, PRESS_FIGURES, type PressAmounts, toPressInput } from '../../core/pressing/index';
import { groupBy, MS_PER_S } from '../../core/units/index';
import { insertPressStretch } from '../../data/minutes-store';
import { getShop, type ShopContext } from '../context';
import { readMadeLines, type MadeLine } from './materials';
import { isInOneGo, type Stretch } from './stretch';

/** Nothing of work that was not done in one go, nor of pieces of which only a part was pressed in it. */
export function keepPressing(shop: ShopContext, stretch: Stretch): void {
  if (!isInOneGo(shop, 'press', stretch)) return;
  const { work, stopMs, orders, partIds } = stretch;
  const pressed = new Set(partIds);
  const pieces = [
    ...groupBy(
      orders.flatMap(({ parts }) => parts),
      (part) => part.pieceId,
    ).values(),
  ].filter((parts) => parts.some(({ id }) => pressed.has(id)));
  if (pieces.length === 0 || !pieces.flat().every(({ id }) => pressed.has(id))) return;
  const { lines } = readMadeLines(shop, orders);
  const each = new Map([...lines].map(([id, line]) => [id, listAmounts(shop, line)]));
  const known = pieces.flatMap(([part]) => each.get(part!.lineId) ?? []);
  if (known.length < pieces.length) return;
  insertPressStretch(shop.db, {
    sessionId: work.id,
    atMs: stopMs,
    seconds: (stopMs - work.startedAtMs) / MS_PER_S,
    fixedSeconds: known.reduce((sum, { fixedSeconds }) => sum + fixedSeconds, 0),
    amounts: PRESS_FIGURES.map((_, at) => known.reduce((sum, { amounts }) => sum + amounts[at]!, 0)),
  });
}

/** Of one piece; nothing where it can't be pressed as it is made. */
function listAmounts(shop: ShopContext, { layers, blank, made }: MadeLine): PressAmounts | null {
  const listed = listPressAmounts(toPressInput({ layers, blank, ...made }, getShop(shop).figures));
  return listed.ok ? listed.value : null;
}
