// Words for what happens to an order, and the one sentence for a customer who asks.

import type { OrderEventKind, ProofChange, Rest } from '../core/orders';
import { formatInstant, formatDay, type FormatSettings } from '../core/units';
import type { OrderRow } from '../views/orders';
import { plural } from './plural';

const EVENT_NAMES: Readonly<Record<OrderEventKind, string>> = {
  placed: 'Order taken',
  wished: 'Wish noted',
  quoted: 'Quoted',
  approved: 'Approved',
  held: 'Put on hold',
  resumed: 'Taken up again',
  'handed-over': 'Collected',
  sent: 'Sent',
  'taken-back': 'Back to ready',
  closed: 'Closed',
  cancelled: 'Cancelled',
  reopened: 'Reopened',
  changed: 'Changed',
  noted: 'Noted',
  undone: 'Last step taken back',
};
export const describeEvent = ({ kind }: { readonly kind: OrderEventKind }): string => EVENT_NAMES[kind];

/** "Where is my order", answered in one sentence that can be sent as it is. */
export function describeAnswer(
  { row, today }: { readonly row: OrderRow; readonly today: string },
  settings: FormatSettings,
): string {
  const { title, stage, comb, dueDay } = row;
  const due = dueDay === today ? 'today' : `by ${formatDay(dueDay, settings)}`;
  const teeth = comb.flatMap((column) => column.teeth);
  const done = comb.filter((column) => column.teeth.every((tooth) => tooth.state === 'checked')).length;
  const isPressing = teeth.some((tooth) => tooth.state === 'pressed' || tooth.state === 'checked');
  switch (stage) {
    case 'wish':
      return `We have noted your wish “${title}” and will send you a quote.`;
    case 'quoted':
      return `Your quote for “${title}” is with you; once you agree we begin.`;
    case 'approved':
      return `“${title}” is in our queue and will be ready ${due}.`;
    case 'in-work':
      return isPressing
        ? `“${title}” is being pressed: ${done} of ${plural(comb.length, 'piece')} done, ready ${due}.`
        : `“${title}” is being cut and weeded, and will be ready ${due}.`;
    case 'ready':
      return `“${title}” is ready: you can collect it.`;
    case 'collected':
    case 'closed':
      return `“${title}” was handed over.`;
    case 'sent':
      return `“${title}” is on its way to you.`;
    case 'on-hold':
      return `“${title}” is on hold until we hear from you.`;
    case 'cancelled':
      return `“${title}” was cancelled.`;
    default:
      return stage satisfies never;
  }
}

/** What differs from what a customer approved. */
export function describeProofChange(change: ProofChange): string {
  const { line } = change;
  const said = line.texts.map(({ text }) => `“${text}”`).join(' ');
  const what = [line.itemName, line.sizeName, said].filter(Boolean).join(', ');
  switch (change.kind) {
    case 'added':
      return `new: ${plural(line.quantity, 'piece')} of ${what}`;
    case 'removed':
      return `no more: ${what}`;
    case 'drawing':
      return `${what}: the drawing, its size or its place`;
    case 'quantity':
    case 'size':
    case 'colour':
    case 'text':
      return `${what}: ${change.kind} was ${change.was || 'nothing'}, is ${change.now || 'nothing'}`;
    default:
      return change satisfies never;
  }
}

/** What to tell whoever takes it home. */
export const describeRest = ({ kind, untilMs }: Rest, settings: FormatSettings): string =>
  kind === 'cure'
    ? `Its decals cure until ${formatInstant(untilMs, settings)}: say not to wash or use them before.`
    : `It rests until ${formatInstant(untilMs, settings)}: say not to wash it before.`;
