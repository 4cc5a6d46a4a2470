// Steps of an order, as their buttons are called.

import type { OrderMove } from '../core/orders';

export const MOVE_NAMES: Readonly<Record<OrderMove, string>> = {
  quote: 'Mark as quoted',
  approve: 'Mark as approved',
  hold: 'Put on hold',
  resume: 'Take it up again',
  'hand-over': 'Mark as collected',
  send: 'Mark as sent',
  'take-back': 'Not collected yet',
  close: 'Close',
  cancel: 'Cancel order',
  reopen: 'Reopen',
};
/** The same once it is done. */
export const MOVE_DONE: Readonly<Record<OrderMove | 'undo', string>> = {
  quote: 'quoted',
  approve: 'approved',
  hold: 'on hold',
  resume: 'taken up again',
  'hand-over': 'collected',
  send: 'sent',
  'take-back': 'back to ready',
  close: 'closed',
  cancel: 'cancelled',
  reopen: 'open again',
  undo: 'taken back',
};
