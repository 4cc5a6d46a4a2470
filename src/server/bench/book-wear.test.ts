// What work wears, worked out by hand: metres of blade, loads of the mat, presses of cover sheet and pillow, tape; and
// what each part bears of it.

import { describe, expect, it, vi } from 'vitest';
import { eachFresh } from '../../../test/demo-shop';
import { PLAIN_RECIPE } from '../../core/pressing/index';
import { loadBlanks } from '../../data/shelf-store';
import { loadWearOfSession } from '../../data/supply-store';
import { bookCutWear, bookPressWear } from './book-wear';
import { layerOf, layOutBench, partOf, type HandBench } from './hand-bench-examples';

const made = vi.hoisted(() => ({ lines: new Map<number, unknown>() }));
vi.mock('../items/materials', async (load) => ({ ...(await load<object>()), readMadeLines: () => made }));

let bench: HandBench;
eachFresh((shop) => {
  bench = layOutBench(shop);
  made.lines = new Map([[1, bench.lineOf([layerOf(bench.heat)])]]);
});

describe('cutting wears', () => {
  it('the blade by the metre and the mat by the load, borne by what each part is of it', () => {
    bench.fit('blade');
    bench.fit('mat');
    // 100 × 60 mm with its margin: three across, five along, or five and three: 15 on a mat.
    const costs = bookCutWear(
      bench.shop,
      bench.workOf([partOf(1), partOf(2), partOf(3, { recut: { bits: [0], of: 2 } })]),
    );
    expect(bench.wornOf('blade')).toMatchObject({ amount: 3 + 3 + 1.5, unitCost: 2 });
    expect(bench.wornOf('mat')).toMatchObject({ amount: 1, unitCost: 8 });
    expect(costs.get(1)).toBeCloseTo(3 * 2 + 8 / 2.5, 6);
    expect(costs.get(2)).toBeCloseTo(3 * 2 + 8 / 2.5, 6);
    expect(costs.get(3)).toBeCloseTo(1.5 * 2 + 4 / 2.5, 6);
  });

  it('one load more with the sixteenth on a mat for fifteen; another vinyl is a load of its own', () => {
    bench.fit('mat');
    made.lines = new Map([[1, bench.lineOf([layerOf(bench.heat), layerOf(bench.sticky)])]]);
    const many = (count: number, layerIndex = 0) =>
      Array.from({ length: count }, (_, at) => partOf(100 * layerIndex + at + 1, { layerIndex }));
    bookCutWear(bench.shop, bench.workOf(many(15)));
    expect(bench.wornOf('mat')!.amount).toBe(1);
    const costs = bookCutWear(bench.shop, bench.workOf(many(16)));
    expect(bench.wornOf('mat')!.amount).toBe(1 + 2);
    expect(costs.get(16)).toBeCloseTo(3 * 2 + (2 * 8) / 16, 6);
    bookCutWear(bench.shop, bench.workOf([...many(1), ...many(1, 1)]));
    expect(bench.wornOf('mat')!.amount).toBe(1 + 2 + 2);
  });

  it('no mat with what is larger than it, and nothing where the layer is not there or nothing is in use', () => {
    made.lines = new Map([[1, bench.lineOf([layerOf(bench.heat, { width: 400 })])]]);
    const costs = bookCutWear(
      bench.shop,
      bench.workOf([partOf(1), partOf(2, { layerIndex: 4 }), partOf(3, { lineId: 9 })]),
    );
    expect([...costs]).toEqual([[1, expect.closeTo(3 * 2, 6)]]);
    expect(loadWearOfSession(bench.shop.db, bench.session)).toEqual([]);
    bench.fit('mat');
    bookCutWear(bench.shop, bench.workOf([partOf(1)]));
    expect(bench.wornOf('mat')).toBeUndefined();
  });
});

describe('pressing wears', () => {
  it('the film and tape of a decal, shared by the parts of its piece', () => {
    const line = bench.lineOf([layerOf(bench.heat)]) as { made: object; blank: object };
    const decal = {
      ...line,
      blank: { ...line.blank, heating: 'wrap', fabric: 'enamel' },
      made: { ...line.made, recipe: { ...PLAIN_RECIPE, layers: 'on a decal film' } },
    };
    const costs = () => bookPressWear(bench.shop, bench.workOf([partOf(1, { pieceId: 1 }), partOf(2, { pieceId: 1 })]));
    made.lines = new Map([[1, decal]]);
    const onFilm = costs();
    made.lines = new Map([[1, { ...decal, made: { ...decal.made, recipe: PLAIN_RECIPE } }]]);
    const straight = costs();
    // 100 × 60 mm with its margin: film at 5.00 the m² is 3, tape at 2.00 used twice 0.6; flat, it saves heat tape of 6.
    expect(onFilm.get(1)! - straight.get(1)!).toBeCloseTo((3 + 0.6 - 6) / 2, 6);
    expect(onFilm.get(2)).toBe(onFilm.get(1));
  });

  it('cover sheet and pillow by the press cycle, shared by the parts of a piece', () => {
    bench.fit('cover sheet');
    bench.fit('pillow');
    const parts = [partOf(1, { pieceId: 1 }), partOf(2, { pieceId: 1 }), partOf(3, { pieceId: 2 })];
    const costs = bookPressWear(bench.shop, bench.workOf([...parts, partOf(4, { lineId: 9 })]));
    const { amount, unitCost } = bench.wornOf('cover sheet')!;
    expect(unitCost).toBe(3);
    expect(bench.wornOf('pillow')).toMatchObject({ amount, unitCost: 1 });
    const cycles = amount / 2;
    expect(cycles).toBeGreaterThanOrEqual(1);
    expect([...costs]).toEqual([
      [1, expect.closeTo((cycles * 4) / 2, 6)],
      [2, expect.closeTo((cycles * 4) / 2, 6)],
      [3, expect.closeTo(cycles * 4, 6)],
    ]);
  });

  it('transfer tape of adhesive vinyl as large as its box and margin, by its uses; of heat transfer none', () => {
    made.lines = new Map([
      [
        1,
        bench.lineOf(
          [layerOf(bench.sticky)],
          loadBlanks(bench.shop.db).find(({ heating }) => heating === 'none')!,
        ),
      ],
    ]);
    const costs = bookPressWear(bench.shop, bench.workOf([partOf(1), partOf(2, { layerIndex: 3 })]));
    // 100 × 60 mm are 0.006 m² at 2.00, used twice.
    expect(costs.get(1)! - costs.get(2)!).toBeCloseTo((0.006 * 200) / 2, 9);
    made.lines = new Map([[1, bench.lineOf([layerOf(bench.heat)])]]);
    const plain = bookPressWear(bench.shop, bench.workOf([partOf(1), partOf(2, { layerIndex: 3 })]));
    expect(plain.get(1)).toBeCloseTo(plain.get(2)!, 9);
  });

  it('a strip of heat tape with each piece that is wrapped, shared by its parts', () => {
    const ofFlat = bookPressWear(bench.shop, bench.workOf([partOf(1)])).get(1)!;
    const wrapped = { ...bench.blank, heating: 'wrap' as const };
    made.lines = new Map([[1, bench.lineOf([layerOf(bench.heat)], wrapped)]]);
    const both = bookPressWear(bench.shop, bench.workOf([partOf(1, { pieceId: 1 }), partOf(2, { pieceId: 1 })]));
    expect(both.get(1)! + both.get(2)!).toBeCloseTo(ofFlat + 6, 6);
  });

  it('nothing of what cannot be pressed', () => {
    bench.fit('cover sheet');
    made.lines = new Map([[1, bench.lineOf([layerOf({ ...bench.heat, press: null })])]]);
    const costs = bookPressWear(bench.shop, bench.workOf([partOf(1)]));
    expect(costs.get(1)).toBe(0);
    expect(bench.wornOf('cover sheet')).toBeUndefined();
  });
});
