// Orders: the list with its combs, one order, and the order form. Types only.

import type { VariantRule } from '../core/costing';
import type { Lettering } from '../core/artwork';
import type {
  Fate,
  LineText,
  OrderMove,
  OrderStage,
  OrderTerms,
  PartGroup,
  PartState,
  PaymentKind,
  QuotedAgainstReal,
  Rest,
} from '../core/orders';
import type { Figure, Minor } from '../core/units';
import type { ListPage, ListQuery } from './list';

/** One tooth a part, one column a piece. */
type CombTooth = {
  readonly partId: number;
  readonly state: PartState;
  /** It was spoiled and is to be made again. */
  readonly broken: boolean;
  /** #rrggbb of its vinyl. */
  readonly colour: string;
};

export type CombColumn = {
  readonly pieceId: number;
  /** Which piece of its order, from 1; of several the first. */
  readonly number: number;
  /** So many pieces stand in it, each tooth as far as the slowest of them: a comb has only so many columns. */
  readonly pieces: number;
  readonly teeth: readonly CombTooth[];
};

export type OrderRow = {
  readonly id: number;
  readonly title: string;
  readonly customerName: string;
  /** ISO day. */
  readonly dueDay: string;
  readonly stage: OrderStage;
  /** Working time free until it is due, seconds; below 0 it comes late; null once it is closed. */
  readonly slack: Figure | null;
  /** What the customer pays, minor units. */
  readonly agreed: Minor;
  /** Of that, what is not paid yet. */
  readonly owed: number;
  readonly comb: readonly CombColumn[];
  /** What comes next, in words. */
  readonly waitingFor: string;
  /** Work of hands that is left, seconds. */
  readonly neededSeconds: number;
};

export type OrderSort = 'slack' | 'due' | 'closed' | 'number' | 'title' | 'agreed';
/** Open orders in one stage, all open ones, or those that are closed. */
export type OrderShow = 'open' | 'ready' | 'closed';

/** With what to say to the customer who asks, and the steps that make sense. */
export type ListedOrder = OrderRow & { readonly answer: string; readonly moves: readonly OrderMove[] };

/** What a step of several orders at once did. */
export type MovedOrders = {
  readonly moved: readonly number[];
  readonly refused: readonly { readonly id: number; readonly words: string }[];
};

/** A page of the orders that were asked for. */
export type OrderListView = {
  readonly show: OrderShow;
  readonly rows: readonly ListedOrder[];
  /** Nothing is written as it was looked for: these are near it. */
  readonly isNear: boolean;
  readonly query: ListQuery<OrderSort>;
  readonly at: ListPage;
  /** Of all orders; `short`: that can't be in time. */
  readonly counts: {
    readonly open: number;
    readonly short: number;
    readonly ready: number;
    readonly closed: number;
  };
  /** ISO day in the shop’s time zone. */
  readonly today: string;
};

type OrderEventView = {
  readonly kind: string;
  /** Epoch ms. */
  readonly atMs: number;
  /** What happened, in words. */
  readonly text: string;
};

export type OrderLineView = {
  readonly id: number;
  readonly itemId: number;
  readonly itemName: string;
  readonly quantity: number;
  readonly sizeName: string;
  readonly colourName: string;
  /** Places in the options of the item. */
  readonly options: readonly number[];
  readonly texts: readonly LineText[];
  readonly note: string;
  /** Asked for one piece, minor units; null in orders older than that was kept. */
  readonly each: number | null;
  /** Epoch ms; null where its texts were not compared yet, or it has none. */
  readonly readBackAtMs: number | null;
  readonly comb: readonly CombColumn[];
  /** What one was calculated to cost with its risk when it was agreed, minor units. */
  readonly eachWithRisk: number;
};

/** Its parts by what they have in common. */
export type OrderPartsView = {
  readonly vinyl: readonly PartGroup[];
  readonly temperature: readonly PartGroup[];
  readonly size: readonly PartGroup[];
};

/** What one of a line would cost as of today; null with why it can't be told. */
export type TodayCost = { readonly lineId: number; readonly each: Figure | null; readonly problem: string | null };

/** What an order that holds stock waits for; `from`: the first day with all of it there, null where that can't be told. */
export type OrderWaits = {
  readonly things: readonly {
    readonly name: string;
    /** It is ordered from a supplier and has not come yet. */
    readonly isUnderWay: boolean;
    /** Until anybody delivers it; null where nobody offers it. */
    readonly days: number | null;
  }[];
  readonly from: string | null;
};

export type PaymentView = {
  readonly id: number;
  readonly kind: PaymentKind;
  readonly amount: Minor;
  readonly means: string;
  /** Epoch ms. */
  readonly atMs: number;
  readonly takenBack: boolean;
};

/** The last proof, and what has changed since in words; empty where it is still as it was shown. */
export type ProofView = {
  readonly number: number;
  readonly token: string;
  readonly atMs: number;
  readonly approvedAtMs: number | null;
  readonly approvedBy: string | null;
  readonly changes: readonly string[];
};

export type OrderView = {
  readonly row: OrderRow;
  /** Null where nothing is held for it. */
  readonly waits: OrderWaits | null;
  readonly customerId: number;
  readonly contact: string;
  readonly note: string;
  /** Rises by one with every save; a save of an older one is refused. */
  readonly version: number;
  /** Epoch ms. */
  readonly placedAtMs: number;
  /** Steps that make sense now. */
  readonly moves: readonly OrderMove[];
  /** The step that can be taken back, in words; null where there is none. */
  readonly undo: string | null;
  readonly lines: readonly OrderLineView[];
  /** Pieces that were begun and are not wanted any more. */
  readonly spares: readonly {
    readonly number: number;
    readonly itemName: string;
    readonly fate: Fate;
    readonly words: string;
  }[];
  readonly deposit: Minor;
  readonly terms: OrderTerms;
  readonly money: {
    /** What its lines and terms come to; null where the prices of its lines were not kept. */
    readonly asked: Figure | null;
    readonly paid: Figure;
    readonly owed: Figure;
    readonly tips: Figure;
    readonly depositDue: Figure;
  };
  readonly payments: readonly PaymentView[];
  readonly proof: ProofView | null;
  /** What was quoted against what it really took. */
  readonly against: QuotedAgainstReal;
  /** What the channel or the payment takes of what was agreed. */
  readonly fee: Figure;
  /** By what it really took so far. */
  readonly profit: Figure;
  /** By what was quoted. */
  readonly profitQuoted: Figure;
  /** What an hour of the seller’s earned so far; null before any was logged. */
  readonly hourEarned: Figure | null;
  /** What spoiled parts and blanks took. */
  readonly spoilage: Figure;
  /** One sentence for the customer who asks. */
  readonly answer: string;
  /** What still cures or rests, to be told at hand-over. */
  readonly rests: readonly Rest[];
  /** The latest first. */
  readonly events: readonly OrderEventView[];
  /** ISO day in the shop’s time zone. */
  readonly today: string;
};

/** An item as the order form needs it: with what one costs and what it is priced at. */
export type OrderableItem = {
  readonly id: number;
  readonly name: string;
  /** Minor units of one. */
  readonly price: Minor;
  readonly sizes: readonly string[];
  readonly colours: readonly string[];
  /** The size its price is for. */
  readonly usualSize: string;
  /** The colour its price is for. */
  readonly usualColour: string;
  /** Surcharges are minor units on the price of one. */
  readonly options: readonly {
    readonly label: string;
    readonly surcharge: Minor;
    /** The text it asks for. */ readonly text: string | null;
  }[];
  /** What a customer may have written on it; those of an option only where that is chosen. */
  readonly letterings: readonly Lettering[];
  /** Prices of sizes and colours that have their own. */
  readonly variants: readonly VariantRule[];
  /** Why it cannot be costed; null where it can. */
  readonly problem: string | null;
};

/** What stands in the way of making something well, in words: what it is, and what to do. */
export type SaidFinding = { readonly what: string; readonly todo: string };

/** What an order comes to as its lines stand. */
export type OrderAnswer = {
  /** Of all lines with their risk; null where one of them can't be costed. */
  readonly cost: Figure | null;
  /** `line`: its place, from 0. */
  readonly problems: readonly { readonly line: number; readonly itemName: string; readonly words: string }[];
  /** The strongest of each item that has any. */
  readonly findings: readonly (SaidFinding & { readonly itemName: string })[];
  /** The first day it can be done by; null where no day is found. */
  readonly ready: { readonly day: string; readonly working: Figure } | null;
  /** What is short for it; days until anybody delivers it, null where nobody offers it. */
  readonly toBuy: readonly { readonly name: string; readonly days: number | null }[];
};

/** What an order begins with. */
export type OrderStart = {
  readonly itemId: number;
  readonly quantity: number;
  readonly sizeName: string;
  readonly colourName: string;
  /** Places in the options of the item. */
  readonly options: readonly number[];
  readonly customerName: string;
  /** Of the quote it follows on, in all, minor units; null where it follows the shop’s prices. */
  readonly agreed: number | null;
};

export type NewOrderView = {
  readonly items: readonly OrderableItem[];
  /** Of the newest orders, by name, with how they were last reached. */
  readonly customers: readonly { readonly id: number; readonly name: string; readonly contact: string }[];
  /** ISO day in the shop’s time zone. */
  readonly today: string;
  /** Null where nothing was asked for. */
  readonly start: OrderStart | null;
};
