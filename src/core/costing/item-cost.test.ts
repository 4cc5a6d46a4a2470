import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { computeItemCost, computeLayerAreas, type ItemCost, type ItemSpec } from './index';
import {
  PLAIN_BLANK,
  PLAIN_ITEM,
  PLAIN_LAYER,
  PLAIN_SHOP,
  PLAIN_VINYL,
  STICKY_VINYL,
} from '../../../test/worked-example';
import type { ShopFigures } from '../materials';
import { minor, type Figure } from '../units';

function cost(spec: ItemSpec, quantity: number, shop: ShopFigures = PLAIN_SHOP): ItemCost {
  const result = computeItemCost(spec, quantity, shop);
  if (!result.ok) throw new Error(result.problem.kind);
  return result.value;
}
const line = (of: ItemCost, id: string) => of.lines.find((candidate) => candidate.id === id)!;
const problem = (spec: ItemSpec, quantity = 1) => {
  const result = computeItemCost(spec, quantity, PLAIN_SHOP);
  return result.ok ? null : result.problem;
};

describe('the worked example of docs/costing.md: one of ten tea towels', () => {
  const one = cost(PLAIN_ITEM, 10);

  it('spends the whole width of the strip', () => {
    // Turned: 70 × 110 mm cells, 7 side by side on 500 mm, two rows of 110 mm. Upright: 110 × 70, 4 side by side, three
    // rows of 70 = 210 mm: shorter.
    const areas = one.layers[0]!.areas;
    expect([areas.across, areas.stripLengthMm, areas.turned]).toEqual([4, 210, false]);
    expect([areas.net.value, areas.box.value, areas.used.value]).toEqual([4000, 7700, 10_500]);
  });

  it('has each line by hand', () => {
    expect(line(one, 'blank').total).toBe(400);
    expect(line(one, 'vinyl-0').cash).toBeGreaterThanOrEqual(10); // 10 500 mm² × 10.00/m² = 10.5
    expect(line(one, 'set-up').time).toBe(30); // 600 s ÷ 10 at 18.00/h
    expect(line(one, 'cut-0').time).toBe(5); // 100 s of loading ÷ 10
    expect(line(one, 'weed-0').time).toBe(30); // 30 s + 3 × 10 s
    expect(line(one, 'press').time).toBe(40); // 20 + 5 + 30 + 12 + 10 + 3 = 80 s
    expect(line(one, 'check').time).toBe(30);
    expect(line(one, 'pack').cash).toBe(50);
  });

  it('has the three totals by hand', () => {
    expect(one.cash.value).toBe(461); // 400 + 10.5 + 50 = 460.5
    expect(one.full.value).toBe(596); // + 30 + 5 + 30 + 40 + 30 = 595.5
    expect(one.withRisk.value).toBe(616); // + 485.5 × 0.04 ÷ 0.96 = 20.23
    expect(one.handsSeconds.value).toBe(60 + 10 + 60 + 80 + 60);
  });

  it('costs by the area that is asked for', () => {
    expect(line(cost({ ...PLAIN_ITEM, areaBasis: 'net' }, 10), 'vinyl-0').cash).toBe(4);
    expect(line(cost({ ...PLAIN_ITEM, areaBasis: 'box' }, 1), 'vinyl-0').figure.parts![0]!.value).toBe(7700);
  });

  it('takes tape for adhesive vinyl only, by box and uses', () => {
    const tin = cost({ ...PLAIN_ITEM, layers: [{ measurement: PLAIN_LAYER, vinyl: STICKY_VINYL }] }, 10);
    expect(line(tin, 'tape-0').figure.how).toContain('uses');
    expect(line(tin, 'tape-0').cash).toBeGreaterThanOrEqual(1); // 7700 mm² × 4.00/m² ÷ 2 = 1.54
    expect(one.lines.some((candidate) => candidate.stage === 'tape')).toBe(false);
    expect(line(tin, 'press').figure.label).toBe('Tape and place');
  });

  it('shows its working down to the inputs', () => {
    const labels = (figure: Figure): string[] => [figure.label, ...(figure.parts ?? []).flatMap(labels)];
    expect(labels(line(one, 'vinyl-0').figure)).toEqual(
      expect.arrayContaining(['Strip length', 'Roll width', 'Roll price', 'Pieces side by side']),
    );
    expect(labels(one.withRisk)).toEqual(
      expect.arrayContaining(['Cash cost', 'Your time', 'What goes wrong', 'Pieces that go wrong']),
    );
  });
});

const anyItem = fc
  .record({
    width: fc.double({ min: 5, max: 440, noNaN: true }),
    height: fc.double({ min: 5, max: 440, noNaN: true }),
    fill: fc.double({ min: 0.01, max: 1, noNaN: true }),
    cavities: fc.integer({ min: 0, max: 400 }),
    quantity: fc.integer({ min: 1, max: 300 }),
    spoilage: fc.double({ min: 0, max: 0.5, noNaN: true }),
    layers: fc.integer({ min: 1, max: 4 }),
    price: fc.integer({ min: 1, max: 30_000 }),
  })
  .map((raw) => {
    const measurement = {
      ...PLAIN_LAYER,
      netMm2: raw.width * raw.height * raw.fill,
      cavities: raw.cavities,
      box: { x: 0, y: 0, width: raw.width, height: raw.height },
      cutLengthMm: 2 * (raw.width + raw.height),
    };
    const spec: ItemSpec = {
      ...PLAIN_ITEM,
      layers: Array.from({ length: raw.layers }, () => ({
        measurement,
        vinyl: { ...PLAIN_VINYL, rollPrice: minor(raw.price) },
      })),
    };
    return {
      ...raw,
      spec,
      shop: {
        ...PLAIN_SHOP,
        spoilageShare: raw.spoilage,
        energyPerKwh: 31,
        bladePrice: 900,
        matPrice: 1100,
        coverSheetPrice: 320,
        cutterRatePerHour: 140,
      },
    };
  });

describe('for any item', () => {
  it('shown lines add up to the shown totals to the cent', () => {
    fc.assert(
      fc.property(anyItem, ({ spec, quantity, shop }) => {
        const result = cost(spec, quantity, shop);
        const sum = (pick: (of: ItemCost['lines'][number]) => number) =>
          result.lines.reduce((total, entry) => total + pick(entry), 0);
        expect(sum((entry) => entry.cash)).toBe(result.cash.value);
        expect(sum((entry) => entry.cash + entry.time)).toBe(result.full.value);
        expect(sum((entry) => entry.total)).toBe(result.withRisk.value);
        result.lines.forEach((entry) => expect(entry.figure.value).toBe(entry.total));
      }),
    );
  });

  it('net ≤ box ≤ used', () => {
    fc.assert(
      fc.property(anyItem, ({ spec, quantity, shop }) => {
        const { areas } = cost(spec, quantity, shop).layers[0]!;
        expect(areas.net.value).toBeLessThanOrEqual(areas.box.value);
        expect(areas.box.value).toBeLessThanOrEqual(areas.used.value * (1 + 1e-9));
      }),
    );
  });

  it('more waste never lowers the cost', () => {
    fc.assert(
      fc.property(anyItem, ({ spec, quantity, shop }) => {
        expect(
          cost(spec, quantity, { ...shop, spoilageShare: shop.spoilageShare + 0.1 }).withRisk.value,
        ).toBeGreaterThanOrEqual(cost(spec, quantity, shop).withRisk.value);
      }),
    );
  });

  it('set-up weighs less on each of more pieces', () => {
    fc.assert(
      fc.property(anyItem, ({ spec, quantity, shop }) => {
        expect(line(cost(spec, quantity + 1, shop), 'set-up').handsSeconds).toBeLessThan(
          line(cost(spec, quantity, shop), 'set-up').handsSeconds,
        );
      }),
    );
  });
});

describe('what cannot be made is named with what would help', () => {
  it('wider than the roll, and the scale at which it fits', () => {
    const wide = { ...PLAIN_LAYER, box: { x: 0, y: 0, width: 600, height: 980 } };
    expect(computeLayerAreas({ layer: wide, vinyl: PLAIN_VINYL, quantity: 1, shop: PLAIN_SHOP })).toEqual({
      ok: false,
      problem: { kind: 'wider-than-roll', vinylName: 'Plain', needsMm: 610, usableMm: 500, shrinkTo: 490 / 600 },
    });
  });

  it('turns a piece that only fits lengthways, unless the vinyl has a direction', () => {
    const long = { ...PLAIN_LAYER, box: { x: 0, y: 0, width: 600, height: 100 } };
    expect(computeLayerAreas({ layer: long, vinyl: PLAIN_VINYL, quantity: 1, shop: PLAIN_SHOP })).toMatchObject({
      ok: true,
      value: { turned: true },
    });
    expect(
      computeLayerAreas({
        layer: long,
        vinyl: { ...PLAIN_VINYL, details: { ...PLAIN_VINYL.details, direction: 'along' } },
        quantity: 1,
        shop: PLAIN_SHOP,
      }),
    ).toMatchObject({ ok: false });
  });

  it.each([
    ['no-safe-window', { ...PLAIN_ITEM, blank: { ...PLAIN_BLANK, fabric: 'softshell' as const } }],
    ['blank-takes-no-heat', { ...PLAIN_ITEM, blank: { ...PLAIN_BLANK, heating: 'none' as const } }],
    ['unknown-size', { ...PLAIN_ITEM, sizeName: 'XXL' }],
    ['no-layers', { ...PLAIN_ITEM, layers: [] }],
  ])('%s', (kind, spec) => {
    expect(problem(spec)?.kind).toBe(kind);
  });
});

describe('lines that not every shop has', () => {
  const costWith = (part: Partial<typeof PLAIN_SHOP>, spec: Partial<typeof PLAIN_ITEM> = {}) => {
    const cost = computeItemCost({ ...PLAIN_ITEM, ...spec }, 10, { ...PLAIN_SHOP, ...part });
    if (!cost.ok) throw new Error(cost.problem.kind);
    return cost.value;
  };
  const lineOf = (cost: ReturnType<typeof costWith>, id: string) => cost.lines.find((line) => line.id === id);
  const plain = costWith({});

  it('a drawing that was paid for is spread over the pieces it is used for, and nothing of it is lost with a spoiled one', () => {
    const cost = costWith({}, { artwork: { price: minor(2400), run: 40 } });
    expect(lineOf(cost, 'artwork')).toMatchObject({ cash: 60, time: 0, risk: 0, total: 60, stage: 'artwork' });
    expect(cost.withRisk.value).toBe(plain.withRisk.value + 60);
    expect(lineOf(cost, 'risk')!.risk).toBe(lineOf(plain, 'risk')!.risk);
    expect(lineOf(plain, 'artwork')).toBeUndefined();
    expect(lineOf(costWith({}, { artwork: { price: minor(2400), run: 1 } }), 'artwork')!.figure.label).toBe('Drawing');
  });

  it('overheads go by the hours of the piece, by the piece, or both', () => {
    // 270 s are 0.075 h.
    expect(lineOf(costWith({ overheadPerHour: 400, overheadPerItem: 12 }), 'overhead')).toMatchObject({
      cash: 42,
      time: 0,
      stage: 'overhead',
    });
    expect(costWith({ overheadPerItem: 12 }).cash.value).toBe(plain.cash.value + 12);
    expect(lineOf(plain, 'overhead')).toBeUndefined();
  });

  it('a pillow wears by press cycles, and the wrap press takes heat tape', () => {
    const cycles = plain.press.pressCycles;
    expect(
      lineOf(costWith({ pillowPrice: 1500, pillowPresses: 100 }), 'wear')!.cash - (lineOf(plain, 'wear')?.cash ?? 0),
    ).toBe(15 * cycles);
    const cup = { blank: { ...PLAIN_ITEM.blank, heating: 'wrap' as const, fabric: 'enamel' as const } };
    expect(lineOf(costWith({ heatTape: 7 }, cup), 'wear')!.cash).toBe(7);
    expect(lineOf(costWith({ heatTape: 7 }), 'wear')!.cash).toBe(0);
  });

  it('whatever lines there are, they add up', () => {
    const cost = costWith(
      { overheadPerHour: 333, overheadPerItem: 7, pillowPrice: 1499 },
      { artwork: { price: minor(1111), run: 7 } },
    );
    expect(cost.lines.reduce((sum, line) => sum + line.total, 0)).toBe(cost.withRisk.value);
    expect(cost.lines.reduce((sum, line) => sum + line.cash, 0)).toBe(cost.cash.value);
  });
});
