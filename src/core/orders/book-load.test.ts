// What cutting a saved sheet books: everything that stands in its way, and what it takes of which lot.

import { describe, expect, it } from 'vitest';
import { computeRingArea } from '../geometry';
import { bookLoad, bookSavedLoad, chooseLeftover, listLeftovers, placedOutlines, type SavedLoad } from './book-load';
import {
  at,
  box,
  dot,
  figures,
  hole,
  layoutOf,
  lot,
  piece,
  plain,
  shape,
  shapes,
  sheetOf,
  source,
  usedOn,
} from './cut-examples';
import { keyOfSource, makeJob } from './cut-job';

const orders = new Map([1, 2, 3].map((partId) => [partId, { orderId: 7, pieceNumber: partId }]));
const load = (more: Partial<SavedLoad> = {}): SavedLoad => ({
  sheet: sheetOf(),
  shapes,
  stock: [lot(1, 'roll'), lot(2, 'sheet'), lot(3, 'offcut')],
  parts: orders,
  turnable: true,
  figures,
  leftovers: new Map(),
  ...more,
});
/** 40 × 20 grown by half the gap of 6 mm: 40 · 20 + 2 · 3 · 60 + 9 π. */
const SHARE_MM2 = 800 + 360 + 9 * Math.PI;

function problemOf(more: Partial<SavedLoad>) {
  const booked = bookSavedLoad(load(more));
  return booked.ok ? null : booked.problem;
}

describe('a saved sheet', () => {
  it('is booked on its lot by the shares of its parts, and as much of a roll as its pieces reach', () => {
    const booked = bookSavedLoad(load());
    if (!booked.ok) throw new Error(booked.problem.kind);
    const [sheet, ...others] = booked.value.sheets;
    expect(others).toEqual([]);
    expect(sheet).toMatchObject({ lotId: 1, leftovers: [], spareMm2: 0, islands: [] });
    // Down to 40 mm, and the lead-out.
    expect(sheet!.usedLengthMm).toBeCloseTo(40 + 15, 6);
    expect(sheet!.parts.map((part) => part.partId)).toEqual([1, 2]);
    for (const part of sheet!.parts) expect(part.areaMm2).toBeCloseTo(SHARE_MM2, 1);
  });

  it('that is cut from what is not on the book books nothing', () => {
    const lots = [{ lotId: 0, form: 'sheet' as const, widthMm: 300, lengthMm: 400 }];
    expect(problemOf({ sheet: sheetOf({ lots, sheets: [{ ...usedOn(0, '0'), lotId: 0 }] }) })).toEqual({
      kind: 'not-on-the-book',
    });
  });

  it('names the drawings that can’t be read, each once', () => {
    const gone = source({ artworkId: 99 });
    const pieces = [piece('a', [1, 2]), piece('b', [3], { source: gone, name: 'comb' })];
    const twice = [...pieces, piece('c', [3], { source: gone, name: 'comb' })];
    expect(problemOf({ sheet: sheetOf({ pieces: twice }) })).toEqual({ kind: 'unreadable', names: ['comb'] });
  });

  it('is refused where its number means another lot now', () => {
    expect(problemOf({ sheet: sheetOf({ sheets: [{ ...usedOn(0, '4'), lotId: 4 }] }) })).toEqual({
      kind: 'stock-changed',
      lotId: 1,
    });
    expect(problemOf({ sheet: sheetOf({ sheets: [{ ...usedOn(1, '1'), lotId: 1 }] }) })).toEqual({
      kind: 'stock-changed',
      lotId: 1,
    });
  });

  it('is refused where pieces come too near to one another, or lie where the cutter does not reach', () => {
    const apart = (xMm: number) =>
      problemOf({
        sheet: sheetOf({ placements: [at(0, 'a', 0, { xMm: 20, yMm: 20 }), at(0, 'a', 1, { xMm, yMm: 20 })] }),
      });
    expect(apart(20 + 40 + 6)).toBeNull();
    expect(apart(20 + 40 + 5)).toMatchObject({ kind: 'faulty' });
    const beside = (xMm: number) =>
      problemOf({
        sheet: sheetOf({ placements: [at(0, 'a', 0, { xMm, yMm: 20 }), at(0, 'a', 1, { xMm: 80, yMm: 20 })] }),
      });
    expect(beside(10)).toBeNull();
    expect(beside(9)).toMatchObject({ kind: 'faulty' });
  });

  it('of which a copy lies nowhere books the others', () => {
    const booked = bookSavedLoad(load({ sheet: sheetOf({ placements: [at(0, 'a', 1, { xMm: 20, yMm: 20 })] }) }));
    expect(booked.ok && booked.value.sheets[0]!.parts.map((part) => part.partId)).toEqual([2]);
  });

  it('with nothing on it that anybody ordered is refused; spares beside a part bear their share', () => {
    expect(problemOf({ sheet: sheetOf({ pieces: [piece('a', [null, null])] }) })).toEqual({ kind: 'only-spares' });
    const booked = bookSavedLoad(load({ sheet: sheetOf({ pieces: [piece('a', [null, 2])] }) }));
    expect(booked.ok && booked.value.sheets[0]).toMatchObject({ parts: [{ partId: 2 }] });
    expect(booked.ok && booked.value.sheets[0]!.spareMm2).toBeCloseTo(SHARE_MM2, 1);
  });

  it('has room for its tags: they need more than the gap beside a piece', () => {
    const tagged = sheetOf({ marks: { ...sheetOf().marks, tags: true } });
    expect(problemOf({ sheet: tagged })).toBeNull();
    const placements = [at(0, 'a', 0, { xMm: 20, yMm: 20 }), at(0, 'a', 1, { xMm: 66, yMm: 20 })];
    const below = [at(0, 'a', 0, { xMm: 20, yMm: 20 }), at(0, 'a', 1, { xMm: 20, yMm: 46 })];
    expect(problemOf({ sheet: { ...sheetOf(), placements } })).toBeNull();
    expect(problemOf({ sheet: { ...sheetOf(), placements: below } })).toBeNull();
    const either = [
      problemOf({ sheet: { ...tagged, placements } }),
      problemOf({ sheet: { ...tagged, placements: below } }),
    ];
    expect(either.some((problem) => problem?.kind === 'faulty')).toBe(true);
  });
});

describe('what is left over', () => {
  const job = makeJob([piece('a', [1])], shapes, plain);
  const laid = (lotId: number, form: 'roll' | 'sheet' | 'offcut') => ({
    job,
    layout: layoutOf([at(0, 'a', 0, { xMm: 20, yMm: 20 })], [usedOn(0, String(lotId))]),
    choices: [lot(lotId, form)],
    gapMm: 6,
  });

  it('is nothing of a roll; of a sheet the way that is worth most comes first', () => {
    expect(listLeftovers(laid(1, 'roll'), 0)).toEqual([]);
    const ways = listLeftovers(laid(2, 'sheet'), 0);
    expect(ways.length).toBeGreaterThan(1);
    // Below the piece lie 300 × 355 mm; an odd shape of more is worth a fifth less; behind what is used, 300 × 300.
    expect(ways.map(({ kind }) => kind)).toEqual(['rectangles', 'shape', 'strip']);
    expect(listLeftovers(laid(2, 'sheet'), 1)).toEqual([]);
  });

  it('is saved as it was chosen, the first way where nothing was, and not at all where nothing is to be', () => {
    const ways = listLeftovers(laid(2, 'sheet'), 0);
    expect(chooseLeftover(ways, undefined)).toBe(ways[0]);
    expect(chooseLeftover(ways, ways[1]!.kind)).toBe(ways[1]);
    expect(chooseLeftover(ways, 'nothing')).toBeNull();
    expect(chooseLeftover([], undefined)).toBeNull();
    const saved = (choice?: 'nothing') =>
      bookLoad(laid(2, 'sheet'), new Map(choice ? [[0, choice]] : [])).sheets[0]!.leftovers;
    expect(saved()).toEqual(ways[0]!.pieces);
    expect(saved('nothing')).toEqual([]);
  });

  it('keeps clear of the outline of what lies there, not of its holes', () => {
    const open = makeJob([piece('a', [1])], shapes, { ...plain, inside: 'holes' });
    expect(open.pieces[0]!.rings).toEqual([box, hole]);
    const outlines = placedOutlines({ job: open, layout: laid(2, 'sheet').layout }, 0);
    expect(outlines).toHaveLength(1);
    expect(computeRingArea(outlines[0]!)).toBeCloseTo(800, 9);
    expect(placedOutlines({ job: open, layout: laid(2, 'sheet').layout }, 1)).toEqual([]);
  });

  it('of a lot that is not there is nothing, and nothing is booked on it', () => {
    expect(listLeftovers({ ...laid(2, 'sheet'), choices: [] }, 0)).toEqual([]);
    expect(bookLoad({ ...laid(2, 'sheet'), choices: [] }, new Map()).sheets).toEqual([]);
  });
});

it('a piece of one island lies with the outline of that island', () => {
  const one = makeJob([piece('a', [1], { island: 1 }), piece('b', [1], { island: 2 })], shapes, plain);
  expect(one.cut.map(({ id }) => id)).toEqual(['a']);
  expect(one.pieces[0]!.rings).toEqual([dot]);
  expect(shapes.get(keyOfSource(source()))).toBe(shape);
});
