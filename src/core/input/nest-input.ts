// What a script may ask to have laid out.

import * as yup from 'yup';
import type { Inside } from '../nesting';
import { numberBetween, oneOf, shortText, wholeBetween } from './rules';

const coordinate = (label: string) => numberBetween(label, -100_000, 100_000, 'In mm.');
const ring = yup
  .array(yup.object({ x: coordinate('x'), y: coordinate('y') }))
  .required()
  .min(3, 'Outline: at least three points.')
  .max(20_000, 'Outline: at most 20 000 points.');
const length = (label: string) => numberBetween(label, 1, 100_000, 'In mm.');
const turns = yup
  .mixed<'free' | readonly number[]>()
  .test(
    'turns',
    'Turns: “free”, or up to 360 angles in degrees.',
    (value) =>
      value === 'free' ||
      (Array.isArray(value) &&
        value.length >= 1 &&
        value.length <= 360 &&
        value.every((angle) => Number.isFinite(angle))),
  )
  .default('free');

/** Each kind of stock has its own measures. */
const stock = yup.lazy((value: unknown) => {
  const kind = (value as { kind?: unknown } | null)?.kind,
    id = shortText('Stock', 60);
  if (kind === 'offcut')
    return yup.object({
      kind: oneOf('Stock', ['offcut'] as const),
      id,
      shape: ring,
      spoiledSpots: yup.array(ring).max(50).default([]),
    });
  if (kind === 'sheet')
    return yup.object({
      kind: oneOf('Stock', ['sheet'] as const),
      id,
      widthMm: length('Width'),
      lengthMm: length('Length'),
      count: wholeBetween('Sheets', 1, 200, 'So many there are.'),
    });
  return yup.object({
    kind: oneOf('Stock', ['roll'] as const),
    id,
    widthMm: length('Width'),
    lengthMm: length('Length'),
  });
});

export const nestInput = yup.object({
  pieces: yup
    .array(
      yup.object({
        id: shortText('Piece', 60),
        rings: yup.array(ring).required().min(1, 'Piece: at least one outline.').max(200),
        copies: wholeBetween('Copies', 1, 1000, 'Of one piece.'),
        turns,
      }),
    )
    .required()
    .min(1, 'Pieces: at least one.')
    .max(500, 'Pieces: at most 500.')
    .test(
      'unlike',
      'Pieces: each id once.',
      (pieces) => new Set(pieces.map((piece) => piece.id)).size === pieces.length,
    ),
  stock: yup.array(stock).required().min(1, 'Stock: at least one.').max(100, 'Stock: at most 100.'),
  gapMm: numberBetween('Gap', 0, 100, 'Room for scissors is 6 mm ordinarily.').default(6),
  margins: yup
    .object({
      sideMm: numberBetween('Margin at the sides', 0, 500, 'That the machine does not reach.'),
      endMm: numberBetween('Margin at the ends', 0, 500, 'That the machine does not reach.'),
    })
    .default(() => ({ sideMm: 0, endMm: 0 })),
  inside: oneOf<Inside>('Inside others', ['nothing', 'bays', 'holes']).default('bays'),
  seed: numberBetween('Seed', 0, 1, 'The same gives the same.').default(0.5),
  rounds: wholeBetween('Rounds', 0, 1_000_000, 'Of improvement at most.').default(2000),
  seconds: numberBetween('Seconds', 0, 60, 'Of improvement at most.').default(10),
});
