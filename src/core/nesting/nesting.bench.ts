// How tightly, and how fast. Each line prints what was reached against its limit; `docs/benchmarks.md` keeps the
// figures.

import { MaxRectsPacker } from 'maxrects-packer';
import { bench, describe } from 'vitest';
import { cutConvex, cutJigsaw, cutRectangles, type Puzzle } from '../../../test/puzzles';
import { mixRealShapes } from '../../../test/real-shapes';
import { checkLayout, nest, type NestOptions, type NestPiece, type NestStock } from './index';

const once = { iterations: 1, time: 0, warmupIterations: 0, warmupTime: 0 };
const clock = { rounds: 1e9, now: () => performance.now() };

async function solve(puzzle: Puzzle, timeMs: number): Promise<number> {
  const stock: NestStock[] = [{ kind: 'roll', id: 'r', widthMm: puzzle.widthMm, lengthMm: puzzle.lengthMm * 3 }],
    margins = { sideMm: 0, endMm: 0 };
  const result = await nest(puzzle.pieces, stock, { gapMm: 0, margins, inside: 'bays', seed: 0.3, timeMs, ...clock });
  if (!result.ok) throw new Error(result.problem.kind);
  const faults = checkLayout(puzzle.pieces, stock, result.value, { gapMm: 0, margins });
  if (faults.length > 0) throw new Error(`${faults.length} faults`);
  return result.value.density;
}

const PUZZLES: readonly (readonly [string, number, readonly Puzzle[]])[] = [
  ['convex, 20 to 40 pieces', 0.88, [cutConvex(20, 0.1), cutConvex(30, 0.2), cutConvex(36, 0.45), cutConvex(40, 0.55)]],
  ['convex, turned freely', 0.88, [cutConvex(24, 0.15, 'free'), cutConvex(32, 0.35, 'free')]],
  ['rectangles, 10 to 30', 0.94, [cutRectangles(12, 0.1), cutRectangles(20, 0.2), cutRectangles(30, 0.3)]],
  ['jigsaw', 0.85, [cutJigsaw(4, 5, 0.1), cutJigsaw(5, 6, 0.2)]],
];

describe('puzzles, 30 s each', () => {
  for (const [name, limit, puzzles] of PUZZLES) {
    bench(
      name,
      async () => {
        const reached: number[] = [];
        for (const puzzle of puzzles) reached.push(await solve(puzzle, 30_000));
        process.stdout.write(
          `${name}: ${reached.map((share) => `${(share * 100).toFixed(1)} %`).join(', ')}, at least ${limit * 100} %\n`,
        );
      },
      once,
    );
  }
});

const REAL: Omit<NestOptions, 'rounds'> = { gapMm: 6, margins: { sideMm: 10, endMm: 10 }, inside: 'bays', seed: 0.3 };
const ROLL: NestStock = { kind: 'roll', id: 'r', widthMm: 305, lengthMm: 60_000 };

/** The strip that a kept rectangle packer needs for the outer boxes, with the same gap and margins. */
function packBoxes(pieces: readonly NestPiece[]): number {
  const boxes = pieces.map(({ rings: [ring] }) => {
    const xs = ring!.map((point) => point.x),
      ys = ring!.map((point) => point.y);
    return {
      width: Math.max(...xs) - Math.min(...xs) + REAL.gapMm,
      height: Math.max(...ys) - Math.min(...ys) + REAL.gapMm,
    };
  });
  for (let length = 100; ; length = length * 1.01 + 1) {
    const packer = new MaxRectsPacker(305 - 2 * REAL.margins.sideMm + REAL.gapMm, length, 0, {
      smart: false,
      pot: false,
      square: false,
      allowRotation: true,
    });
    for (const box of boxes) packer.add(box.width, box.height, null);
    if (packer.bins.length === 1)
      return (
        Math.max(...packer.bins[0]!.rects.map((rect) => rect.y + rect.height)) - REAL.gapMm + 2 * REAL.margins.endMm
      );
  }
}

describe('silhouettes and lettering on a roll of 305 mm', () => {
  bench(
    'ten mixes of 30, 60 s each, against boxes',
    async () => {
      const shorter: number[] = [];
      for (let mix = 1; mix <= 10; mix++) {
        const pieces = mixRealShapes(30, mix / 11),
          result = await nest(pieces, [ROLL], { ...REAL, timeMs: 60_000, ...clock });
        if (result.ok) shorter.push(1 - result.value.usedLengthMm / packBoxes(pieces));
      }
      process.stdout.write(
        `shorter than boxes: median ${(((shorter.sort((a, b) => a - b)[4]! + shorter[5]!) / 2) * 100).toFixed(1)} %, of ${shorter.map((share) => `${(share * 100).toFixed(1)} %`).join(', ')}; at least 20 %\n`,
      );
    },
    once,
  );

  for (const [count, limitMs] of [
    [60, 1000],
    [300, 5000],
  ] as const) {
    const pieces = mixRealShapes(count, 0.4);
    bench(
      `first layout of ${count}`,
      async () => {
        const startMs = performance.now();
        await nest(pieces, [ROLL], { ...REAL, rounds: 0 });
        process.stdout.write(
          `first layout of ${count}: ${((performance.now() - startMs) / limitMs).toFixed(2)} of its limit of ${limitMs} ms\n`,
        );
      },
      once,
    );
  }
});
