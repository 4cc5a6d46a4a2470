// The demo shop's past: the same every time but for its dates, soundly booked, and enough to learn from.

import { beforeAll, describe, expect, it } from 'vitest';
import { LEAST_LOGS } from '../../../core/estimating/index';
import { findUnbalancedLots } from '../../../data/stock-store';
import { openShop, type ShopContext } from '../../context';
import { recountParts } from '../../../data/evidence-store';
import { learnTimes } from '../../trials/learn-times';
import { loadGuesses } from '../../trials/load-guesses';
import { loadTrust } from '../../trials/load-trust';
import { seedDemo } from '../seed-demo';

const NOW = Date.parse('2026-11-24T10:00:00Z');
const DAY_MS = 86_400_000;
const ALL = 'select count(*) as n from';

async function seed(nowMs: number, withPast: boolean): Promise<ShopContext> {
  const shop = openShop(':memory:', () => nowMs);
  await seedDemo(shop.db, nowMs, { withPast });
  return shop;
}
const ask = <Row>({ db }: ShopContext, statement: string): Row[] => db.$client.prepare(statement).all() as Row[];
const count = (shop: ShopContext, from: string): number => ask<{ n: number }>(shop, `${ALL} ${from}`)[0]!.n;

let shop: ShopContext;
let plain: ShopContext;
beforeAll(async () => {
  shop = await seed(NOW, true);
  plain = await seed(NOW, false);
}, 180_000);

describe('the demo shop’s past', () => {
  it('has about 120 orders over four months, numbered as they came', () => {
    const placed = ask<{ at: number }>(shop, 'select placed_at_ms as at from orders order by id').map(({ at }) => at);
    expect(placed).toHaveLength(120);
    const past = placed.slice(0, 107);
    expect(past).toEqual([...past].sort((a, b) => a - b));
    expect((NOW - past[0]!) / DAY_MS).toBeGreaterThan(115);
    expect((NOW - past.at(-1)!) / DAY_MS).toBeLessThan(12);
  });

  it('is the same with other dates', async () => {
    const later = await seed(NOW + 7 * DAY_MS, true);
    const story = (of: ShopContext) => [
      ask(of, 'select part_id, kind, cause from part_events order by id'),
      ask(of, 'select station, stopped_at_ms - started_at_ms from work_sessions order by id'),
      ask(of, 'select lot_id, cause, quantity from stock_lines order by id'),
    ];
    expect(story(later)).toEqual(story(shop));
  }, 180_000);

  it('leaves the shelf and what is worn as they are without it', () => {
    for (const what of [
      'select key, form, width_mm, length_mm, round(left, 3) as left from lots where left > 0 order by 1, 2, 3, 4, 5',
      `select supply_id, round(sum(amount), 3) as worn from supply_wear w where kind = 'worn' and id >
        (select max(id) from supply_wear f where f.kind = 'fitted' and f.supply_id = w.supply_id) group by 1 order by 1`,
    ])
      expect(ask(shop, what)).toEqual(ask(plain, what));
  });

  it('is worked on by one pair of hands, in the shop’s hours', () => {
    const works = ask<{ start: number; stop: number }>(
      shop,
      `select started_at_ms as start, stopped_at_ms as stop from work_sessions where stopped_at_ms > started_at_ms
        and id <= (select max(session_id) from work_session_parts where part_id <
          (select min(parts.id) from parts join pieces on pieces.id = piece_id join order_lines l on l.id = line_id
            where l.order_id = 108))`,
    );
    expect(works.length).toBeGreaterThan(450);
    for (const [at, { start }] of works.entries()) {
      expect(start).toBeGreaterThanOrEqual(works[at - 1]?.stop ?? 0);
      const hour = Number(
        new Intl.DateTimeFormat('en-GB', { hour: 'numeric', hourCycle: 'h23' }).formatToParts(start)[0]!.value,
      );
      expect(hour).toBeGreaterThanOrEqual(9);
      expect(hour).toBeLessThan(17);
    }
  });

  it('is booked soundly: no lot is out of balance, what is kept is what a recount gives, all is paid', () => {
    expect(findUnbalancedLots(shop.db)).toEqual([]);
    const kept = () => [
      ask(shop, 'select id, state, broken from parts order by id'),
      ask(shop, 'select * from vinyl_evidence order by vinyl_id'),
      ask(shop, 'select * from lot_evidence order by vinyl_id, lot_id, design'),
      ask(shop, 'select * from item_evidence order by item_id'),
    ];
    const before = kept();
    shop.db.$client.exec('savepoint recount');
    recountParts(shop.db);
    const after = kept();
    shop.db.$client.exec('rollback to recount');
    expect(after).toEqual(before);
    expect(count(shop, "orders where id <= 107 and standing = 'handed-over' and paid <> agreed")).toBe(0);
  });

  it('has spoilage by cause, raised prices, trials and washes', () => {
    const causes = ask<{ cause: string }>(shop, "select distinct cause from part_events where kind = 'spoiled'");
    expect(causes.length).toBeGreaterThanOrEqual(5);
    expect(count(shop, 'ladders where preset_id is not null')).toBe(2);
    expect(count(shop, 'side_trials where closed_at_ms is not null')).toBe(2);
    expect(count(shop, "press_looks where kind = 'washed'")).toBeGreaterThan(20);
    expect(count(shop, 'later_looks where look_id is null')).toBeGreaterThan(0);
  });

  it('is enough to learn from: coefficients, factors, guesses, and which vinyl to trust', () => {
    const [weed, cut] = learnTimes(shop).stations;
    for (const station of [weed!, cut!]) {
      expect(station.logs).toBeGreaterThan(5 * LEAST_LOGS);
      expect(station.figures.length).toBeGreaterThan(0);
      expect(station.tested!.after).toBeLessThan(station.tested!.before);
    }
    expect(weed!.factors).toHaveLength(8);
    expect(weed!.leftOut + cut!.leftOut).toBeGreaterThan(0);
    expect(loadGuesses(shop).all).not.toBeNull();
    const trusted = new Map(loadTrust(shop).map(({ vinylName, classes }) => [vinylName, classes]));
    expect(trusted.size).toBe(8);
    const lotsOf = (name: string) => trusted.get(name)!.flatMap(({ lots }) => lots);
    expect(lotsOf('Tarn Smooth, slate').length).toBeGreaterThan(2);
  });
});
