// Refusals of orders and of the work on them at the bench.

import type { PartState, Station } from '../../core/orders';
import { formatDay } from '../../core/units';
import { STATE_NAMES, STATION_NAMES } from '../stations';

/** `earliest`: ISO day, by hours, waiting orders and deliveries; null where a year does not suffice. */
type EarlyDay = { readonly earliest: string | null; readonly locale: string };
const nameEarliest = (day: string | null, locale: string) =>
  day ? ` The earliest possible is ${formatDay(day, { locale })}.` : '';

export const ORDERS = {
  'due-past': ({ earliest, locale }: EarlyDay) =>
    `That day is past.${nameEarliest(earliest, locale)} Choose another, or take the order all the same.`,
  'due-too-early': ({ earliest, locale }: EarlyDay) =>
    `It can’t be ready by then.${nameEarliest(earliest, locale)} Choose that one or a later one, or take the order all the same.`,
  'order-not-ready': () => 'Only an order that is ready can be collected: finish and check its last parts first.',
  'order-not-collected': () => 'This order is not collected yet.',
  'order-closed': () => 'This order is closed already.',
  'order-not-cancelled': () => 'This order is not cancelled.',
  'no-such-move': () =>
    'An order can be handed over (hand-over), taken back (take-back), cancelled (cancel) or reopened (reopen).',
  'work-on-closed-order': () => 'This order is closed. Take it back or reopen it on its own page first.',
  'station-busy': ({ station }: { station: Station }) =>
    `Something is running at ${STATION_NAMES[station]} already. Finish or stop it first.`,
  'piece-not-ready': (d: { piece: number; station: Station; state: PartState }) =>
    `Piece ${d.piece} is not ready for ${STATION_NAMES[d.station]}: a part of it is ${STATE_NAMES[d.state]}. Reload to see what has changed.`,
  'timer-stopped': () => 'This timer was stopped already, perhaps in another window.',
  'piece-not-cut': ({ piece }: { piece: number }) => `Piece ${piece} is not cut yet: there is nothing to spoil.`,
  'nothing-to-undo': () => 'Nothing to take back: these parts have moved on since.',
};
