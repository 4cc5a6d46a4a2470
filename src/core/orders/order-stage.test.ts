// Where an order stands, and every step from every stage.

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  decideMove,
  decideStage,
  decideStanding,
  findUndoable,
  holdsMaterial,
  isInHand,
  isOver,
  listMoves,
  ORDER_MOVES,
  ORDER_STAGES,
  type OrderEvent,
  type OrderEventKind,
  type OrderMove,
  type OrderStage,
  type PartState,
} from './index';

/** Ids follow the order of the kinds; `undone: n` takes the nth back, from 1. */
const tell = (...kinds: readonly (OrderEventKind | { readonly undone: number })[]): readonly OrderEvent[] =>
  kinds.map((kind, at) =>
    typeof kind === 'string' ? { id: at + 1, kind, undoes: null } : { id: at + 1, kind: 'undone', undoes: kind.undone },
  );
const UNTOUCHED: readonly PartState[] = ['to-cut', 'to-cut'];
const DONE: readonly PartState[] = ['checked', 'checked'];

/** For each stage what leads there: events, and where the parts are. */
const WAYS: Readonly<Record<OrderStage, readonly [readonly OrderEvent[], readonly PartState[]]>> = {
  wish: [tell('wished'), UNTOUCHED],
  quoted: [tell('wished', 'quoted'), UNTOUCHED],
  approved: [tell('wished', 'quoted', 'approved'), UNTOUCHED],
  'in-work': [tell('placed'), ['cut', 'to-cut']],
  ready: [tell('placed'), DONE],
  collected: [tell('placed', 'handed-over'), DONE],
  sent: [tell('placed', 'sent'), DONE],
  closed: [tell('placed', 'handed-over', 'closed'), DONE],
  'on-hold': [tell('placed', 'held'), UNTOUCHED],
  cancelled: [tell('placed', 'cancelled'), UNTOUCHED],
};

/** Where each step leads from each stage; what is not named is refused. On hold, an order goes on where it was. */
const LEADS: Readonly<Record<OrderStage, Partial<Record<OrderMove, OrderStage>>>> = {
  wish: { quote: 'quoted', approve: 'approved', hold: 'on-hold', cancel: 'cancelled' },
  quoted: { quote: 'quoted', approve: 'approved', hold: 'on-hold', cancel: 'cancelled' },
  approved: { hold: 'on-hold', cancel: 'cancelled' },
  'in-work': { hold: 'on-hold', cancel: 'cancelled' },
  ready: { hold: 'on-hold', 'hand-over': 'collected', send: 'sent', cancel: 'cancelled' },
  collected: { 'take-back': 'ready', close: 'closed' },
  sent: { 'take-back': 'ready', close: 'closed' },
  closed: { reopen: 'collected' },
  'on-hold': { resume: 'approved', cancel: 'cancelled' },
  cancelled: { reopen: 'approved' },
};

describe('stages', () => {
  it.each(ORDER_STAGES.map((stage) => [stage]))('%s is told from events and parts', (stage) =>
    expect(decideStage(...WAYS[stage])).toBe(stage),
  );

  it('keeps to its slowest part, and no part at all is nothing begun', () => {
    expect(decideStage(tell('placed'), ['checked', 'weeded'])).toBe('in-work');
    expect(decideStage(tell('placed'), [])).toBe('approved');
  });

  it('a wish with parts that are done is still a wish', () => expect(decideStage(tell('wished'), DONE)).toBe('wish'));

  it('cancelled comes before closed, closed before handed over, that before on hold', () => {
    expect(decideStage(tell('placed', 'held', 'handed-over', 'closed', 'cancelled'), DONE)).toBe('cancelled');
    expect(decideStage(tell('placed', 'held', 'handed-over', 'closed'), DONE)).toBe('closed');
    expect(decideStage(tell('placed', 'held', 'handed-over'), DONE)).toBe('collected');
  });
});

describe('every step from every stage', () => {
  const pairs = ORDER_STAGES.flatMap((stage) => ORDER_MOVES.map((move) => [stage, move] as const));
  it.each(pairs)('%s, %s', (stage, move) => {
    const [events, states] = WAYS[stage];
    const decided = decideMove(move, { stage, owed: 0, owedGivenUp: false });
    const leads = LEADS[stage][move];
    if (leads === undefined) {
      expect(decided).toEqual({ ok: false, problem: { kind: 'no-such-step', move, stage } });
      expect(listMoves(stage)).not.toContain(move);
      return;
    }
    expect(listMoves(stage)).toContain(move);
    if (!decided.ok) throw new Error(`${move} is refused from ${stage}`);
    const after = [...events, { id: events.length + 1, kind: decided.value, undoes: null }];
    expect(decideStage(after, states)).toBe(leads);
    // Taken back, it is where it was.
    const last = findUndoable(after, states);
    expect(last?.id).toBe(events.length + 1);
    const undone = [...after, { id: after.length + 1, kind: 'undone' as const, undoes: last!.id }];
    expect(decideStage(undone, states)).toBe(stage);
    expect(decideStanding(undone)).toBe(decideStanding(events));
  });

  it('closes what is owed only where that is given up', () => {
    expect(decideMove('close', { stage: 'sent', owed: 1, owedGivenUp: false })).toEqual({
      ok: false,
      problem: { kind: 'still-owed', owed: 1 },
    });
    expect(decideMove('close', { stage: 'sent', owed: 1, owedGivenUp: true })).toEqual({ ok: true, value: 'closed' });
  });
});

describe('taking a step back', () => {
  it('is not for taking the order itself, nor for an approval after work began', () => {
    expect(findUndoable(tell('placed'), UNTOUCHED)).toBeNull();
    expect(findUndoable(tell('wished'), UNTOUCHED)).toBeNull();
    expect(findUndoable(tell('wished', 'approved'), ['cut'])).toBeNull();
    expect(findUndoable(tell('wished', 'approved'), UNTOUCHED)?.id).toBe(2);
  });

  it('passes over what only tells something, and goes one step further each time', () => {
    const events = tell('wished', 'quoted', 'noted', 'held', 'changed');
    expect(findUndoable(events, UNTOUCHED)?.id).toBe(4);
    expect(findUndoable(tell('wished', 'quoted', 'noted', 'held', { undone: 4 }), UNTOUCHED)?.id).toBe(2);
  });
});

it('what is held for an order, what may be worked on, and what has left', () => {
  const those = (is: (stage: OrderStage) => boolean) => ORDER_STAGES.filter(is);
  expect(those(isInHand)).toEqual(['approved', 'in-work']);
  expect(those(holdsMaterial)).toEqual(['approved', 'in-work', 'ready', 'on-hold']);
  expect(those(isOver)).toEqual(['collected', 'sent', 'closed', 'cancelled']);
});

it('however it goes, standing and stage agree on whether it has left the shop', () => {
  const kind = fc.constantFrom<OrderEventKind>(
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
    'noted',
  );
  fc.assert(
    fc.property(fc.array(kind, { maxLength: 12 }), (kinds) => {
      const events = tell('wished', ...kinds);
      expect(decideStanding(events) === 'open').toBe(!isOver(decideStage(events, DONE)));
    }),
  );
});
