// What of a part is made anew: kept step by step, it is what the whole story says.

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { advancePart, foldPart, shareOfRecut, UNTOUCHED_PART, type PartEvent } from './index';

const BITS = { bits: [0, 2], of: 6 };
type Step = Pick<PartEvent, 'kind'> & { readonly recut?: PartEvent['recut'] };
const toEvents = (steps: readonly Step[]): readonly PartEvent[] =>
  steps.map((step, at) => ({
    id: at + 1,
    partId: 1,
    atMs: at,
    undoes: null,
    cause: step.kind === 'spoiled' ? 'lifted' : null,
    blankLost: false,
    ...step,
  }));
const recutAfter = (...steps: readonly Step[]) => foldPart(toEvents(steps)).recut;

describe('bits that are made anew', () => {
  it('stay so while they are cut and weeded, and are whole again once pressed', () => {
    const spoiled = { kind: 'spoiled', recut: BITS } as const;
    expect(recutAfter({ kind: 'cut' }, spoiled)).toEqual(BITS);
    expect(recutAfter({ kind: 'cut' }, spoiled, { kind: 'cut' }, { kind: 'weeded' })).toEqual(BITS);
    expect(recutAfter({ kind: 'cut' }, spoiled, { kind: 'cut' }, { kind: 'weeded' }, { kind: 'pressed' })).toBeNull();
    expect(recutAfter({ kind: 'cut' }, spoiled, { kind: 'cut' }, { kind: 'spoiled' })).toBeNull();
  });

  it('come back where the step that took their place is taken back', () => {
    const events = toEvents([{ kind: 'cut' }, { kind: 'spoiled', recut: BITS }, { kind: 'spoiled' }]);
    const undone: PartEvent = { ...events[0]!, id: 9, kind: 'undone', undoes: 3 };
    expect(foldPart(events).recut).toBeNull();
    expect(foldPart([...events, undone]).recut).toEqual(BITS);
  });

  it('take their share', () => {
    expect(shareOfRecut(BITS)).toBeCloseTo(1 / 3, 12);
    expect(shareOfRecut(null)).toBe(1);
  });

  it('are the same kept with each step as told from all of them', () => {
    const step = fc.oneof(
      fc.constantFrom<Step>({ kind: 'cut' }, { kind: 'weeded' }, { kind: 'pressed' }, { kind: 'checked' }),
      fc.constantFrom<Step>({ kind: 'spoiled' }, { kind: 'spoiled', recut: BITS }),
    );
    fc.assert(
      fc.property(fc.array(step, { minLength: 1, maxLength: 12 }), (steps) => {
        const kept = toEvents(steps).reduce(
          (part, { kind, recut }) => (kind === 'undone' ? part : advancePart(part, { kind, recut: recut ?? null })),
          UNTOUCHED_PART,
        );
        const { state, broken, recut } = foldPart(toEvents(steps));
        expect(kept).toEqual({ state, broken, recut });
      }),
    );
  });
});
