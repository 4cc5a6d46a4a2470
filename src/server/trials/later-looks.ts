// Pressed pieces that are looked at again: planned for an order or a candidate, told on the day, and what was seen.

import type { InferType } from 'yup';
import type { laterInput, seenInput } from '../../core/input/index';
import type { Fabric } from '../../core/materials/index';
import { addDays, proposeLooks, PUT_OFF_DAYS } from '../../core/scheduling/index';
import { dayOf } from '../../core/units/index';
import { inTransaction } from '../../data/database';
import {
  changeLater,
  deleteLater,
  findLater,
  findLooks,
  insertLater,
  listDue,
  listLaterOfCandidates,
  listLaterOfOrder,
  type NewLater,
  type StoredLater,
} from '../../data/later-look-store';
import { deleteLook, insertLook } from '../../data/press-look-store';
import { findVinyls } from '../../data/shelf-store';
import { findCandidate } from '../../data/side-store';
import type { LaterPlan, LaterRow, LaterSeen } from '../../views/trials';
import { getShop, type ShopContext } from '../context';
import { notFound, ShopError } from '../errors';
import { readMadeLines } from '../items/materials';
import { readOrder } from '../orders/read-orders';
import { requireSide } from './side-by-side';

/** Shown of those that are due. */
const MOST_DUE = 12;

const today = (shop: ShopContext): string => dayOf(shop.now(), getShop(shop).timeZone);

/** What is looked at of one vinyl on one fabric. */
type Subject = Pick<NewLater, 'vinylId' | 'fabric' | 'what' | 'pieces' | 'orderId' | 'candidateId'>;

/** @throws ShopError where there is nothing pressed to look at */
export function planLater(shop: ShopContext, { orderId, candidateId, looks }: InferType<typeof laterInput>) {
  return inTransaction(shop.db, () => {
    const subjects =
      orderId !== null ? listOfOrder(shop, orderId) : candidateId !== null ? listOfCandidate(shop, candidateId) : [];
    if (subjects.length === 0) throw new ShopError('invalid', { reason: 'nothing-pressed' });
    const ids = subjects.flatMap((subject) => looks.map((look) => insertLater(shop.db, { ...subject, ...look })));
    return { ids };
  });
}

/** A row for each vinyl and fabric of the order. */
function listOfOrder(shop: ShopContext, orderId: number): readonly Subject[] {
  const order = readOrder(shop, orderId);
  if (!order) throw notFound('This order');
  const { lines } = readMadeLines(shop, [order]);
  const subjects = new Map<string, Subject>();
  for (const line of order.order.lines) {
    const made = lines.get(line.id);
    if (!made) continue;
    for (const vinylId of new Set(made.layers.map(({ vinyl }) => vinyl.id))) {
      const key = `${vinylId} ${made.blank.fabric}`;
      const known = subjects.get(key);
      const pieces = (known?.pieces ?? 0) + line.quantity;
      subjects.set(key, { vinylId, fabric: made.blank.fabric, what: order.order.title, pieces, orderId });
    }
  }
  return [...subjects.values()];
}

function listOfCandidate(shop: ShopContext, id: number): readonly Subject[] {
  const candidate = findCandidate(shop.db, id);
  if (!candidate) throw notFound('This candidate');
  const { side } = requireSide(shop, candidate.trialId);
  const pieces = side.pieces - candidate.sheet.lost;
  if (pieces < 1) return [];
  const { vinylId, label } = candidate;
  const fabric: Fabric = side.fabric;
  return [{ vinylId, fabric, what: label ? `${side.name}: ${label}` : side.name, pieces, candidateId: id }];
}

/** Due today or before, and looked at by nobody. */
export const loadDue = (shop: ShopContext): readonly LaterRow[] =>
  toLaterRows(shop, listDue(shop.db, today(shop), MOST_DUE));

/** With what was seen of each, where somebody looked. */
export function toLaterSeen(shop: ShopContext, later: readonly StoredLater[]): readonly LaterSeen[] {
  const seen = findLooks(
    shop.db,
    later.flatMap(({ lookId }) => lookId ?? []),
  );
  const looks = new Map(seen.map((look) => [look.id, look]));
  return toLaterRows(shop, later).map((row, at) => {
    const look = looks.get(later[at]!.lookId ?? 0);
    return { ...row, seen: look ? { kind: look.kind, day: look.day, note: look.note } : null };
  });
}

/** Of one order or one candidate. */
export function loadLaterOf(
  shop: ShopContext,
  { orderId, candidateId }: { readonly orderId: number | null; readonly candidateId: number | null },
): LaterPlan {
  const later =
    orderId !== null
      ? listLaterOfOrder(shop.db, orderId)
      : listLaterOfCandidates(shop.db, candidateId === null ? [] : [candidateId]);
  return { later: toLaterSeen(shop, later), proposed: proposeLooks(today(shop)) };
}

function toLaterRows(shop: ShopContext, looks: readonly StoredLater[]): readonly LaterRow[] {
  const vinyls = new Map(
    findVinyls(shop.db, [...new Set(looks.map(({ vinylId }) => vinylId))]).map((vinyl) => [vinyl.id, vinyl]),
  );
  return looks.map(({ id, what, vinylId, fabric, pieces, reason, washes, dueDay, orderId }) => {
    const vinyl = vinyls.get(vinylId);
    return {
      id,
      what,
      vinylName: vinyl?.name ?? '',
      colourHex: vinyl?.colourHex ?? '',
      fabric,
      pieces,
      reason,
      washes,
      dueDay,
      orderId,
    };
  });
}

function requireLater({ db }: ShopContext, id: number): StoredLater {
  const later = findLater(db, id);
  if (!later) throw notFound('What is to be looked at');
  return later;
}

/** It counts for the recipe of the vinyl on that fabric, and for how far the vinyl is trusted. @throws ShopError */
export function seeLater(shop: ShopContext, id: number, { kind, note }: InferType<typeof seenInput>): void {
  inTransaction(shop.db, () => {
    const later = requireLater(shop, id);
    if (later.lookId !== null) throw new ShopError('conflict', { reason: 'looked-at-before' });
    const { vinylId, fabric, pieces, washes, what } = later;
    const words = note?.trim() ? `${what}: ${note.trim()}` : what;
    const lookId = insertLook(shop.db, { vinylId, fabric, kind, pieces, washes, day: today(shop), note: words });
    changeLater(shop.db, id, { lookId });
  });
}

/** Taken back: nobody looked yet. */
export function unseeLater(shop: ShopContext, id: number): void {
  inTransaction(shop.db, () => {
    const { lookId } = requireLater(shop, id);
    if (lookId !== null) deleteLook(shop.db, lookId);
    changeLater(shop.db, id, { lookId: null });
  });
}

/** Nobody has it at hand: it comes up again in a week. */
export function putOffLater(shop: ShopContext, id: number): void {
  requireLater(shop, id);
  changeLater(shop.db, id, { dueDay: addDays(today(shop), PUT_OFF_DAYS) });
}

/** Not asked for again. What was seen stays. */
export function forgetLater(shop: ShopContext, id: number): void {
  requireLater(shop, id);
  deleteLater(shop.db, id);
}
