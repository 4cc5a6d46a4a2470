import { expect, it } from 'vitest';
import { findRests, type RestingPart } from './index';

const HOUR = 3_600_000;
const part = (kind: RestingPart['kind'], atHour: number): RestingPart => ({ kind, doneAtMs: atHour * HOUR });

it('the last decal tells until when all cure, the last press until when none is washed', () => {
  const parts = [part('cure', 1), part('cure', 3), part('rest', 2)];
  expect(findRests(parts, 5 * HOUR)).toEqual([
    { kind: 'cure', untilMs: 27 * HOUR },
    { kind: 'rest', untilMs: 26 * HOUR },
  ]);
});

it('what is over is not told', () => {
  expect(findRests([part('cure', 1), part('rest', 3)], 25 * HOUR)).toEqual([{ kind: 'rest', untilMs: 27 * HOUR }]);
  expect(findRests([part('rest', 3)], 27 * HOUR)).toEqual([]);
  expect(findRests([], 0)).toEqual([]);
});
