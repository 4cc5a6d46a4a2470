// Where an order stands, from what happened to it and to its parts, and which steps make sense from there.

import { fail, succeed, type Result } from '../units';
import { findSlowest, type PartState } from './part';

export const ORDER_STAGES = [
  'wish',
  'quoted',
  'approved',
  'in-work',
  'ready',
  'collected',
  'sent',
  'closed',
  'on-hold',
  'cancelled',
] as const;
export type OrderStage = (typeof ORDER_STAGES)[number];

/**
 * 'placed' is an order that was agreed at once; 'wished' one that is talked about. 'changed' and 'noted' tell something
 * and move nothing; 'undone' takes another step back.
 */
export type OrderEventKind =
  | 'placed'
  | 'wished'
  | 'quoted'
  | 'approved'
  | 'held'
  | 'resumed'
  | 'handed-over'
  | 'sent'
  | 'taken-back'
  | 'closed'
  | 'cancelled'
  | 'reopened'
  | 'changed'
  | 'noted'
  | 'undone';

export type OrderEvent = {
  readonly id: number;
  readonly kind: OrderEventKind;
  /** For 'undone': the step taken back. */
  readonly undoes: number | null;
};

export const ORDER_MOVES = [
  'quote',
  'approve',
  'hold',
  'resume',
  'hand-over',
  'send',
  'take-back',
  'close',
  'cancel',
  'reopen',
] as const;
export type OrderMove = (typeof ORDER_MOVES)[number];

type MoveRule = { readonly from: readonly OrderStage[]; readonly event: OrderEventKind };
/** From where each step makes sense. A second quote replaces the first. */
const MOVE_RULES: Readonly<Record<OrderMove, MoveRule>> = {
  quote: { from: ['wish', 'quoted'], event: 'quoted' },
  approve: { from: ['wish', 'quoted'], event: 'approved' },
  hold: { from: ['wish', 'quoted', 'approved', 'in-work', 'ready'], event: 'held' },
  resume: { from: ['on-hold'], event: 'resumed' },
  'hand-over': { from: ['ready'], event: 'handed-over' },
  send: { from: ['ready'], event: 'sent' },
  'take-back': { from: ['collected', 'sent'], event: 'taken-back' },
  close: { from: ['collected', 'sent'], event: 'closed' },
  cancel: { from: ['wish', 'quoted', 'approved', 'in-work', 'ready', 'on-hold'], event: 'cancelled' },
  reopen: { from: ['closed', 'cancelled'], event: 'reopened' },
};

export type MoveProblem =
  | { readonly kind: 'no-such-step'; readonly move: OrderMove; readonly stage: OrderStage }
  /** Handed over and not paid: closing it gives up what is owed. */
  | { readonly kind: 'still-owed'; readonly owed: number };

/** What a step makes of an order. `owed`: minor units; `owedGivenUp`: closing it all the same is meant. */
export function decideMove(
  move: OrderMove,
  { stage, owed, owedGivenUp }: { readonly stage: OrderStage; readonly owed: number; readonly owedGivenUp: boolean },
): Result<OrderEventKind, MoveProblem> {
  const { from, event } = MOVE_RULES[move];
  if (!from.includes(stage)) return fail({ kind: 'no-such-step', move, stage });
  if (move === 'close' && owed > 0 && !owedGivenUp) return fail({ kind: 'still-owed', owed });
  return succeed(event);
}

/** The steps that make sense, in their usual order. */
export const listMoves = (stage: OrderStage): readonly OrderMove[] =>
  ORDER_MOVES.filter((move) => MOVE_RULES[move].from.includes(stage));

type Talks = 'wish' | 'quoted' | 'approved';
type Way = {
  readonly talks: Talks;
  readonly held: boolean;
  readonly out: 'collected' | 'sent' | null;
  readonly closed: boolean;
  readonly cancelled: boolean;
};
const BEGUN: Way = { talks: 'approved', held: false, out: null, closed: false, cancelled: false };

/** The events that count, in order: without those taken back. */
function listLiveEvents<Event extends OrderEvent>(events: readonly Event[]): readonly Event[] {
  const undone = new Set(events.flatMap(({ kind, undoes }) => (kind === 'undone' && undoes !== null ? [undoes] : [])));
  return events.filter(({ id, kind }) => kind !== 'undone' && !undone.has(id));
}

function advance(way: Way, kind: OrderEventKind): Way {
  switch (kind) {
    case 'placed':
    case 'approved':
      return { ...way, talks: 'approved' };
    case 'wished':
      return { ...way, talks: 'wish' };
    case 'quoted':
      return { ...way, talks: 'quoted' };
    case 'held':
      return { ...way, held: true };
    case 'resumed':
      return { ...way, held: false };
    case 'handed-over':
      return { ...way, out: 'collected' };
    case 'sent':
      return { ...way, out: 'sent' };
    case 'taken-back':
      return { ...way, out: null };
    case 'closed':
      return { ...way, closed: true };
    case 'cancelled':
      return { ...way, cancelled: true };
    case 'reopened':
      return { ...way, closed: false, cancelled: false };
    case 'changed':
    case 'noted':
    case 'undone':
      return way;
    default:
      return kind satisfies never;
  }
}

const walk = (events: readonly OrderEvent[]): Way =>
  listLiveEvents(events).reduce((way, { kind }) => advance(way, kind), BEGUN);

/** An order is as far as its slowest part: ready only when every part is checked. */
export function decideStage(events: readonly OrderEvent[], states: readonly PartState[]): OrderStage {
  const { talks, held, out, closed, cancelled } = walk(events);
  if (cancelled) return 'cancelled';
  if (closed) return 'closed';
  if (out) return out;
  if (held) return 'on-hold';
  if (talks !== 'approved') return talks;
  if (states.length > 0 && findSlowest(states) === 'checked') return 'ready';
  return states.every((state) => state === 'to-cut') ? 'approved' : 'in-work';
}

/** Whether anything is still to be done for it, by its events alone. */
export function decideStanding(events: readonly OrderEvent[]): 'open' | 'handed-over' | 'closed' | 'cancelled' {
  const { out, closed, cancelled } = walk(events);
  if (cancelled) return 'cancelled';
  if (closed) return 'closed';
  return out ? 'handed-over' : 'open';
}

/** Parts of such an order may be cut, weeded, pressed and checked. */
export const isInHand = (stage: OrderStage): boolean => stage === 'approved' || stage === 'in-work';
/** Its vinyl and blanks are held for it. */
export const holdsMaterial = (stage: OrderStage): boolean =>
  isInHand(stage) || stage === 'ready' || stage === 'on-hold';
/** It has left the shop, or never will. */
export const isOver = (stage: OrderStage): boolean =>
  stage === 'collected' || stage === 'sent' || stage === 'closed' || stage === 'cancelled';

const UNDOABLE: ReadonlySet<OrderEventKind> = new Set([
  'quoted',
  'approved',
  'held',
  'resumed',
  'handed-over',
  'sent',
  'taken-back',
  'closed',
  'cancelled',
  'reopened',
]);

/**
 * The last step, if it can be taken back: an approval can't once anything was cut after it. Null where there is none.
 */
export function findUndoable<Event extends OrderEvent>(
  events: readonly Event[],
  states: readonly PartState[],
): Event | null {
  const last = listLiveEvents(events)
    .filter(({ kind }) => kind !== 'changed' && kind !== 'noted')
    .at(-1);
  if (!last || !UNDOABLE.has(last.kind)) return null;
  return last.kind === 'approved' && states.some((state) => state !== 'to-cut') ? null : last;
}
