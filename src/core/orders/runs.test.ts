import { expect, it } from 'vitest';
import { groupRuns, keyOfRun } from './runs';

const line = (id: number, itemId: number, texts: readonly string[] = [], options: readonly number[] = []) => ({
  ...{ id, itemId, texts, options },
});

it('names of one item with the same options are one run, in whatever order they were chosen; all else is its own', () => {
  const lines = [
    line(1, 7, ['ASH'], [2, 0]),
    line(2, 7),
    line(3, 7, ['BIRCH'], [0, 2]),
    line(4, 8, ['OAK'], [0, 2]),
    line(5, 7, ['ELM'], [0]),
    line(6, 7),
  ];
  expect(groupRuns(lines).map((run) => run.map(({ id }) => id))).toEqual([[1, 3], [2], [4], [5], [6]]);
});

it('options are told apart by their whole numbers', () => {
  expect(keyOfRun(line(1, 7, ['ASH'], [1, 12]))).not.toBe(keyOfRun(line(2, 7, ['ASH'], [11, 2])));
  expect(keyOfRun(line(1, 7, ['ASH'], [10, 9]))).toBe(keyOfRun(line(2, 7, ['ASH'], [9, 10])));
});
