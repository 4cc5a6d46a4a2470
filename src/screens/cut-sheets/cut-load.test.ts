import { describe, expect, it } from 'vitest';
import { choicesOf, keyOfSource, bookLoad, listLeftovers, makeJob, placementKey, toStock } from '../../core/orders';
import { dropGone, sourceOf, toCutPieces, toCutSheet, toSpares, toLaidLoad } from './cut-load';
import { at, figures, layoutOf, lot, plain, usedOn } from '../../core/orders/cut-examples';
import { laidOut, parts, shapes } from './cut-load-examples';

describe('a load that is cut', () => {
  const job = makeJob(toCutPieces(parts, shapes, new Set()), shapes, plain),
    [wide, small] = job.pieces;

  it('shares its strip by outlines grown by half the gap, and keeps what is left of pieces, not of rolls', () => {
    const laid = laidOut(
      job,
      layoutOf(
        [at(0, wide!.id, 0), at(1, wide!.id, 1), at(2, small!.id, 0)],
        [usedOn(0, '3'), usedOn(1, '2'), usedOn(2, '1')],
      ),
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
          layoutOf([at(0, body!.id, 0), at(0, bit!.id, 0), at(0, spare!.id, 0), at(0, spare!.id, 1)], [usedOn(0, '1')]),
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
      toLaidLoad(laidOut(own, layoutOf([at(0, body!.id, 0), at(0, spare!.id, 0)], [usedOn(0, '1')]), [lot(1, 'roll')])),
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
            [usedOn(0, '3'), usedOn(1, '2'), usedOn(2, '1')],
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
    const laid = laidOut(job, layoutOf([at(0, small!.id, 0, { xMm: 20, yMm: 150 })], [usedOn(0, '3')]), [spoiled]);
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
      layoutOf(
        [at(0, wide!.id, 0), at(0, wide!.id, 1, { xMm: 80 }), at(0, small!.id, 0, { yMm: 60 })],
        [usedOn(0, '1')],
      ),
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
