// Every amount of the shop's file at once, for a change of its currency.

import { sql } from 'drizzle-orm';
import { SHOP_FIGURE_KEYS, SHOP_FIGURES } from '../core/materials';
import { scaleMoneyIn } from '../core/units';
import type { Database } from './database';

/** Columns of whole minor units. */
export const MONEY_COLUMNS = [
  ['blank_sizes', 'price'],
  ['items', 'artwork_price'],
  ['items', 'price'],
  ['offer_breaks', 'price'],
  ['offer_prices', 'price'],
  ['offers', 'price'],
  ['order_lines', 'each'],
  ['orders', 'agreed'],
  ['orders', 'deposit'],
  ['orders', 'paid'],
  ['payments', 'amount'],
  ['purchase_lines', 'goods'],
  ['purchases', 'shipping'],
  ['suppliers', 'free_from'],
  ['suppliers', 'minimum_order'],
  ['suppliers', 'shipping'],
  ['vinyls', 'roll_price'],
] as const;

/** Columns of shares and of what one unit cost: not rounded. */
const EXACT_COLUMNS = [
  ['lots', 'unit_cost'],
  ['part_events', 'blank_cost'],
  ['part_events', 'vinyl_cost'],
  ['part_events', 'wear_cost'],
  ['supply_wear', 'unit_cost'],
] as const;

/** Columns of JSON, with the names of the amounts in them; `whole` where they are typed. */
const JSON_COLUMNS: readonly {
  readonly table: string;
  readonly column: string;
  readonly names: readonly string[];
  readonly whole: boolean;
}[] = [
  {
    table: 'shop',
    column: 'figures',
    names: SHOP_FIGURE_KEYS.filter((key) => SHOP_FIGURES[key].unit.startsWith('money')),
    whole: true,
  },
  { table: 'shop', column: 'figures', names: ['priceLevel'], whole: false },
  {
    table: 'channels',
    column: 'fees',
    names: ['from', 'fixed', 'listing', 'paymentFixed', 'day', 'delivery', 'deliveryPaid'],
    whole: true,
  },
  {
    table: 'items',
    column: 'details',
    names: ['surcharge', 'price', 'grossPrice', 'templatePrice', 'tapePrice', 'packaging', 'othersAsk', 'ownCost'],
    whole: true,
  },
  { table: 'feed_orders', column: 'content', names: ['each'], whole: true },
  { table: 'order_lines', column: 'made', names: ['price'], whole: true },
  { table: 'orders', column: 'terms', names: ['setOff', 'deliveryCharge'], whole: true },
  {
    table: 'order_lines',
    column: 'quote',
    names: [
      'cash',
      'full',
      'withRisk',
      'wagePerHour',
      'cutterRatePerHour',
      'blankPrice',
      'otherCash',
      'workCash',
      'pressSecondCash',
      'warmUpCash',
      'vinylCost',
    ],
    whole: false,
  },
  { table: 'quotes', column: 'facts', names: ['each', 'total', 'costEach', 'wagePerHour'], whole: true },
  { table: 'start_plan', column: 'plan', names: ['price', 'cap', 'reserve'], whole: true },
];

/** Several statements: call it inside a transaction. What items were accepted at is forgotten: all of it changed. */
export function scaleMoney(db: Database, factor: number): void {
  for (const [table, column] of MONEY_COLUMNS) {
    const name = sql.identifier(column);
    // A payment is never nothing.
    const least = table === 'payments' ? 1 : 0;
    db.run(
      sql`update ${sql.identifier(table)} set ${name} = max(${least}, round(${name} * ${factor})) where ${name} is not null`,
    );
  }
  recountAllPaid(db);
  for (const [table, column] of EXACT_COLUMNS) {
    const name = sql.identifier(column);
    db.run(sql`update ${sql.identifier(table)} set ${name} = ${name} * ${factor} where ${name} is not null`);
  }
  for (const { table, column, names, whole } of JSON_COLUMNS) {
    const [from, name] = [sql.identifier(table), sql.identifier(column)];
    const rows = db.all<{ place: number; stored: string }>(
      sql`select rowid as place, ${name} as stored from ${from} where ${name} is not null`,
    );
    for (const { place, stored } of rows) {
      const scaled = scaleMoneyIn(JSON.parse(stored), new Set(names), factor, whole);
      db.run(sql`update ${from} set ${name} = ${JSON.stringify(scaled)} where rowid = ${place}`);
    }
  }
  db.run(sql`update items set accepted_cost = null`);
}

/** What was paid is the sum of payments that were rounded each. */
function recountAllPaid(db: Database): void {
  db.run(sql`update orders set paid = coalesce((
    select sum(case kind when 'payment' then amount when 'refund' then -amount else 0 end)
    from payments where order_id = orders.id and taken_back_at_ms is null), 0)`);
}

/** Whether anything in the file has a price yet. */
export const hasPrices = (db: Database): boolean =>
  ['vinyls', 'blanks', 'items', 'orders', 'offers', 'lots', 'quotes'].some(
    (table) => db.all(sql`select 1 from ${sql.identifier(table)} limit 1`).length > 0,
  );
