// Customers as the screens show them, and who owes what.

import { getOwed } from '../../core/orders/index';
import { dayOf } from '../../core/units/index';
import {
  countCustomers,
  findCustomer,
  findCustomersNamed,
  listCustomers,
  listOrderIdsOf,
  sumOrdersOf,
} from '../../data/customer-store';
import { loadStandingOrders } from '../../data/order-store';
import { listOwed, sumOwed } from '../../data/payment-store';
import type { CustomerListView, CustomerView, OwedView } from '../../views/customers';
import { getShop, type ShopContext } from '../context';
import { notFound } from '../errors';
import { findPage, readListQuery } from '../list-query';
import { toRows } from '../orders/load-orders';
import { readStanding } from '../orders/read-orders';

const PAGE_ROWS = 50;

export function loadCustomerList(shop: ShopContext, params: URLSearchParams): CustomerListView {
  const query = readListQuery(params, ['name']);
  const { offset, ...at } = findPage(countCustomers(shop.db, query.words), query.page, PAGE_ROWS);
  return { query, at, rows: listCustomers(shop.db, { words: query.words, offset, limit: PAGE_ROWS }) };
}

/** @throws ShopError not-found */
export function loadCustomer(shop: ShopContext, id: number): CustomerView {
  const customer = findCustomer(shop.db, id);
  if (!customer) throw notFound('This customer');
  const ids = listOrderIdsOf(shop.db, id, { offset: 0, limit: PAGE_ROWS });
  return {
    customer: { ...customer, ...sumOrdersOf(shop.db, id) },
    orders: toRows(shop, loadStandingOrders(shop.db, ids).map(readStanding), new Map()),
    namesakes: findCustomersNamed(shop.db, customer.name)
      .filter((other) => other.id !== id)
      .map(({ id: other, contact }) => ({ id: other, contact })),
  };
}

export function loadOwed(shop: ShopContext, params: URLSearchParams): OwedView {
  const query = readListQuery(params, ['due']);
  const { count, owed } = sumOwed(shop.db);
  const { offset, ...at } = findPage(count, query.page, PAGE_ROWS);
  return {
    query,
    at,
    count,
    owed,
    rows: listOwed(shop.db, { offset, limit: PAGE_ROWS }).map(({ standing, ...row }) => ({
      ...row,
      owed: getOwed(row),
      isHandedOver: standing === 'handed-over',
    })),
    today: dayOf(shop.now(), getShop(shop).timeZone),
  };
}
