import { expect, it } from 'vitest';
import { listMonths } from './day';

const at = (text: string) => Date.parse(text);

it('lists months backwards, over the turn of a year, each up to the next', () => {
  const months = listMonths(at('2027-01-31T12:00:00Z'), 'UTC', 3);
  expect(months.map(({ month }) => month)).toEqual(['2027-01', '2026-12', '2026-11']);
  expect(months[0]).toMatchObject({ fromMs: at('2027-01-01T00:00:00Z'), untilMs: at('2027-02-01T00:00:00Z') });
  expect(months[1]!.untilMs).toBe(months[0]!.fromMs);
  expect(months[2]!.fromMs).toBe(at('2026-11-01T00:00:00Z'));
});

it('goes by the clock of the place', () => {
  // Already April there, and an hour less than in winter.
  const [april, march] = listMonths(at('2026-03-31T22:30:00Z'), 'Europe/Berlin', 2);
  expect(april!.month).toBe('2026-04');
  expect(april!.fromMs).toBe(at('2026-03-31T22:00:00Z'));
  expect(march!.fromMs).toBe(at('2026-02-28T23:00:00Z'));
});
