// Puzzles cut from a full rectangle, so that all of it can be filled: for measuring how tightly the nesting packs.

import { randomLcg } from 'd3-random';
import { getRings, intersectRegions, makeRegion, splitPieces, type Polyline } from '../src/core/geometry';
import type { NestPiece } from '../src/core/nesting';

export type Puzzle = { readonly widthMm: number; readonly lengthMm: number; readonly pieces: readonly NestPiece[] };
const rect = (x: number, y: number, width: number, length: number): Polyline => [
  { x, y },
  { x: x + width, y },
  { x: x + width, y: y + length },
  { x, y: y + length },
];
const toPieces = (rings: readonly Polyline[], turns: NestPiece['turns']): readonly NestPiece[] =>
  rings.map((ring, at) => ({ id: `p${at}`, rings: [ring], copies: 1, turns }));

/** Straight cuts across the largest piece, again and again: all pieces are convex. */
export function cutConvex(
  count: number,
  seed: number,
  turns: NestPiece['turns'] = [0],
  widthMm = 300,
  lengthMm = 400,
): Puzzle {
  const random = randomLcg(seed);
  let rings: Polyline[] = [rect(0, 0, widthMm, lengthMm)];
  const areaOf = (ring: Polyline) =>
    ring.reduce((sum, point, at) => {
      const next = ring[(at + 1) % ring.length]!;
      return sum + (point.x * next.y - next.x * point.y) / 2;
    }, 0);
  while (rings.length < count) {
    rings = [...rings].sort((a, b) => areaOf(b) - areaOf(a));
    const [largest, ...rest] = rings;
    const middle = {
      x: largest!.reduce((sum, p) => sum + p.x, 0) / largest!.length,
      y: largest!.reduce((sum, p) => sum + p.y, 0) / largest!.length,
    };
    const angle = random() * Math.PI,
      far = 2000,
      nx = Math.cos(angle),
      ny = Math.sin(angle);
    const half = (sign: number) => [
      { x: middle.x - ny * far, y: middle.y + nx * far },
      { x: middle.x + ny * far, y: middle.y - nx * far },
      { x: middle.x + ny * far + sign * nx * far, y: middle.y - nx * far + sign * ny * far },
      { x: middle.x - ny * far + sign * nx * far, y: middle.y + nx * far + sign * ny * far },
    ];
    const parts = [1, -1].flatMap((sign) =>
      splitPieces(intersectRegions(makeRegion([largest!]), makeRegion([half(sign)]))).map((piece) => piece.outer),
    );
    rings = [...rest, ...parts.filter((part) => Math.abs(areaOf(part)) > 1)];
  }
  return { widthMm, lengthMm, pieces: toPieces(rings, turns) };
}

/** Guillotine cuts. */
export function cutRectangles(
  count: number,
  seed: number,
  turns: NestPiece['turns'] = [0, 90],
  widthMm = 300,
  lengthMm = 400,
): Puzzle {
  const random = randomLcg(seed);
  let boxes = [{ x: 0, y: 0, width: widthMm, length: lengthMm }];
  while (boxes.length < count) {
    boxes = [...boxes].sort((a, b) => b.width * b.length - a.width * a.length);
    const [box, ...rest] = boxes as [(typeof boxes)[number], ...typeof boxes];
    const across = random() < box.width / (box.width + box.length),
      share = 0.25 + 0.5 * random();
    boxes = across
      ? [
          ...rest,
          { ...box, width: box.width * share },
          { ...box, x: box.x + box.width * share, width: box.width * (1 - share) },
        ]
      : [
          ...rest,
          { ...box, length: box.length * share },
          { ...box, y: box.y + box.length * share, length: box.length * (1 - share) },
        ];
  }
  return {
    widthMm,
    lengthMm,
    pieces: toPieces(
      boxes.map((box) => rect(box.x, box.y, box.width, box.length)),
      turns,
    ),
  };
}

/** A grid whose inner edges bulge with a knob each, out or in. */
export function cutJigsaw(
  columns: number,
  rows: number,
  seed: number,
  turns: NestPiece['turns'] = [0],
  widthMm = 300,
  lengthMm = 400,
): Puzzle {
  const random = randomLcg(seed);
  const cellX = widthMm / columns,
    cellY = lengthMm / rows,
    knob = Math.min(cellX, cellY) * 0.2;
  const lines = new Map<string, Polyline>();
  /** From (x, y) along one cell, with its knob; the same line for both its neighbours. */
  const edge = (kind: 'across' | 'along', column: number, row: number): Polyline => {
    const key = `${kind} ${column} ${row}`,
      known = lines.get(key);
    if (known) return known;
    const from = { x: column * cellX, y: row * cellY },
      length = kind === 'across' ? cellX : cellY;
    const outer = kind === 'across' ? row === 0 || row === rows : column === 0 || column === columns;
    const sign = random() < 0.5 ? 1 : -1,
      middle = length * (0.4 + 0.2 * random());
    const flat = [
      [0, 0],
      ...(outer
        ? []
        : [
            [middle - knob * 0.6, 0],
            ...Array.from({ length: 9 }, (_, at) => {
              const angle = Math.PI * (1.25 - (1.5 * at) / 8);
              return [middle + Math.cos(angle) * knob * 0.8, sign * (knob * 0.75 + Math.sin(angle) * knob * 0.8)];
            }),
            [middle + knob * 0.6, 0],
          ]),
      [length, 0],
    ] as [number, number][];
    const line = flat.map(([s, t]) =>
      kind === 'across' ? { x: from.x + s, y: from.y + t } : { x: from.x + t, y: from.y + s },
    );
    lines.set(key, line);
    return line;
  };
  const rings = Array.from({ length: columns * rows }, (_, at): Polyline => {
    const column = at % columns,
      row = Math.floor(at / columns);
    return [
      ...edge('across', column, row).slice(0, -1),
      ...edge('along', column + 1, row).slice(0, -1),
      ...[...edge('across', column, row + 1)].reverse().slice(0, -1),
      ...[...edge('along', column, row)].reverse().slice(0, -1),
    ];
  });
  return {
    widthMm,
    lengthMm,
    pieces: toPieces(
      rings.flatMap((ring) => getRings(makeRegion([ring])).slice(0, 1)),
      turns,
    ),
  };
}
