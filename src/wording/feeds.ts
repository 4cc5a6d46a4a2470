// What taking a channel's file did, in one sentence.

import type { FeedColumn } from '../core/feeds';
import type { FeedReport, FeedRow, UnknownName } from '../views/feed';
import { plural } from './plural';

export const FEED_STATES: Readonly<Record<FeedRow['state'], string>> = {
  taken: 'taken',
  changed: 'changed',
  cancelled: 'cancelled',
  waiting: 'waiting to be matched',
  refused: 'failed',
};

export const FEED_COLUMN_NAMES: Readonly<Record<FeedColumn, string>> = {
  order: 'Order number',
  state: 'State (says “cancelled”)',
  customer: 'Customer',
  contact: 'Contact',
  due: 'Due day',
  item: 'Item',
  quantity: 'Quantity',
  size: 'Size',
  colour: 'Colour',
  price: 'Price each',
  note: 'Note',
};

export function describeReport(report: FeedReport): string {
  const { taken, changed, cancelled, same, waiting, refused } = report;
  const said = [
    ...(taken > 0 ? [`${plural(taken, 'order')} taken`] : []),
    ...(changed > 0 ? [`${changed} changed`] : []),
    ...(cancelled > 0 ? [`${cancelled} cancelled`] : []),
    ...(waiting > 0 ? [`${waiting} to match`] : []),
    ...(refused > 0 ? [`${refused} failed`] : []),
    ...(same > 0 ? [`${same} already known`] : []),
  ];
  return said.length > 0 ? `${said.join(', ')}.` : 'There was no order in it.';
}

export const describeUnknown = (unknown: readonly UnknownName[]): string =>
  `What is ${unknown.map((one) => (one.kind === 'item' ? one.name : `the ${one.kind} ${one.name} of ${one.item.name}`)).join(', ')}?`;
