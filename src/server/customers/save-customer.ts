// Customers are changed, archived, and written out and read in as a table.

import type { InferType } from 'yup';
import type { customerInput } from '../../core/input/index';
import { writeCsv } from '../../core/buying/index';
import { readCustomers, type CustomerLine } from '../../core/rosters/index';
import {
  findCustomer,
  findCustomersNamed,
  insertCustomer,
  loadCustomers,
  setCustomerArchived,
  updateCustomer,
} from '../../data/customer-store';
import { inTransaction } from '../../data/database';
import { changed, type Saved } from '../saved';
import type { ShopContext } from '../context';
import { notFound, ShopError, stale } from '../errors';

export function changeCustomer(
  shop: ShopContext,
  id: number,
  input: InferType<typeof customerInput>,
  version: number,
): Saved {
  if (!findCustomer(shop.db, id)) throw notFound('This customer');
  if (!updateCustomer(shop.db, id, input, version)) throw stale('This customer');
  return changed(id, version);
}

export function archiveCustomer(shop: ShopContext, id: number, archived: boolean): void {
  if (!setCustomerArchived(shop.db, id, archived ? shop.now() : null)) throw notFound('This customer');
}

const COLUMNS = ['name', 'contact', 'address', 'note'] as const;

/** All on the list, by name. */
export const writeCustomersCsv = (shop: ShopContext): string =>
  writeCsv(
    [...COLUMNS],
    loadCustomers(shop.db).map((customer) => COLUMNS.map((column) => customer[column])),
  );

/**
 * Adds those of a table whose name and contact nobody has yet; the others stay as they are. @throws ShopError where the
 * table can't be read
 */
export function importCustomers(shop: ShopContext, text: string): { readonly added: number; readonly known: number } {
  const lines = readCustomers(text);
  if (!lines.ok) throw new ShopError('unreadable', { reason: 'customers-unreadable', problem: lines.problem }, 'file');
  return inTransaction(shop.db, () => {
    const fresh = lines.value.filter((line) => !isKnown(shop, line));
    const once = new Map(fresh.map((line) => [`${line.name}\n${line.contact}`, line]));
    for (const line of once.values()) insertCustomer(shop.db, line);
    return { added: once.size, known: lines.value.length - once.size };
  });
}

const isKnown = (shop: ShopContext, { name, contact }: CustomerLine): boolean =>
  findCustomersNamed(shop.db, name).some((one) => one.contact.trim().toLowerCase() === contact.trim().toLowerCase());
