import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { solveWithHighs } from '../../../test/solve-highs';
import { minor } from '../units';
import {
  compareBaskets,
  computePacksPrice,
  computeShipping,
  findCheapestBasket,
  findPlainBaskets,
  type BasketInput,
  type Need,
  type Offer,
  type Supplier,
} from './index';

const supplier = (id: number, part: Partial<Supplier> = {}): Supplier => ({
  id,
  name: `S${id}`,
  shipping: minor(0),
  freeFrom: null,
  minimumOrder: null,
  leadDays: 2,
  ...part,
});
const pieces = (
  id: number,
  supplierId: number,
  price: number,
  contents: Readonly<Record<string, number>>,
  part: Partial<Offer> = {},
): Offer => ({
  id,
  supplierId,
  name: `O${id}`,
  price: minor(price),
  parts: Object.entries(contents).map(([key, count]) => ({ key, count, widthMm: null, lengthMm: null })),
  breaks: [],
  takePay: null,
  ...part,
});
const need = (id: string, amount: number, part: Partial<Need> = {}): Need => ({
  id,
  label: id,
  accepts: [id],
  amount,
  leastWidthMm: 0,
  withinDays: null,
  ...part,
});
const input = (part: Partial<BasketInput>): BasketInput => ({
  needs: [],
  offers: [],
  suppliers: [],
  margins: { sideMm: 0, endMm: 0 },
  ...part,
});
async function totalOf(asked: BasketInput): Promise<number> {
  const found = await findCheapestBasket(asked, solveWithHighs);
  if (!found.ok) throw new Error(JSON.stringify(found.problem));
  return found.value.total.value;
}

/** Every number of packs of every offer, up to `most`: the plainest way. Each need accepts one thing. */
function bruteForce({ needs, offers, suppliers }: BasketInput, most: number): number {
  let best = Infinity;
  const packs = offers.map(() => 0);
  const judge = () => {
    for (const wanted of needs) {
      // What is due later may also be covered by what comes sooner: every deadline's needs against what is there by
      // then.
      const due = needs
        .filter(
          (other) =>
            other.accepts[0] === wanted.accepts[0] && (other.withinDays ?? Infinity) <= (wanted.withinDays ?? Infinity),
        )
        .reduce((sum, other) => sum + other.amount, 0);
      const there = offers.reduce(
        (sum, offer, index) =>
          sum +
          (suppliers.find(({ id }) => id === offer.supplierId)!.leadDays <= (wanted.withinDays ?? Infinity)
            ? packs[index]! *
              offer.parts.filter((part) => part.key === wanted.accepts[0]).reduce((all, part) => all + part.count, 0)
            : 0),
        0,
      );
      if (there < due) return;
    }
    let total = 0;
    for (const from of suppliers) {
      const goods = offers.reduce(
        (sum, offer, index) => sum + (offer.supplierId === from.id ? computePacksPrice(offer, packs[index]!) : 0),
        0,
      );
      if (
        offers.some((offer, index) => offer.supplierId === from.id && packs[index]! > 0) &&
        goods < (from.minimumOrder ?? 0)
      )
        return;
      total += goods + computeShipping(from, goods);
    }
    best = Math.min(best, total);
  };
  const go = (at: number): void => {
    if (at === offers.length) return judge();
    for (packs[at] = 0; packs[at]! <= most; packs[at]!++) go(at + 1);
    packs[at] = 0;
  };
  go(0);
  return best;
}

describe('the cheapest basket', () => {
  it('is what trying every number of packs finds: breaks, take and pay, shipping, minimum orders, deadlines, bundles', async () => {
    const number = (min: number, max: number) => fc.integer({ min, max });
    const someSupplier = fc.record({
      shipping: number(0, 900),
      freeFrom: fc.option(number(1000, 6000)),
      minimumOrder: fc.option(number(200, 2500)),
      leadDays: number(1, 6),
    });
    const someOffer = fc
      .record({
        supplier: number(0, 1),
        price: number(100, 1500),
        a: number(0, 3),
        b: number(0, 3),
        cut: fc.option(fc.record({ from: number(2, 4), off: number(5, 60) })),
        take: fc.option(fc.constantFrom([3, 2], [2, 1], [4, 3])),
      })
      .filter(({ a, b }) => a + b > 0);
    await fc.assert(
      fc.asyncProperty(
        fc.tuple(someSupplier, someSupplier),
        fc.array(someOffer, { minLength: 1, maxLength: 4 }),
        number(1, 5),
        number(1, 5),
        fc.option(number(2, 6)),
        async (traders, list, wantA, wantB, withinDays) => {
          const suppliers = traders.map((trader, index): Supplier =>
            supplier(index + 1, {
              shipping: minor(trader.shipping),
              freeFrom: trader.freeFrom === null ? null : minor(trader.freeFrom),
              minimumOrder: trader.minimumOrder === null ? null : minor(trader.minimumOrder),
              leadDays: trader.leadDays,
            }),
          );
          const offers = list.map((entry, index) =>
            pieces(
              index + 1,
              entry.supplier + 1,
              entry.price,
              { ...(entry.a ? { a: entry.a } : {}), ...(entry.b ? { b: entry.b } : {}) },
              {
                breaks: entry.cut
                  ? [{ fromPacks: entry.cut.from, price: minor(Math.round(entry.price * (1 - entry.cut.off / 100))) }]
                  : [],
                takePay: entry.take ? { take: entry.take[0]!, pay: entry.take[1]! } : null,
              },
            ),
          );
          const asked = input({ suppliers, offers, needs: [need('a', wantA), need('b', wantB, { withinDays })] });
          const plain = bruteForce(asked, 9);
          const found = await findCheapestBasket(asked, solveWithHighs);
          if (plain === Infinity) {
            // Minimum orders may be met by more packs than were tried; what nothing covers is always told.
            if (found.ok)
              expect(found.value.orders.some(({ lines }) => lines.some(({ packs }) => packs > 9))).toBe(true);
            return;
          }
          expect(found.ok).toBe(true);
          if (found.ok) expect(found.value.total.value).toBeLessThanOrEqual(plain);
          if (found.ok && found.value.orders.every(({ lines }) => lines.every(({ packs }) => packs <= 9)))
            expect(found.value.total.value).toBe(plain);
        },
      ),
      { numRuns: 60 },
    );
  }, 120_000);

  it('crosses a free-shipping threshold where that is cheaper, and says what is left over', async () => {
    const suppliers = [supplier(1, { shipping: minor(900), freeFrom: minor(5000) })];
    const offers = [pieces(1, 1, 1500, { a: 10 }), pieces(2, 1, 500, { a: 1 })];
    const found = await findCheapestBasket(input({ suppliers, offers, needs: [need('a', 30)] }), solveWithHighs);
    expect(found.ok && found.value.total.value).toBe(5000);
    expect(found.ok && found.value.orders[0]!.shipping).toBe(0);
    expect(found.ok && found.value.leftovers).toEqual([{ key: 'a', amount: 1 }]);
    expect(await totalOf(input({ suppliers, offers: offers.slice(0, 1), needs: [need('a', 30)] }))).toBe(5400);
  });

  it('takes rolls that are wide enough only, by the area a cutter reaches, and any of the things that will do', async () => {
    const suppliers = [supplier(1)];
    const rollOf = (id: number, key: string, price: number, widthMm: number, lengthMm: number): Offer => ({
      id,
      supplierId: 1,
      name: key,
      price: minor(price),
      parts: [{ key, count: 1, widthMm, lengthMm }],
      breaks: [],
      takePay: null,
    });
    const offers = [
      rollOf(1, 'vinyl:1', 900, 300, 5000),
      rollOf(2, 'vinyl:1', 2500, 500, 5000),
      rollOf(3, 'vinyl:2', 2000, 500, 5000),
    ];
    const margins = { sideMm: 10, endMm: 50 };
    const wide = { ...need('vinyl:1', 1e6), leastWidthMm: 400 };
    expect(await totalOf(input({ suppliers, offers, margins, needs: [{ ...wide, leastWidthMm: 0 }] }))).toBe(900);
    expect(await totalOf(input({ suppliers, offers, margins, needs: [wide] }))).toBe(2500);
    expect(
      await totalOf(input({ suppliers, offers, margins, needs: [{ ...wide, accepts: ['vinyl:1', 'vinyl:2'] }] })),
    ).toBe(2000);
  });

  it('says which need nothing covers, and why', async () => {
    const suppliers = [supplier(1, { leadDays: 9 })],
      offers = [pieces(1, 1, 100, { a: 1 })];
    const problemOf = async (one: Need) => {
      const found = await findCheapestBasket(input({ suppliers, offers, needs: [one] }), solveWithHighs);
      return found.ok ? null : found.problem;
    };
    expect(await problemOf(need('z', 1))).toEqual({ kind: 'not-offered', needId: 'z', because: 'no-offer' });
    expect(await problemOf(need('a', 1, { withinDays: 3 }))).toEqual({
      kind: 'not-offered',
      needId: 'a',
      because: 'too-late',
    });
  });

  it('sets the plain orders beside it: all from one supplier', async () => {
    const suppliers = [
      supplier(1, { shipping: minor(500), leadDays: 5 }),
      supplier(2, { shipping: minor(300), leadDays: 1 }),
    ];
    const offers = [
      pieces(1, 1, 1000, { a: 1 }),
      pieces(2, 1, 4000, { b: 1 }),
      pieces(3, 2, 3000, { a: 1 }),
      pieces(4, 2, 1000, { b: 1 }),
    ];
    const asked = input({ suppliers, offers, needs: [need('a', 1), need('b', 1)] });
    expect(await totalOf(asked)).toBe(1000 + 1000 + 800);
    expect((await findPlainBaskets(asked, solveWithHighs)).map((basket) => [basket.total.value, basket.days])).toEqual([
      [4300, 1],
      [5500, 5],
    ]);
  });

  it('of nothing is nothing', async () => {
    expect(await totalOf(input({}))).toBe(0);
  });
});

describe('a basket that is not proven', () => {
  const asked = input({ needs: [need('a', 3)], offers: [pieces(1, 1, 500, { a: 1 })], suppliers: [supplier(1)] });
  const within = async (bound: number | undefined) => {
    const found = await findCheapestBasket(asked, async (programme) => ({
      ...(await solveWithHighs(programme)),
      status: 'Time limit reached',
      ...(bound === undefined ? {} : { bound }),
    }));
    if (!found.ok) throw new Error(found.problem.kind);
    return found.value.doubt;
  };

  it('says by how much another might be cheaper, in whole cents', async () => {
    expect((await within(14.3349))!.value).toBe(1500 - 1434);
    expect((await within(14.3349))!.parts!.map((part) => part.value)).toEqual([1500, 1434]);
    // None can be cheaper by part of a cent.
    expect(await within(14.995)).toBeNull();
    expect(await within(undefined)).toBeNull();
  });

  it('is none where the time ran out before anything was found', async () => {
    const found = await findCheapestBasket(asked, async () => ({ status: 'Time limit reached', values: {}, bound: 0 }));
    expect(found).toMatchObject({ ok: false, problem: { kind: 'not-solved' } });
  });

  it('is compared with a plainer one by money and days', async () => {
    const two = input({
      needs: [need('a', 2), need('b', 2)],
      offers: [pieces(1, 1, 100, { a: 1 }), pieces(2, 2, 150, { a: 1 }), pieces(3, 2, 100, { b: 1 })],
      suppliers: [supplier(1, { leadDays: 1 }), supplier(2, { leadDays: 4 })],
    });
    const best = await findCheapestBasket(two, solveWithHighs);
    const [plain] = await findPlainBaskets(two, solveWithHighs);
    if (!best.ok) throw new Error(best.problem.kind);
    expect(compareBaskets(plain!, best.value)).toMatchObject({ more: { value: 100 }, daysLater: 0 });
  });
});
