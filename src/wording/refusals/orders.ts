// Refusals of orders and of the work on them at the bench.

import type { PartState, Station } from '../../core/orders';
import { STATE_NAMES, STATION_NAMES } from '../stations';

export const ORDERS = {
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
