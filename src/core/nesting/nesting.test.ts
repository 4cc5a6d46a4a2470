import fc from 'fast-check';
import { randomLcg } from 'd3-random';
import { describe, expect, it } from 'vitest';
import { computeRegionArea, makeRegion, offsetRegion, subtractRegions, type Polyline } from '../geometry';
import { nest, place, type NestLayout, type NestPiece, type NestStock } from './index';
import { growOutward } from './prepare-pieces';
import { box, TRIANGLE, piece, roll, OPTIONS, lay, faultsOf } from './nesting-examples';

const ELL: Polyline = [
  { x: 0, y: 0 },
  { x: 60, y: 0 },
  { x: 60, y: 20 },
  { x: 20, y: 20 },
  { x: 20, y: 60 },
  { x: 0, y: 60 },
];

/** A star of random spikes: never convex, never crossing itself. */
function star(seed: number, corners: number, size: number): Polyline {
  const random = randomLcg(seed);
  return Array.from({ length: corners }, (_, at) => {
    const radius = size * (0.35 + 0.65 * random()),
      angle = (2 * Math.PI * at) / corners;
    return { x: size + Math.cos(angle) * radius, y: size + Math.sin(angle) * radius };
  });
}

describe('a layout', () => {
  it('is valid whatever the pieces, gap and seed: every copy lies once, gaps and margins are kept', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(
          fc.record({
            seed: fc.double({ min: 0.01, max: 0.99, noNaN: true }),
            corners: fc.integer({ min: 3, max: 30 }),
            size: fc.integer({ min: 8, max: 55 }),
            copies: fc.integer({ min: 1, max: 3 }),
          }),
          { minLength: 1, maxLength: 6 },
        ),
        fc.constantFrom(0, 2, 6),
        fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        async (wishes, gapMm, seed) => {
          const pieces = wishes.map((wish, at) => ({
            ...piece(`s${at}`, star(wish.seed, wish.corners, wish.size), wish.copies),
          }));
          const layout = await lay(pieces, [roll()], { gapMm, seed, rounds: 12 });
          expect(layout.left).toEqual([]);
          expect(layout.placements).toHaveLength(wishes.reduce((sum, wish) => sum + wish.copies, 0));
          expect(faultsOf(pieces, [roll()], layout, { gapMm })).toEqual([]);
        },
      ),
      { numRuns: 12 },
    );
  }, 60_000);

  it('is the same for the same seed, and never gets worse while it is bettered', async () => {
    const pieces = [piece('ell', ELL, 6), piece('triangle', TRIANGLE, 6), piece('box', box(45, 25), 4)];
    const lengths: number[] = [];
    const first = await nest(pieces, [roll()], OPTIONS, (layout) => lengths.push(layout.usedLengthMm));
    expect(first).toEqual(await nest(pieces, [roll()], OPTIONS));
    expect(lengths).toEqual([...lengths].sort((a, b) => b - a));
    expect(first.ok && first.value.usedLengthMm).toBe(lengths.at(-1));
    expect((await lay(pieces, [roll()], { rounds: 0 })).usedLengthMm).toBe(lengths[0]);
  });

  it('a stop keeps the best so far', async () => {
    const stop = new AbortController();
    const result = await nest(
      [piece('ell', ELL, 8)],
      [roll()],
      { ...OPTIONS, rounds: 1e6, pause: async () => stop.abort() },
      undefined,
      stop.signal,
    );
    expect(result.ok && result.value.placements.length).toBe(8);
  });

  it('turns only as it may: not at all, by half a turn, or freely', async () => {
    const turnsOf = async (turns: NestPiece['turns']) =>
      new Set(
        (await lay([piece('triangle', TRIANGLE, 12, turns)], [roll()])).placements.map(
          (placement) => placement.rotationDeg,
        ),
      );
    expect(await turnsOf([0])).toEqual(new Set([0]));
    for (const angle of await turnsOf([0, 180])) expect([0, 180]).toContain(angle);
    expect((await turnsOf('free')).size).toBeGreaterThan(2);
  });

  it('a placement is a rotation about the piece’s own origin, then a move', () => {
    const { box: laid } = place({ rings: [box(30, 10)] }, { xMm: 100, yMm: 50, rotationDeg: 90 });
    expect([laid.minX, laid.maxX, laid.minY, laid.maxY].map(Math.round)).toEqual([90, 100, 50, 80]);
  });

  it('uses what a strip of a roll costs: its whole width up to the cut', async () => {
    const { sheets, usedLengthMm, density } = await lay([piece('box', box(270, 90), 1, [0])], [roll()], { rounds: 0 });
    // 5 of margin, 90, 5 of margin.
    expect(usedLengthMm).toBeCloseTo(100, 3);
    expect(sheets[0]).toMatchObject({
      stockId: 'roll',
      usedMm2: expect.closeTo(30_000, 0) as number,
      density: expect.closeTo(0.81, 3) as number,
    });
    expect(density).toBeCloseTo(0.81, 3);
  });
});

describe('stock', () => {
  it('fills sheet after sheet, and leaves what finds no room', async () => {
    const stock: NestStock[] = [{ kind: 'sheet', id: 'sheets', widthMm: 200, lengthMm: 200, count: 2 }];
    const pieces = [piece('box', box(80, 80), 9, [0])];
    const layout = await lay(pieces, stock);
    expect(layout.sheets.map((sheet) => sheet.sheet)).toEqual([0, 1]);
    expect([layout.placements.length, layout.left.length]).toEqual([8, 1]);
    expect(faultsOf(pieces, stock, layout)).toEqual([]);
  });

  it('takes the offcut first, keeps to its odd outline and off its spoiled spots', async () => {
    const stock: NestStock[] = [
      {
        kind: 'offcut',
        id: 'A',
        shape: [
          { x: 0, y: 0 },
          { x: 220, y: 0 },
          { x: 220, y: 90 },
          { x: 110, y: 90 },
          { x: 110, y: 240 },
          { x: 0, y: 240 },
        ],
        spoiledSpots: [
          [
            { x: 30, y: 30 },
            { x: 45, y: 30 },
            { x: 45, y: 45 },
            { x: 30, y: 45 },
          ],
        ],
      },
      roll(),
    ];
    const pieces = [piece('triangle', TRIANGLE, 8), piece('ell', ELL, 4)];
    const layout = await lay(pieces, stock);
    expect(layout.left).toEqual([]);
    expect(layout.sheets[0]!.stockId).toBe('A');
    expect(layout.placements.filter((placement) => placement.sheet === 0).length).toBeGreaterThan(4);
    expect(faultsOf(pieces, stock, layout)).toEqual([]);
  });

  it('presses onto the first sheet what a first layout left over', async () => {
    // Four triangles make two squares: they fill the sheet only as pairs.
    const stock: NestStock[] = [{ kind: 'sheet', id: 's', widthMm: 122, lengthMm: 122, count: 4 }];
    const half: Polyline = [
      { x: 0, y: 0 },
      { x: 50, y: 0 },
      { x: 0, y: 50 },
    ];
    const layout = await lay([piece('half', half, 8, [0, 180])], stock, {
      gapMm: 0,
      margins: { sideMm: 10, endMm: 10 },
      rounds: 2000,
    });
    expect(layout.sheets).toHaveLength(1);
  });
});

describe('by hand', () => {
  it('locked pieces stay where they are, the rest is laid around them', async () => {
    const pieces = [piece('ell', ELL, 4), piece('box', box(40, 30), 4)];
    const locked = [{ pieceId: 'ell', copy: 2, sheet: 0, xMm: 150, yMm: 100, rotationDeg: 45 }];
    const layout = await lay(pieces, [roll()], { locked });
    expect(layout.placements.find((placement) => placement.pieceId === 'ell' && placement.copy === 2)).toEqual(
      locked[0],
    );
    expect(faultsOf(pieces, [roll()], layout)).toEqual([]);
  });

  it('what is fixed stays so however long the strip is drawn shorter: locked pieces and spoiled spots', async () => {
    const cog: Polyline = Array.from({ length: 48 }, (_, at) => {
      const angle = (at * Math.PI) / 24,
        reach = at % 4 < 2 ? 45 : 36;
      return { x: 45 + reach * Math.cos(angle), y: 45 + reach * Math.sin(angle) };
    });
    const spots = [
      box(30, 40).map(({ x, y }) => ({ x: x + 60, y: y + 60 })),
      box(20, 20).map(({ x, y }) => ({ x: x + 150, y: y + 200 })),
    ];
    const stock: NestStock[] = [{ kind: 'offcut', id: 'spoiled', shape: box(240, 310), spoiledSpots: spots }, roll()];
    const pieces = [piece('cog', cog, 9), piece('ell', ELL, 5)];
    const locked = [{ pieceId: 'ell', copy: 1, sheet: 1, xMm: 120, yMm: 90, rotationDeg: 30 }];
    for (const seed of [0.1, 0.31, 0.7]) {
      const layout = await lay(pieces, stock, { locked, seed, rounds: 250 });
      expect([layout.left, faultsOf(pieces, stock, layout)]).toEqual([[], []]);
      expect(layout.placements.find((placement) => placement.pieceId === 'ell' && placement.copy === 1)).toEqual(
        locked[0],
      );
    }
  });

  it('goes on from a layout that was there; what overlaps in it is laid anew', async () => {
    const pieces = [piece('ell', ELL, 3)];
    const before = await lay(pieces, [roll()]);
    const moved = before.placements.map((placement, at) =>
      at === 0 ? { ...placement, xMm: before.placements[1]!.xMm, yMm: before.placements[1]!.yMm } : placement,
    );
    const after = await lay(pieces, [roll()], { start: moved });
    expect(faultsOf(pieces, [roll()], after)).toEqual([]);
    expect((await lay(pieces, [roll()], { start: before.placements, rounds: 0 })).usedLengthMm).toBeLessThanOrEqual(
      before.usedLengthMm + 0.01,
    );
  });
});

describe('the checker, from the outlines alone', () => {
  const pieces = [piece('a', box(40, 40)), piece('b', box(40, 40))];
  const at = (xMm: number, yMm: number, rotationDeg = 0, sheet = 0) => ({ copy: 0, sheet, xMm, yMm, rotationDeg });
  const check = (a: ReturnType<typeof at>, b: ReturnType<typeof at> | null) =>
    faultsOf(pieces, [roll()], {
      placements: [{ pieceId: 'a', ...a }, ...(b ? [{ pieceId: 'b', ...b }] : [])],
      left: [],
    } as unknown as NestLayout);
  it.each([
    ['nothing where all is kept', at(10, 5), at(56, 5), []],
    ['a gap that is too small, by how much', at(10, 5), at(55, 5), [['overlap', 1]]],
    ['an overlap, by how deep', at(10, 5), at(40, 5), [['overlap', 16]]],
    ['one within another', at(10, 5), at(10, 5), [['overlap', 46]]],
    ['a margin at the side', at(7, 5), at(100, 5), [['outside', 3]]],
    ['a margin at the start', at(10, 1), at(100, 5), [['outside', 4]]],
    ['the far side', at(10, 5), at(255, 5), [['outside', 5]]],
  ] as const)('%s', (_, a, b, expected) =>
    expect(check(a, b).map((fault) => [fault.kind, 'byMm' in fault ? Math.round(fault.byMm) : null])).toEqual(expected),
  );
  it('what is missing, and sheets that are not there', () => {
    expect(check(at(10, 5), null)).toEqual([{ kind: 'missing', pieceId: 'b', copy: 0 }]);
    expect(check(at(10, 5, 0, 3), at(10, 5)).map((fault) => fault.kind)).toEqual(['outside']);
  });
});

describe('bad input', () => {
  const problemOf = async (pieces: readonly NestPiece[], stock: readonly NestStock[] = [roll()]) => {
    const result = await nest(pieces, stock, OPTIONS);
    return result.ok ? null : result.problem;
  };
  it('names a piece without area, one too large and how small it would fit, and stock without room', async () => {
    expect(
      await problemOf([
        piece('line', [
          { x: 0, y: 0 },
          { x: 50, y: 0 },
          { x: 20, y: 0 },
        ]),
      ]),
    ).toEqual({ kind: 'no-area', pieceId: 'line' });
    const wide = await problemOf([piece('wide', box(560, 6000), 1, [0])]);
    expect(wide).toMatchObject({ kind: 'too-large', pieceId: 'wide', usableAcrossMm: 280 });
    expect(wide?.kind === 'too-large' && wide.shrinkTo).toBeCloseTo(0.5, 2);
    expect(await problemOf([piece('box', box(5, 5))], [roll(15)])).toEqual({ kind: 'no-stock' });
  });

  it('an outline that crosses itself is laid out as what it fills', async () => {
    const bow: Polyline = [
      { x: 0, y: 0 },
      { x: 60, y: 40 },
      { x: 60, y: 0 },
      { x: 0, y: 40 },
    ];
    expect(faultsOf([piece('bow', bow, 4)], [roll()], await lay([piece('bow', bow, 4)], [roll()]))).toEqual([]);
  });

  it('an outline of ten thousand points is simplified outward only, by a tenth of a millimetre at most', () => {
    const wavy = makeRegion([
      Array.from({ length: 10_000 }, (_, at) => {
        const angle = (2 * Math.PI * at) / 10_000,
          radius = 50 + 5 * Math.sin(angle * 12) + 0.02 * Math.sin(angle * 900);
        return { x: 100 + Math.cos(angle) * radius, y: 100 + Math.sin(angle) * radius };
      }),
    ]);
    const simpler = growOutward(wavy, 0);
    expect(simpler.rings.reduce((sum, ring) => sum + ring.length, 0)).toBeLessThan(600);
    expect(computeRegionArea(subtractRegions(wavy, simpler))).toBeLessThan(0.01);
    expect(computeRegionArea(subtractRegions(simpler, offsetRegion(wavy, 0.13)))).toBeLessThan(0.01);
  });
});
