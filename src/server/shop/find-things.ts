// Search over everything that has a name.

import { and, eq, isNull, like, or } from 'drizzle-orm';
import { artworks, blanks, customers, items, orders, vinyls } from '../../data/schema';
import type { FoundThing } from '../../views/frame';
import type { ShopContext } from '../context';

const EACH = 6;

/** Things whose name holds the text, open lists only; a number finds the order of that number. */
export function findThings(shop: ShopContext, text: string): readonly FoundThing[] {
  const wanted = `%${text
    .trim()
    .replace(/[%_\\]/g, '')
    .slice(0, 80)}%`;
  const number = /^\d{1,9}$/.test(text.trim()) ? Number(text.trim()) : -1;
  const { db } = shop;
  const foundOrders = db
    .select({ id: orders.id, title: orders.title, customer: customers.name, dueDay: orders.dueDay })
    .from(orders)
    .innerJoin(customers, eq(customers.id, orders.customerId))
    .where(or(like(orders.title, wanted), like(customers.name, wanted), eq(orders.id, number)))
    .orderBy(orders.dueDay)
    .limit(EACH)
    .all();
  const foundItems = db
    .select({ id: items.id, name: items.name })
    .from(items)
    .where(and(like(items.name, wanted), isNull(items.archivedAtMs)))
    .limit(EACH)
    .all();
  const foundArtworks = db
    .select({ id: artworks.id, name: artworks.name })
    .from(artworks)
    .where(and(like(artworks.name, wanted), isNull(artworks.archivedAtMs)))
    .limit(EACH)
    .all();
  const foundVinyls = db
    .select({ id: vinyls.id, name: vinyls.name, colour: vinyls.colourName })
    .from(vinyls)
    .where(and(or(like(vinyls.name, wanted), like(vinyls.colourName, wanted)), isNull(vinyls.archivedAtMs)))
    .limit(EACH)
    .all();
  const foundBlanks = db
    .select({ id: blanks.id, name: blanks.name })
    .from(blanks)
    .where(and(like(blanks.name, wanted), isNull(blanks.archivedAtMs)))
    .limit(EACH)
    .all();
  return [
    ...foundOrders.map((row): FoundThing => ({
      kind: 'order',
      label: row.title,
      detail: `${row.customer}, due ${row.dueDay}`,
      href: `/orders/${row.id}`,
    })),
    ...foundItems.map((row): FoundThing => ({
      kind: 'item',
      label: row.name,
      detail: 'item',
      href: `/items/${row.id}`,
    })),
    ...foundArtworks.map((row): FoundThing => ({
      kind: 'artwork',
      label: row.name,
      detail: 'artwork',
      href: `/artwork/${row.id}`,
    })),
    ...foundVinyls.map((row): FoundThing => ({
      kind: 'vinyl',
      label: row.name,
      detail: row.colour,
      href: `/shelf?vinyl=${row.id}`,
    })),
    ...foundBlanks.map((row): FoundThing => ({
      kind: 'blank',
      label: row.name,
      detail: 'blank',
      href: `/shelf?blank=${row.id}`,
    })),
  ];
}
