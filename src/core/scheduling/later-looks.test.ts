import { expect, it } from 'vitest';
import { proposeLooks } from './later-looks';

it('a pressed piece is looked at after a day, a week, five washes, three months of wear, twenty washes', () => {
  // By hand from 20 January 2026: February has 28 days.
  expect(proposeLooks('2026-01-20')).toEqual([
    { reason: 'edges', washes: 0, dueDay: '2026-01-21' },
    { reason: 'warmth', washes: 0, dueDay: '2026-01-27' },
    { reason: 'wash', washes: 1, dueDay: '2026-01-27' },
    { reason: 'wash', washes: 5, dueDay: '2026-02-24' },
    { reason: 'wear', washes: 0, dueDay: '2026-04-20' },
    { reason: 'wash', washes: 20, dueDay: '2026-06-09' },
  ]);
});
