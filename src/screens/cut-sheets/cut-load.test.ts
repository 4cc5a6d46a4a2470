import { describe, expect, it } from 'vitest';
import { DEFAULT_SHOP_FIGURES } from '../../core/materials';
import { NO_MARKS, type NestLayout, type Placement } from '../../core/nesting';
import type { LotChoice } from '../../core/orders';
import type { WaitingPart } from '../../views/cut-sheets';
import type { CutShape } from '../../core/nesting';
import {
  choicesOf,
  keyOfSource,
  bookLoad,
  listLeftovers,
  makeJob,
  orderStock,
  partIdOf,
  placementKey,
  tagOf,
  toStock,
} from '../../core/orders';
import { dropGone, sourceOf, toCutPieces, toCutSheet, toSpares, toLaidLoad, type Laid, type Setup } from './cut-load';
import { toLoadFacts, writeSheet } from './export-load';

const figures = {
  ...DEFAULT_SHOP_FIGURES,
  cutterEdgeMm: 10,
  leadMm: 15,
  matWidthMm: 305,
  matLengthMm: 610,
  matEdgeMm: 3,
};
const part = (partId: number, more: Partial<WaitingPart> = {}): WaitingPart => ({
  partId,
  orderId: 1,
  orderTitle: 'Coats',
  pieceNumber: partId,
  itemName: 'Coat',
  dueDay: '2026-12-01',
  layerName: 'wheel',
  broken: false,
  artworkId: 5,
  layerIndex: 0,
  widthMm: 90,
  mirrored: true,
  cutSeconds: 30,
  ...more,
});
const box = [
  { x: 0, y: 0 },
  { x: 40, y: 0 },
  { x: 40, y: 20 },
  { x: 0, y: 20 },
];
const hole = box.map(({ x, y }) => ({ x: 10 + x / 2, y: 5 + y / 2 }));
const dot = box.map(({ x, y }) => ({ x: x / 4 + 60, y: y / 2 }));
const alone = (ring: typeof box) => ({ paths: [{ points: ring, inner: false }], outline: ring, holes: [] });
const shape: CutShape = {
  paths: [
    { points: box, inner: false },
    { points: dot, inner: false },
  ],
  outline: box,
  holes: [hole],
  islands: [alone(box), alone(dot)],
};
const parts = [part(1), part(2, { dueDay: '2026-11-28' }), part(3, { widthMm: 60 })];
const shapes = new Map(parts.map((one) => [keyOfSource(sourceOf(one)), shape]));
const byPart = new Map(parts.map((one) => [one.partId, one]));
const lot = (lotId: number, form: LotChoice['form'], more: Partial<LotChoice> = {}): LotChoice => ({
  lotId,
  form,
  widthMm: 300,
  lengthMm: form === 'roll' ? null : 400,
  left: form === 'roll' ? 5000 : 2,
  shape: null,
  spoiledSpots: [],
  code: null,
  ...more,
});
const setup: Setup = { gapMm: 6, hold: 'suited', marks: NO_MARKS, inside: 'bays' };
const plain = { turnable: true, inside: 'bays' as const, marks: NO_MARKS, tagLetters: 4 };
const at = (sheet: number, pieceId: string, copy: number, more: Partial<Placement> = {}): Placement => ({
  pieceId,
  copy,
  sheet,
  xMm: 10,
  yMm: 5,
  rotationDeg: 0,
  ...more,
});
const use = (sheet: number, stockId: string) => ({
  sheet,
  stockId,
  usedLengthMm: 100,
  usedMm2: 1,
  piecesMm2: 1,
  density: 1,
});
const layoutOf = (placements: readonly Placement[], sheets: NestLayout['sheets']): NestLayout => ({
  placements,
  sheets,
  usedLengthMm: 100 * sheets.length,
  density: 1,
  left: [],
});
const laidOut = (job: Laid['job'], layout: NestLayout, choices: readonly LotChoice[], own: Setup = setup): Laid => ({
  job,
  layout,
  shapes,
  choices,
  stock: choices.flatMap((choice) => toStock(choice, own.hold, figures) ?? []),
  options: { gapMm: 6, margins: { sideMm: 10, endMm: 15 }, inside: 'bays', seed: 0.3, rounds: 1 },
  setup: own,
  counting: false,
});

describe('a load from what waits', () => {
  it('takes parts that are cut alike as copies of one piece, the first due first; what can’t be read is left', () => {
    const job = makeJob(toCutPieces(parts, shapes, new Set()), shapes, { ...plain, turnable: false });
    expect(job.pieces.map((piece) => [piece.copies, piece.turns])).toEqual([
      [2, [0, 180]],
      [1, [0, 180]],
    ]);
    expect(partIdOf(job, { pieceId: keyOfSource(sourceOf(parts[0]!)), copy: 0 })).toBe(2);
    expect(toCutPieces(parts, new Map(), new Set())).toEqual([]);
  });

  it('parts a layer into its islands where that is asked for, each with the part it is of', () => {
    const loose = new Set([keyOfSource(sourceOf(parts[0]!))]);
    const job = makeJob(toCutPieces(parts, shapes, loose), shapes, plain);
    expect(job.cut.map((piece) => [piece.island, piece.partIds])).toEqual([
      [0, [2, 1]],
      [1, [2, 1]],
      [null, [3]],
    ]);
    expect(job.pieces.map((piece) => piece.rings[0])).toEqual([box, dot, box]);
  });

  it('opens the holes of a piece to others only where that is asked for', () => {
    const cut = toCutPieces(parts.slice(0, 1), shapes, new Set());
    expect(
      [makeJob(cut, shapes, plain), makeJob(cut, shapes, { ...plain, inside: 'holes' })].map(
        (job) => job.pieces[0]!.rings,
      ),
    ).toEqual([[box], [box, hole]]);
  });

  it('gives each piece room for its tag, beside it and never on it', () => {
    const job = makeJob(toCutPieces(parts.slice(0, 1), shapes, new Set()), shapes, {
      ...plain,
      marks: { tags: true },
    });
    const corner = job.tagAt.get(job.cut[0]!.id)!;
    expect(tagOf(parts[0])).toBe('1/1');
    expect(corner.y >= 21 || corner.y <= -5.5).toBe(true);
    expect(
      Math.max(...job.pieces[0]!.rings[0]!.map((point) => point.y)) -
        Math.min(...job.pieces[0]!.rings[0]!.map((point) => point.y)),
    ).toBeGreaterThan(24);
  });

  it('takes offcuts first, the smallest of them first, then sheets, then rolls; pieces lie on a mat, no larger than it', () => {
    expect(
      orderStock([lot(1, 'roll'), lot(2, 'sheet'), lot(3, 'offcut'), lot(4, 'offcut', { widthMm: 100 })]).map(
        (choice) => choice.lotId,
      ),
    ).toEqual([4, 3, 2, 1]);
    expect(
      [lot(1, 'roll'), lot(2, 'sheet'), lot(3, 'offcut'), lot(4, 'piece')].map(
        (choice) => toStock(choice, 'suited', figures)?.kind ?? null,
      ),
    ).toEqual(['roll', 'sheet', 'offcut', null]);
    expect(toStock(lot(1, 'roll', { widthMm: 500 }), 'suited', figures)).toMatchObject({
      widthMm: 500,
      lengthMm: 5000,
      margins: { sideMm: 10, endMm: 15 },
    });
    expect(toStock(lot(1, 'roll', { widthMm: 500 }), 'mat', figures)).toMatchObject({
      widthMm: 305,
      lengthMm: 610,
      margins: { sideMm: 3, endMm: 3 },
    });
    const held = toStock(lot(3, 'offcut', { widthMm: 400, lengthMm: 700 }), 'suited', figures)!;
    expect(
      held.kind === 'offcut' && [
        Math.max(...held.shape.map((point) => point.x)),
        Math.max(...held.shape.map((point) => point.y)),
      ],
    ).toEqual([305, 610]);
  });
});

describe('a load that is cut', () => {
  const job = makeJob(toCutPieces(parts, shapes, new Set()), shapes, plain),
    [wide, small] = job.pieces;

  it('shares its strip by outlines grown by half the gap, and keeps what is left of pieces, not of rolls', () => {
    const laid = laidOut(
      job,
      layoutOf([at(0, wide!.id, 0), at(1, wide!.id, 1), at(2, small!.id, 0)], [use(0, '3'), use(1, '2'), use(2, '1')]),
      [lot(3, 'offcut'), lot(2, 'sheet'), lot(1, 'roll')],
    );
    const { sheets } = bookLoad(toLaidLoad(laid), new Map());
    expect(
      sheets.map((sheet) => [sheet.lotId, sheet.leftovers.length > 0, sheet.parts.map((own) => own.partId)]),
    ).toEqual([
      [3, true, [2]],
      [2, true, [1]],
      [1, false, [3]],
    ]);
    // 40 × 20 grown by 3 on all sides, its corners round: 40 · 20 + 2 · 3 · 60 + 9 π.
    expect(sheets[0]!.parts[0]!.areaMm2).toBeCloseTo(800 + 360 + 9 * Math.PI, 1);
  });

  it('more than was ordered is counted apart, and loose islands of one part together', () => {
    const cut = [
      ...toCutPieces(parts.slice(0, 1), shapes, new Set([keyOfSource(sourceOf(parts[0]!))])),
      toSpares({ key: 'u', name: 'wheel of Coat', source: sourceOf(parts[2]!) }, 2, '+1'),
    ];
    const own = makeJob(cut, shapes, plain),
      [body, bit, spare] = own.pieces;
    const { sheets } = bookLoad(
      toLaidLoad(
        laidOut(
          own,
          layoutOf([at(0, body!.id, 0), at(0, bit!.id, 0), at(0, spare!.id, 0), at(0, spare!.id, 1)], [use(0, '1')]),
          [lot(1, 'roll')],
        ),
      ),
      new Map(),
    );
    expect(sheets[0]!.parts).toEqual([
      { partId: 1, areaMm2: expect.closeTo(800 + 360 + 100 + 120 + 18 * Math.PI, 0) as number },
    ]);
    // Where one island found no room, the part is not cut: it waits, and bears nothing.
    const short = bookLoad(
      toLaidLoad(laidOut(own, layoutOf([at(0, body!.id, 0), at(0, spare!.id, 0)], [use(0, '1')]), [lot(1, 'roll')])),
      new Map(),
    );
    expect(short.sheets[0]!.parts).toEqual([]);
    expect(sheets[0]!.spareMm2).toBeCloseTo(2 * (800 + 360 + 9 * Math.PI), 0);
  });

  it('a part whose islands lie on two sheets is cut once and bears its share of both; a sheet of spares alone goes with them', () => {
    const cut = [
      ...toCutPieces(parts.slice(0, 1), shapes, new Set([keyOfSource(sourceOf(parts[0]!))])),
      toSpares({ key: 'u', name: 'wheel of Coat', source: sourceOf(parts[2]!) }, 1, '+1'),
    ];
    const own = makeJob(cut, shapes, plain),
      [body, bit, spare] = own.pieces;
    const { sheets } = bookLoad(
      toLaidLoad(
        laidOut(
          own,
          layoutOf(
            [at(0, body!.id, 0), at(1, bit!.id, 0), at(2, spare!.id, 0)],
            [use(0, '3'), use(1, '2'), use(2, '1')],
          ),
          [lot(3, 'offcut'), lot(2, 'sheet'), lot(1, 'roll')],
        ),
      ),
      new Map(),
    );
    expect(sheets.map((sheet) => [sheet.lotId, sheet.parts.length, sheet.islands.length, sheet.spareMm2 > 0])).toEqual([
      [3, 1, 0, false],
      [2, 0, 1, false],
      [1, 0, 0, true],
    ]);
    expect(sheets[1]!.islands[0]).toEqual({ partId: 1, areaMm2: expect.closeTo(100 + 120 + 9 * Math.PI, 0) as number });
  });

  it('keeps clear of the spoiled spots of an offcut, and keeps no square leftover with one in it', () => {
    const spoiled = lot(3, 'offcut', {
      widthMm: 200,
      lengthMm: 200,
      spoiledSpots: [{ x: 90, y: 20, width: 20, height: 20 }],
    });
    const stock = toStock(spoiled, 'free', figures)!;
    expect(stock.kind === 'offcut' && stock.spoiledSpots).toEqual([
      [
        { x: 90, y: 20 },
        { x: 110, y: 20 },
        { x: 110, y: 40 },
        { x: 90, y: 40 },
      ],
    ]);
    const laid = laidOut(job, layoutOf([at(0, small!.id, 0, { xMm: 20, yMm: 150 })], [use(0, '3')]), [spoiled]);
    const leftovers = listLeftovers(toLaidLoad(laid), 0);
    expect(leftovers.length).toBeGreaterThan(0);
    for (const ring of leftovers.find((leftover) => leftover.kind === 'rectangles')!.pieces) {
      const xs = ring.map((point) => point.x),
        ys = ring.map((point) => point.y);
      expect(Math.max(...xs) <= 90 || Math.min(...xs) >= 110 || Math.max(...ys) <= 20 || Math.min(...ys) >= 40).toBe(
        true,
      );
    }
  });

  it('is saved as it is, and comes back without what does not wait any more', () => {
    const laid = laidOut(
      job,
      layoutOf([at(0, wide!.id, 0), at(0, wide!.id, 1, { xMm: 80 }), at(0, small!.id, 0, { yMm: 60 })], [use(0, '1')]),
      [lot(1, 'roll')],
    );
    const sheet = toCutSheet(laid, new Set([placementKey({ pieceId: wide!.id, copy: 1 })]));
    expect(dropGone(sheet, new Set([1, 2, 3]))).toEqual(sheet);
    const left = dropGone(sheet, new Set([1, 3]));
    expect(left.placements.map((placement) => [placement.copy, placement.xMm])).toEqual([
      [0, 80],
      [0, 10],
    ]);
    expect([left.pieces.map((piece) => piece.partIds), left.locked]).toEqual([
      [[1], [3]],
      [placementKey({ pieceId: wide!.id, copy: 0 })],
    ]);
    expect(choicesOf(sheet, []).map((choice) => [choice.lotId, choice.form])).toEqual([[1, 'roll']]);
  });
});

it('the file has every part where it lies, its weed line, and last the cut across the roll', async () => {
  const job = makeJob(
    toCutPieces([parts[0]!], new Map([...shapes].map(([key, one]) => [key, { ...one, ...alone(box) }])), new Set()),
    shapes,
    plain,
  );
  const own = { ...setup, marks: { ...NO_MARKS, weed: 'all' as const, trim: true, corners: true } };
  const laid = {
    ...laidOut(
      job,
      layoutOf([at(0, job.cut[0]!.id, 0, { xMm: 100, yMm: 50, rotationDeg: 90 })], [use(0, '1')]),
      [lot(1, 'roll')],
      own,
    ),
    shapes: new Map([...shapes].map(([key, one]) => [key, { ...one, ...alone(box) }])),
  };
  const svg = await (
    await writeSheet(laid, laid.layout.sheets[0]!, { name: 'Slate', colourHex: '#3f5e86' }, byPart, 'svg')
  ).text();
  const bounds = (d: string) => {
    const numbers = d.match(/-?\d+(\.\d+)?/g)!.map(Number),
      xs = numbers.filter((_, index) => index % 2 === 0),
      ys = numbers.filter((_, index) => index % 2 === 1);
    return [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  };
  const [body, box2] = /fill-rule="evenodd" d="([^"]+)"/.exec(svg)![1]!.split('Z');
  expect([bounds(body!), bounds(box2!)]).toEqual([
    [80, 100, 50, 90],
    [77, 103, 47, 93],
  ]);
  expect(bounds(/id="knife-lines"[^>]* d="([^"]+)"/.exec(svg)![1]!)).toEqual([0, 300, 100, 100]);
  expect(svg).toMatch(/id="pen".*stroke/);
  expect(svg).toContain('Slate, sheet 1, mirrored');
  const hpgl = await (
    await writeSheet(laid, laid.layout.sheets[0]!, { name: 'Slate', colourHex: '#3f5e86' }, byPart, 'hpgl')
  ).text();
  // The pen is done before the knife comes; the knife parts the roll last, and only runs across it once.
  expect(hpgl.indexOf('SP2')).toBeLessThan(hpgl.indexOf('SP1'));
  expect(hpgl.trim().split('\n').slice(-3, -1)).toEqual(['PU0,0;', 'PD12000,0;']);
  expect(toLoadFacts(laid, laid.layout.sheets[0]!, figures, 'smooth')).toMatchObject({
    isRoll: true,
    onMat: false,
    mirrored: 'all',
    widthMm: 300,
    leastWidthMm: 110,
    leadMm: 15,
    pen: true,
    trim: true,
  });
});
