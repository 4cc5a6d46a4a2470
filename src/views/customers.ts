// Customers, and what is owed. Types only.

import type { Minor } from '../core/units';
import type { ListPage, ListQuery } from './list';
import type { OrderRow } from './orders';

type CustomerRow = {
  readonly id: number;
  readonly name: string;
  readonly contact: string;
  readonly address: string;
  readonly note: string;
  readonly archived: boolean;
  readonly version: number;
  /** Cancelled ones aside. */
  readonly orders: number;
  /** Of these what was agreed, minor units. */
  readonly worth: number;
  readonly owed: number;
  /** Epoch ms of the newest; null before any. */
  readonly lastAtMs: number | null;
};

export type CustomerListView = {
  readonly rows: readonly CustomerRow[];
  readonly query: ListQuery<'name'>;
  readonly at: ListPage;
};

export type CustomerView = {
  readonly customer: CustomerRow;
  /** The newest first. */
  readonly orders: readonly OrderRow[];
  /** Others of that very name, who are somebody else. */
  readonly namesakes: readonly { readonly id: number; readonly contact: string }[];
};

type OwedRow = {
  readonly id: number;
  readonly title: string;
  readonly customerName: string;
  readonly contact: string;
  /** ISO day. */
  readonly dueDay: string;
  readonly isHandedOver: boolean;
  readonly agreed: Minor;
  readonly paid: Minor;
  readonly owed: number;
};
export type OwedView = {
  readonly rows: readonly OwedRow[];
  /** Of all orders with anything owed. */
  readonly count: number;
  readonly owed: number;
  readonly at: ListPage;
  readonly query: ListQuery<'due'>;
  /** ISO day in the shop’s time zone. */
  readonly today: string;
};
