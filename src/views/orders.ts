// Orders: the list with its combs, one order, and the order form. Types only.

import type { VariantRule } from '../core/costing';
import type { OrderStage, PartState, QuotedAgainstReal } from '../core/orders';
import type { Figure, Minor } from '../core/units';

/** One tooth a part, one column a piece. */
type CombTooth = {
  readonly partId: number;
  readonly state: PartState;
  readonly broken: boolean;
  readonly colour: string;
};

export type CombColumn = { readonly pieceId: number; readonly number: number; readonly teeth: readonly CombTooth[] };

export type OrderRow = {
  readonly id: number;
  readonly title: string;
  readonly customerName: string;
  readonly dueDay: string;
  readonly stage: OrderStage;
  readonly slack: Figure | null;
  readonly agreed: Minor;
  readonly comb: readonly CombColumn[];
  readonly waitingFor: string;
  readonly neededSeconds: number;
};

export type OrderListView = {
  readonly open: readonly OrderRow[];
  readonly closed: readonly OrderRow[];
  readonly today: string;
};

type OrderEventView = { readonly kind: string; readonly atMs: number; readonly text: string };

export type OrderView = {
  readonly row: OrderRow;
  readonly contact: string;
  readonly note: string;
  readonly version: number;
  readonly placedAtMs: number;
  readonly lines: readonly {
    readonly id: number;
    readonly itemId: number;
    readonly itemName: string;
    readonly quantity: number;
    readonly sizeName: string;
    readonly colourName: string;
    readonly comb: readonly CombColumn[];
    readonly eachWithRisk: number;
  }[];
  readonly against: QuotedAgainstReal;
  readonly fee: Figure;
  readonly profit: Figure;
  readonly profitQuoted: Figure;
  readonly events: readonly OrderEventView[];
  readonly today: string;
};

/** An item as the order form needs it: with what one costs and what it is priced at. */
export type OrderableItem = {
  readonly id: number;
  readonly name: string;
  readonly price: Minor;
  readonly sizes: readonly string[];
  readonly colours: readonly string[];
  readonly usualSize: string;
  readonly usualColour: string;
  readonly options: readonly { readonly label: string; readonly surcharge: Minor }[];
  /** Prices of sizes and colours that have their own. */
  readonly variants: readonly VariantRule[];
  readonly problem: string | null;
  readonly costEach: number;
};

export type NewOrderView = {
  readonly items: readonly OrderableItem[];
  readonly customers: readonly { readonly name: string; readonly contact: string }[];
  readonly today: string;
  readonly startItemId: number | null;
};
