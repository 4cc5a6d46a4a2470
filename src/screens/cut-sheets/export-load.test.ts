import { describe, expect, it } from 'vitest';
import { NO_MARKS } from '../../core/nesting';
import { keyOfSource, makeJob, orderStock, partIdOf, tagOf, toLoadFacts, toStock } from '../../core/orders';
import { sourceOf, toCutPieces, toLaidLoad } from './cut-load';
import { writeSheet } from './export-load';
import { alone, at, box, dot, figures, hole, layoutOf, lot, plain, usedOn } from '../../core/orders/cut-examples';
import { laidOut, parts, setup, shapes } from './cut-load-examples';

const byPart = new Map(parts.map((one) => [one.partId, one]));
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
      layoutOf([at(0, job.cut[0]!.id, 0, { xMm: 100, yMm: 50, rotationDeg: 90 })], [usedOn(0, '1')]),
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
  expect(
    toLoadFacts(toLaidLoad(laid), laid.layout.sheets[0]!, { setup: laid.setup, figures, kind: 'smooth' }),
  ).toMatchObject({
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
