// What may be entered of orders: their lines with texts, changes, steps, payments.

import * as yup from 'yup';
import { FEED_COLUMNS, type FeedColumn } from '../feeds';
import { ORDER_ROW_LIMIT } from '../rosters';
import { optionIndexes } from './item-inputs';
import { letteringInput } from './lettering-input';
import {
  GOES,
  ORDER_MOVES,
  PAYMENT_KINDS,
  type Fate,
  type OrderMove,
  type OrderTerms,
  type PaymentKind,
} from '../orders';
import { isDay, money, numberBetween, oneOf, optionalText, orNothing, rowId, shortText, wholeBetween } from './rules';

export const dueDay = yup
  .string()
  .required('Due: choose the day it is promised for.')
  .test('day', 'Due: a day of the calendar, such as 2027-03-31.', isDay);

const MOST_OFF = 0.9;
const MOST_RUSH = 2;
const ofPieces = 'It is a share of the price of the pieces.';
export const termsInput = yup.object({
  discountShare: numberBetween('Discount', 0, MOST_OFF, ofPieces).default(0),
  setOff: money('Off for a set').default(0),
  rushShare: numberBetween('Rush', 0, MOST_RUSH, ofPieces).default(0),
  goes: oneOf<OrderTerms['goes']>('Delivery', GOES).default('collected'),
  deliveryCharge: money('Delivery charge').default(0),
});

export const orderChange = yup.object({
  title: shortText('What for'),
  dueDay,
  agreed: money('Agreed price'),
  /** Left out: as they were. */
  terms: termsInput.default(undefined).optional(),
  /** Left out: as it was. */
  deposit: money('Deposit').optional(),
  note: optionalText('Note'),
});

/** Longer lists of names are taken as several orders. */
const ROSTER_LINES = ORDER_ROW_LIMIT;
const TEXT_LETTERS = 400;
/** Kept as written: spaces at the ends are the customer's. */
const writtenText = (label: string) =>
  yup
    .string()
    .typeError(`${label}: write a text.`)
    .defined()
    .max(TEXT_LETTERS, `${label}: at most ${TEXT_LETTERS} letters.`);
const lineTexts = yup
  .array(
    yup.object({
      label: shortText('Text', 40),
      text: writtenText('Text'),
      given: writtenText('As the customer wrote it'),
      smaller: yup.boolean().default(false),
    }),
  )
  .max(12, 'Texts: at most 12 on a piece.')
  .default([]);
const roster = yup.string().nullable().default(null).max(1_000_000, 'The list: at most a million letters.');

const orderLine = yup.object({
  itemId: rowId('Item'),
  quantity: wholeBetween('Quantity', 1, 2000, 'More than 2000 in one line is better split.'),
  sizeName: shortText('Size', 30),
  colourName: shortText('Colour', 40),
  options: optionIndexes,
  texts: lineTexts,
  note: optionalText('Note', 200),
  /** Null: at the shop's price; left out: as it was. */
  each: orNothing(money('Price each')).optional(),
  /** Which line of a list of names it is. */
  rosterRow: wholeBetween('Row', 1, 1_000_000, 'By its place in the list.').nullable().default(null),
});
const orderLines = yup
  .array(orderLine)
  .required()
  .min(1, 'Lines: at least one item.')
  .max(ROSTER_LINES, `Lines: at most ${ROSTER_LINES}. Take a longer list as two orders.`);
export const askOrderInput = yup.object({ lines: orderLines });
export const orderInput = orderChange.concat(
  yup.object({
    /** One that is known; left out: whoever has that name and contact. */
    customerId: rowId('Customer').nullable().default(null),
    customerName: shortText('Customer'),
    contact: optionalText('Contact', 200),
    lines: orderLines,
    /** A list of names as it came. */
    roster,
    /** Agreed, or talked about. */
    as: oneOf<'placed' | 'wished'>('Taken as', ['placed', 'wished']).default('placed'),
    /** The seller was told that the day is early, and takes it all the same. */
    earlyAccepted: yup.boolean().default(false),
  }),
);

/** A piece at the stall. */
export const stallAsk = orderLine.pick(['itemId', 'quantity', 'sizeName', 'colourName', 'options', 'texts', 'each']);
export const stallInput = stallAsk.shape({
  /** Empty: nobody in particular. */
  customerName: optionalText('Name', 120),
  /** Cash, card: a word; null where it is paid when it is collected. */
  paidBy: shortText('Paid by', 40).nullable().default(null),
  /** The customer read every text letter by letter on the screen. */
  isRead: yup.boolean().default(false),
});

/** All lines as they shall be; `lineId` null for one that is new. */
export const linesChange = yup.object({
  lines: yup
    .array(orderLine.shape({ lineId: rowId('Line').nullable().default(null) }))
    .required()
    .min(1, 'Lines: at least one item. To give up the order, cancel it.')
    .max(ROSTER_LINES, `Lines: at most ${ROSTER_LINES}.`),
  /** What becomes of pieces that were begun and are not wanted any more; null where none may be. */
  fate: oneOf<Fate>('Pieces that are begun', ['spare', 'spoiled']).nullable().default(null),
  roster,
  /** Left out: what was agreed moves as the prices of the lines do. */
  agreed: money('Agreed price').optional(),
});

export const moveInput = yup.object({
  detail: optionalText('Reason', 200),
  owedGivenUp: yup.boolean().default(false),
});
const MOST_AT_ONCE = 200;
/** Steps that need no word of explanation may be taken of several orders at once. */
export const ordersMove = yup.object({
  ids: yup.array(rowId('Order')).required().min(1, 'Choose at least one order.').max(MOST_AT_ONCE),
  move: oneOf<OrderMove | 'undo'>('Step', [...ORDER_MOVES, 'undo']),
});
/** What a channel calls an item, or a size or colour of it. */
export const nameMatch = yup.object({
  kind: oneOf<'item' | 'size' | 'colour'>('Kind', ['item', 'size', 'colour']),
  name: shortText('Name', 200),
  itemId: rowId('Item'),
  // Of a size or colour: as the blank calls it.
  own: optionalText('Own name', 60).default('').optional(),
});
const columnInput = orNothing(wholeBetween('Column', 0, 1000, 'Counted from 0.'));
/** Which column of a file is which. */
export const feedColumnsInput = yup.object(
  Object.fromEntries(FEED_COLUMNS.map((column) => [column, columnInput])) as Record<FeedColumn, typeof columnInput>,
);
export const paymentInput = yup.object({
  kind: oneOf<PaymentKind>('Kind', PAYMENT_KINDS),
  amount: money('Amount').min(1, 'Amount: more than nothing.'),
  means: shortText('By', 40),
});
/** Texts to be set, each in its own letters. */
export const textsInput = yup.object({
  texts: yup
    .array(
      yup.object({
        text: writtenText('Text'),
        lettering: letteringInput.required(),
        smaller: yup.boolean().default(false),
      }),
    )
    .required()
    .max(500, 'Texts: at most 500 at once.'),
});
export const customerInput = yup.object({
  name: shortText('Name'),
  contact: optionalText('Reached by', 200),
  address: optionalText('Address', 500),
  note: optionalText('Note'),
});
export const proofApproval = yup.object({ by: shortText('Approved by', 120) });
export const readBackInput = yup.object({
  lineIds: yup.array(rowId('Line')).required().min(1, 'Choose at least one text.').max(ROSTER_LINES),
  isRead: yup.boolean().required(),
  version: yup.number().required().integer().min(1),
});
