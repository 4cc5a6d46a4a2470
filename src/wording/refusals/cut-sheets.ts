// Refusals of cut sheets: parts that do not wait any more, stock that is gone or claimed, loads that are too much.

import type { NestProblem } from '../../core/nesting';
import type { BookingProblem } from '../../core/orders';
import { formatInstant, type FormatSettings } from '../../core/units';
import { describeBookingProblem, describeNestProblem } from '../nesting';
import { plural } from '../plural';
import { nameLot, type NamedLot } from '../stock';

/** Another cut sheet that is in the way; null where it is not known any more. */
type OtherSheet = {
  readonly parts: number;
  readonly savedAtMs: number;
  readonly zone: Pick<FormatSettings, 'locale' | 'timeZone'>;
} | null;
const nameSheet = (other: OtherSheet) =>
  other
    ? `the cut sheet of ${plural(other.parts, 'part')} saved at ${formatInstant(other.savedAtMs, other.zone)}`
    : 'another load';

/** Roll: mm that are free and that are asked for. */
type Shortage = { readonly lot: NamedLot; readonly leftMm: number; readonly takesMm: number };

export const CUT_SHEETS = {
  'load-not-laid': ({ problem, settings }: { problem: NestProblem; settings: FormatSettings }) =>
    describeNestProblem(problem, settings),
  'load-not-booked': ({ problem, settings }: { problem: BookingProblem; settings: FormatSettings }) =>
    describeBookingProblem(problem, settings),
  'laying-too-slow': () => 'These pieces take too long to lay out. Send fewer of them at once, or simpler outlines.',
  'booking-too-slow': () =>
    'This load takes too long to check. Divide it into two cut sheets, then cut them one by one.',
  'part-laid-twice': () => 'A part lies in this load twice. Lay it out again.',
  'stray-islands': () => 'Some islands belong to parts that are not in this load. Lay it out again.',
  'piece-cut-already': ({ piece }: { piece: number }) =>
    `Piece ${piece} is cut already, perhaps in another window. Reload, and lay out what still waits.`,
  'piece-on-cutter': ({ piece }: { piece: number }) =>
    `Piece ${piece} is on the cutter at the bench just now. Finish or stop that first.`,
  'piece-not-waiting': ({ piece, order }: { piece: number; order: string }) =>
    `Piece ${piece} of ${order} does not wait to be cut any more, perhaps since another window. Reload, and lay out what still waits.`,
  'piece-on-other-sheet': ({
    part,
    other,
  }: {
    part: { pieceNumber: number; title: string } | null;
    other: OtherSheet;
  }) =>
    `${part ? `Piece ${part.pieceNumber} of ${part.title}` : 'One of these parts'} lies on ${nameSheet(other)} already. Open that one, or discard it first.`,
  'roll-short': ({ lot, leftMm, takesMm }: Shortage) =>
    `${nameLot(lot)} has ${Math.floor(leftMm)} mm left, and this takes ${Math.ceil(takesMm)} mm. Choose other stock, or lay out fewer parts.`,
  'roll-short-meanwhile': ({ lot, leftMm, takesMm }: Shortage) =>
    `${nameLot(lot)} has ${leftMm} mm left, and the load takes ${takesMm} mm. Another window may have cut from it: reload, and lay it out again.`,
  'roll-claimed': ({ lot, leftMm, takesMm, other }: Shortage & { readonly other: OtherSheet }) =>
    `Of ${nameLot(lot)} ${Math.floor(leftMm)} mm are free beside ${nameSheet(other)}, and this takes ${Math.ceil(takesMm)} mm. Choose other stock, or lay out fewer parts.`,
  'sheet-gone': ({ lot }: { lot: NamedLot }) =>
    `${nameLot(lot)} is gone: it was cut from or counted off meanwhile. Choose other stock, and lay out again.`,
  'sheet-cut-meanwhile': ({ lot }: { lot: NamedLot }) =>
    `${nameLot(lot)} is gone: another load was cut from it. Reload, and lay out again.`,
  'sheet-claimed': ({ lot, other }: { lot: NamedLot; other: OtherSheet }) =>
    `${nameLot(lot)} is taken by ${nameSheet(other)}. Choose other stock, or discard that sheet first.`,
  'leftovers-too-large': ({ lot }: { lot: NamedLot }) =>
    `${nameLot(lot)}: what is to be saved of it is more than it can have left. Lay the load out again.`,
};
