import { expect, it } from 'vitest';
import { sumLooks, type LookKind } from '../core/pressing';
import { describeLooks } from './recipes';

const tell = (...looks: readonly (readonly [LookKind, number, number])[]) =>
  describeLooks(sumLooks(looks.map(([kind, pieces, washes]) => ({ kind, pieces, washes, day: '2026-11-01' }))));

it.each([
  [tell(), 'Nobody has looked at any since.'],
  [tell(['worn', 1, 0]), '1 piece looked at, all fine.'],
  [tell(['worn', 9, 0], ['washed', 4, 12]), '13 pieces looked at, all fine, washed up to 12 times.'],
  [tell(['washed', 4, 1]), '4 pieces looked at, all fine, washed up to once.'],
  [
    tell(['lifted', 2, 5], ['washed', 3, 8]),
    '2 of 5 failed, the first after 5 washes; the others are fine, washed up to 8 times.',
  ],
  [tell(['cracked', 1, 12]), '1 of 1 failed, the first after 12 washes.'],
  [tell(['marked', 1, 0], ['fine', 2, 0]), '1 of 3 failed; the others are fine.'],
])('%s', (told, words) => expect(told).toBe(words));
