// Refusals of orders and of the work on them at the bench.

import type { FitProblem } from '../../core/artwork';
import { ORDER_MOVES, type OrderMove, type OrderStage, type PartState, type Station } from '../../core/orders';
import type { CustomersProblem } from '../../core/rosters';
import { formatDay, formatMoney, type FormatSettings } from '../../core/units';
import { describeFitProblem } from '../lettering';
import { describeMoveRefusal, STATE_NAMES, STATION_NAMES } from '../stations';

/** `earliest`: ISO day, by hours, waiting orders and deliveries; null where a year does not suffice. */
type EarlyDay = { readonly earliest: string | null; readonly locale: string };
const nameEarliest = (day: string | null, locale: string) =>
  day ? ` The earliest possible is ${formatDay(day, { locale })}.` : '';

export const ORDERS = {
  'due-past': ({ earliest, locale }: EarlyDay) =>
    `That day is past.${nameEarliest(earliest, locale)} Choose another, or take the order all the same.`,
  'due-too-early': ({ earliest, locale }: EarlyDay) =>
    `It can’t be ready by then.${nameEarliest(earliest, locale)} Choose that one or a later one, or take the order all the same.`,
  'order-move-refused': ({ move, stage }: { move: OrderMove; stage: OrderStage }) => describeMoveRefusal(move, stage),
  'order-still-owed': ({ owed, settings }: { owed: number; settings: FormatSettings }) =>
    `${formatMoney(owed, settings)} of it is still owed. Note the payment first, or close it and give that up.`,
  'no-step-to-undo': () =>
    'There is no step to take back: the order was only taken, or its work has begun since. To give it up, cancel it.',
  'no-such-move': () => `No such step. There are: ${ORDER_MOVES.join(', ')} and undo.`,
  'pieces-begun': ({ pieces }: { pieces: readonly number[] }) =>
    `${pieces.length === 1 ? `Piece ${pieces[0]} is begun` : `Pieces ${pieces.join(', ')} are begun`} and would not be wanted any more. Keep ${pieces.length === 1 ? 'it as a spare' : 'them as spares'}, or book ${pieces.length === 1 ? 'it' : 'them'} as spoiled.`,
  'line-gone': () => 'A line of this order is gone, perhaps by a change in another window. Reload to see it as it is.',
  'which-customer': ({ name, contacts }: { name: string; contacts: readonly string[] }) =>
    `${contacts.length} customers are called ${name}: ${contacts.map((contact) => contact || 'no contact').join('; ')}. Write how this one is reached.`,
  'refund-too-much': ({ paid, settings }: { paid: number; settings: FormatSettings }) =>
    `Only ${formatMoney(paid, settings)} was paid: no more than that can go back.`,
  'payment-taken-back': () => 'This payment was taken back before.',
  'text-unread': (d: { order: number; title: string; texts: readonly string[] }) =>
    `Nobody has compared ${d.texts.length === 1 ? `“${d.texts[0]}”` : `${d.texts.length} texts`} of “${d.title}” with the customer’s words. Read ${d.texts.length === 1 ? 'it' : 'them'} back first, or say why it is cut all the same.`,
  'text-not-set': (d: { label: string; text: string; problem: FitProblem }) =>
    `${d.label} “${d.text}”: ${describeFitProblem(d.problem)}`,
  'texts-too-slow': () => 'Setting these texts takes too long. Take fewer at once.',
  'order-not-in-hand': ({ stage, title }: { stage: OrderStage; title: string }) =>
    stage === 'on-hold'
      ? `“${title}” is on hold. Take it up again on its own page first.`
      : `“${title}” is not agreed yet. Approve it on its own page first.`,
  'customers-unreadable': ({ problem }: { problem: CustomersProblem }) =>
    problem.kind === 'empty-list'
      ? 'There is nothing in the table. Its first line names the columns: name, contact, address, note.'
      : `No column is headed “name”. There are: ${problem.columns.join(', ')}. Head the one with the names so.`,
  'proof-none': () => 'No proof was made of this order yet.',
  'proof-approved': () => 'This proof was approved before.',
  'proof-outdated': () => 'The order has changed since this proof was made. Make a new one.',
  'work-on-closed-order': () => 'This order is closed. Take it back or reopen it on its own page first.',
  'station-busy': ({ station }: { station: Station }) =>
    `Something is running at ${STATION_NAMES[station]} already. Finish or stop it first.`,
  'piece-not-ready': (d: { piece: number; station: Station; state: PartState }) =>
    `Piece ${d.piece} is not ready for ${STATION_NAMES[d.station]}: a part of it is ${STATE_NAMES[d.state]}. Reload to see what has changed.`,
  'timer-stopped': () => 'This timer was stopped already, perhaps in another window.',
  'step-taken': () => 'Another window is further with this batch. This one shows it now: nothing was done twice.',
  'piece-not-cut': ({ piece }: { piece: number }) => `Piece ${piece} is not cut yet: there is nothing to spoil.`,
  'nothing-to-undo': () => 'Nothing to take back: these parts have moved on since.',
};
