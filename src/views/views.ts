// The shape of what the server answers, shared by server and screens. Types only.

import type {
  ArtworkMeasurement,
  ArtworkPicture,
  DotGroup,
  Finding,
  LeftOut,
  Licence,
  PrepStep,
} from '../core/artwork';
import type {
  Basket,
  ColumnMatch,
  LineProblem,
  ListColumn,
  Offer,
  PriceBreak,
  Supplier,
  UnitPrices,
} from '../core/buying';
import type {
  CostChange,
  ItemCost,
  ItemEvidence,
  ItemPlan,
  NotedCost,
  StoredPacking,
  VariantRule,
} from '../core/costing';
import type { Blank, ShopFigures, ShopIdentity, Vinyl } from '../core/materials';
import type { StartPlan } from '../core/planning';
import type { Channel } from '../core/pricing';
import type {
  CutSheet,
  CutSource,
  Drift,
  LoadFacts,
  OrderStage,
  PartState,
  QuotedAgainstReal,
  QuoteFacts,
  SpoilageCause,
  Station,
} from '../core/orders';
import type { PressPlan } from '../core/pressing';
import type { BenchPart, TapeBlock } from '../core/scheduling';
import type {
  Fit,
  Lot as StockLot,
  LotForm,
  Minimum,
  BadSpot,
  OffcutShape,
  Prices,
  StockCause,
  Supply,
  Thing,
  Wear,
} from '../core/stock';
import type { Figure, MeasureSystem, Minor } from '../core/units';

export type ShopView = ShopIdentity & {
  readonly figures: ShopFigures;
  readonly simulated: boolean;
  readonly version: number;
};
export type RunningWork = {
  readonly id: number;
  readonly station: Station;
  readonly startedAtMs: number;
  readonly label: string;
  readonly partIds: readonly number[];
};
/** What every screen needs: the shop, how measures are shown, the server's clock and the running timers. */
export type FrameView = {
  readonly shop: ShopView;
  readonly system: MeasureSystem;
  readonly nowMs: number;
  readonly running: readonly RunningWork[];
};

export type VinylView = Vinyl & { readonly supplier: string; readonly version: number; readonly archived: boolean };
export type BlankView = Blank & { readonly supplier: string; readonly version: number; readonly archived: boolean };
/** Some of the vinyls that were asked for, of how many; and what is told of all. `open`: one that was asked for by its id. */
export type ShelfPage = {
  readonly vinyls: readonly VinylView[];
  readonly total: number;
  readonly offset: number;
  readonly kept: number;
  readonly cheapest: Figure | null;
  readonly dearest: Figure | null;
  readonly blanks: readonly BlankView[];
  readonly open: VinylView | null;
};
export type ShelfView = { readonly vinyls: readonly VinylView[]; readonly blanks: readonly BlankView[] };

export type ArtworkView = {
  readonly id: number;
  readonly name: string;
  readonly fileName: string;
  readonly originalBytes: number;
  readonly measurement: ArtworkMeasurement;
  readonly layerNames: readonly string[];
  readonly layerVinylIds: readonly (number | null)[];
  readonly steps: readonly PrepStep[];
  readonly licence: Licence;
  readonly picture: ArtworkPicture;
  readonly leftOut: readonly LeftOut[];
  readonly gradients: number;
  readonly sizeStated: boolean;
  readonly createdAtMs: number;
  readonly archived: boolean;
  readonly version: number;
};
export type ArtworkListView = { readonly artworks: readonly (ArtworkView & { readonly usedBy: number })[] };
export type MeasuredFile = Pick<ArtworkView, 'measurement' | 'picture' | 'leftOut' | 'gradients' | 'sizeStated'>;
/** What the page itself reckons of a drawing with its steps and materials, besides its measurement. */
export type PreparedFile = MeasuredFile & {
  readonly findings: readonly Finding[];
  readonly dots: Readonly<Record<string, readonly Pick<DotGroup, 'diameterMm' | 'count'>[]>>;
};

/** A thing of the shelf by its key, as it is called and counted. */
export type ThingView = {
  readonly key: string;
  readonly name: string;
  readonly colourHex: string;
  readonly kind: Thing['kind'];
  /** Vinyl in usable mm², else counted. */ readonly unit: 'mm²' | 'count';
  readonly rollWidthMm: number | null;
};
export type LotView = StockLot & {
  readonly left: number;
  readonly shape: OffcutShape | null;
  readonly badSpots: readonly BadSpot[];
  readonly code: string | null;
  readonly remark: string;
  readonly supplier: string;
  /** What is left of it, at what it cost. */ readonly value: Figure;
};
/** What is there of a thing, what open orders need of it, and what stays free: usable mm² of vinyl, or pieces. */
export type StockRow = {
  readonly thing: ThingView;
  readonly lots: readonly LotView[];
  readonly onShelf: Figure;
  readonly reserved: Figure;
  readonly free: Figure;
  readonly value: Figure;
  /** What should always be there, and what was wished for. */
  readonly minimum: Figure | null;
  readonly wished: Minimum | null;
  readonly weekly: Figure | null;
  readonly cover: Figure | null;
  /** For what open orders are short of: the last day to order it, in days from today, and how soon anybody delivers it. Null where nothing is short, or nobody offers it. */
  readonly orderWithin: { readonly days: number; readonly leadDays: number } | null;
};
export type SupplyView = Supply & {
  readonly version: number;
  readonly thing: ThingView;
  readonly wear: Wear | null;
  readonly onShelf: number;
};
export type SuppliesView = { readonly supplies: readonly SupplyView[] };
export type StockLineView = {
  readonly id: number;
  readonly lotId: number;
  readonly atMs: number;
  readonly cause: StockCause;
  readonly quantity: number;
  readonly form: LotForm;
  readonly note: string;
  readonly thingName: string;
};
export type FullStock = { readonly rows: readonly StockRow[]; readonly value: Figure };
/** Some of the things that were asked for, of how many; and what is told of all of them. */
export type StockPage = {
  readonly rows: readonly StockRow[];
  readonly total: number;
  readonly offset: number;
  /** Nothing at all is kept. */ readonly empty: boolean;
  readonly short: readonly string[];
  readonly offcuts: number;
  readonly value: Figure;
  readonly lines: readonly StockLineView[];
};
export type FittingOffcut = {
  readonly lot: LotView;
  readonly thing: ThingView;
  readonly fit: Fit;
  readonly usedShare: number;
};

export type SupplierView = Supplier & {
  readonly email: string;
  readonly simulated: boolean;
  readonly version: number;
  readonly offers: number;
};
export type OfferPartView = {
  /** What of the shelf it is; null until that is said. */ readonly thing: ThingView | null;
  readonly key: string | null;
  readonly label: string;
  readonly count: number;
  readonly widthMm: number | null;
  readonly lengthMm: number | null;
};
export type OfferView = {
  readonly id: number;
  readonly supplierId: number;
  readonly code: string;
  readonly name: string;
  readonly price: Minor;
  readonly parts: readonly OfferPartView[];
  readonly breaks: readonly PriceBreak[];
  readonly takePay: { readonly take: number; readonly pay: number } | null;
  readonly pricedAtMs: number;
  readonly version: number;
  readonly unit: UnitPrices;
};
/** Some of the offers that were asked for, of how many. */
export type OfferPage = { readonly total: number; readonly offset: number; readonly offers: readonly OfferView[] };
export type OffersView = {
  readonly suppliers: readonly SupplierView[];
  readonly total: number;
  readonly unmatched: number;
  readonly words: string;
  readonly first: OfferPage;
};
export type OfferHistory = { readonly prices: readonly { readonly atMs: number; readonly price: Minor }[] };
export type ListPreview = {
  readonly header: readonly string[];
  readonly sample: readonly (readonly string[])[];
  readonly match: ColumnMatch;
  readonly decimal: ',' | '.';
  readonly missingColumns: readonly ListColumn[];
  readonly fresh: readonly ListChange[];
  readonly changed: readonly ListChange[];
  readonly same: number;
  readonly gone: readonly { readonly code: string; readonly name: string }[];
  readonly unreadable: readonly LineProblem[];
  readonly unmatched: readonly string[];
};
export type ListChange = {
  readonly line: number;
  readonly code: string;
  readonly name: string;
  readonly price: Minor;
  readonly before: Minor | null;
};
export type BasketView = {
  readonly needs: readonly {
    readonly id: string;
    readonly label: string;
    readonly amount: number;
    readonly unit: 'mm²' | 'count';
    readonly because: string;
    readonly withinDays: number | null;
    /** Why nothing covers it. */ readonly problem: string | null;
  }[];
  readonly basket: Basket | null;
  readonly plain: readonly Basket[];
  readonly problem: string | null;
  readonly things: readonly ThingView[];
  readonly solvedMs: number;
};
export type PurchaseView = {
  readonly id: number;
  readonly supplier: SupplierView;
  readonly placedAtMs: number;
  readonly closed: boolean;
  readonly version: number;
  readonly shipping: Minor;
  readonly total: Minor;
  readonly lines: readonly PurchaseLineView[];
};
export type PurchaseLineView = {
  readonly id: number;
  readonly offerName: string;
  readonly code: string;
  readonly packs: number;
  readonly goods: Minor;
  readonly receivedPacks: number;
  readonly damagedPacks: number;
};
export type PurchasesView = { readonly purchases: readonly PurchaseView[] };

export type ItemView = ItemPlan & {
  readonly id: number;
  readonly name: string;
  readonly quantity: number;
  readonly version: number;
  readonly archived: boolean;
  readonly noted: NotedCost | null;
};
export type ChannelView = Channel & { readonly version: number };
export type ItemEditorView = {
  readonly channels: readonly ChannelView[];
  readonly item: ItemView | null;
  readonly artworks: readonly ArtworkView[];
  readonly shelf: ShelfView;
  readonly startArtworkId: number | null;
  /** What was paid and is offered, by the key of a thing. */ readonly prices: readonly (readonly [string, Prices])[];
  readonly packings: readonly StoredPacking[];
  readonly evidence: ItemEvidence;
};
/** What a quick quote answers; `each` is the item's price where none was typed. */
export type QuoteAnswer = {
  readonly cost: Figure;
  readonly each: Figure;
  readonly total: Figure;
  readonly hourEarns: Figure | null;
  readonly floor: Figure | null;
  readonly forMargin: Figure | null;
  readonly forWage: Figure | null;
  readonly ready: { readonly day: string; readonly working: Figure } | null;
  readonly toBuy: readonly { readonly name: string; readonly days: number | null }[];
};
export type QuoteView = {
  readonly id: number;
  readonly customerName: string;
  readonly itemId: number;
  readonly atMs: number;
  readonly facts: QuoteFacts;
  /** What it would cost now, where that differs. */ readonly drift: Drift | null;
};
export type QuoteStart = ShelfView & {
  readonly items: readonly OrderableItem[];
  readonly quotes: readonly QuoteView[];
};

/** All items by all channels: the price needed for the goal, null where the channel takes too much. `hourEarns`: at the item's own price, with the shop's own fee. */
export type PriceListView = {
  readonly goal: PriceGoal;
  readonly channels: readonly ChannelView[];
  readonly rows: readonly {
    readonly item: ItemView;
    readonly blankName: string;
    readonly cost: Figure | null;
    readonly hourEarns: Figure | null;
    readonly asks: readonly (Figure | null)[];
    readonly problem: string | null;
  }[];
};
/** What a start costs and when it has come back; version 0: not kept yet. */
export type StartView = {
  readonly plan: StartPlan;
  readonly version: number;
  readonly items: readonly {
    readonly id: number;
    readonly name: string;
    readonly price: Minor;
    readonly cost: ItemCost;
  }[];
};
export type PriceGoal = 'wage' | 'margin' | 'floor';
/** An item to be tried in other vinyls, with what was cut and spoiled of each so far. */
export type CompareView = {
  readonly item: ItemView;
  readonly artworks: readonly ArtworkView[];
  readonly blanks: readonly BlankView[];
  readonly vinyls: readonly VinylView[];
  readonly prices: readonly (readonly [string, Prices])[];
  readonly own: ItemEvidence;
  readonly offers: readonly CompareOffer[];
  readonly evidence: readonly { readonly vinylId: number; readonly made: number; readonly spoiled: number }[];
};
/** An offer of a vinyl: what a m² of it comes to, landed, when so many packs are bought. */
export type CompareOffer = {
  readonly id: number;
  readonly name: string;
  readonly supplierName: string;
  readonly vinylId: number;
  readonly form: 'roll' | 'sheet';
  readonly offer: Offer;
  readonly shipping: Minor;
  readonly freeFrom: Minor | null;
};
export type ItemRow = {
  readonly change: CostChange | null;
  readonly item: ItemView;
  readonly picture: ArtworkPicture;
  readonly blankName: string;
  readonly cost: ItemCost | null;
  readonly hourEarns: Figure | null;
  readonly problem: string | null;
};
export type ItemListView = { readonly rows: readonly ItemRow[] };

/** One tooth a part, one column a unit. */
export type CombTooth = {
  readonly partId: number;
  readonly state: PartState;
  readonly broken: boolean;
  readonly colour: string;
};
export type CombColumn = { readonly unitId: number; readonly number: number; readonly teeth: readonly CombTooth[] };

export type OrderRow = {
  readonly id: number;
  readonly title: string;
  readonly customerName: string;
  readonly dueDay: string;
  readonly stage: OrderStage;
  readonly slack: Figure | null;
  readonly agreed: Minor;
  readonly comb: readonly CombColumn[];
  readonly holdsUp: string;
  readonly neededSeconds: number;
};
export type OrderListView = {
  readonly open: readonly OrderRow[];
  readonly closed: readonly OrderRow[];
  readonly today: string;
};

export type OrderEventView = { readonly kind: string; readonly atMs: number; readonly text: string };
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
  readonly kept: Figure;
  readonly keptQuoted: Figure;
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
  /** Prices of sizes and colours that have their own. */ readonly variants: readonly VariantRule[];
  readonly problem: string | null;
  readonly costEach: number;
};
export type NewOrderView = {
  readonly items: readonly OrderableItem[];
  readonly customers: readonly { readonly name: string; readonly contact: string }[];
  readonly today: string;
  readonly startItemId: number | null;
};

export type BenchPartView = BenchPart & {
  readonly orderTitle: string;
  readonly customerName: string;
  readonly itemName: string;
  readonly sizeName: string;
  readonly colourName: string;
  readonly layerName: string;
  readonly layerColour: string;
  readonly vinylName: string;
  readonly blankName: string;
  readonly placement: string;
  readonly widthMm: number;
  readonly itemId: number;
};
/** How the pieces of a line are made: its placements with their pictures, and its layers numbered through them. */
export type BenchLineView = {
  readonly lineId: number;
  readonly itemName: string;
  readonly blankName: string;
  readonly plan: PressPlan | null;
  readonly planProblem: string | null;
  readonly placements: readonly {
    readonly picture: ArtworkPicture;
    readonly place: string;
    readonly widthMm: number;
  }[];
  readonly layers: readonly {
    readonly name: string;
    readonly vinylId: number;
    /** Which placement it is of, and which layer of its picture. */ readonly placement: number;
    readonly layerIndex: number;
    readonly mirrored: boolean;
    readonly handedness: string;
    readonly boxWidthMm: number;
    readonly boxHeightMm: number;
    readonly cavities: number;
    readonly pieces: number;
  }[];
};
export type BenchView = {
  readonly parts: readonly BenchPartView[];
  readonly lines: readonly BenchLineView[];
  readonly running: readonly RunningWork[];
  readonly vinyls: readonly VinylView[];
  readonly nowMs: number;
  readonly today: string;
};
/** What a step took from the stock: mm of a roll, or pieces; and what it would have taken beyond what the book had. */
export type BookedStock = {
  readonly thingName: string;
  readonly form: LotForm;
  readonly quantity: number;
  readonly missing: number;
};
export type StepTaken = {
  readonly booked?: readonly BookedStock[];
  readonly eventIds: readonly number[];
  readonly bench: BenchView;
};

/** A part that waits to be cut, with what it is cut from: a layer of an artwork at a width. */
export type WaitingPart = {
  readonly partId: number;
  readonly orderId: number;
  readonly orderTitle: string;
  readonly unitNumber: number;
  readonly itemName: string;
  readonly dueDay: string;
  readonly layerName: string;
  readonly broken: boolean;
  readonly artworkId: number;
  readonly layerIndex: number;
  readonly widthMm: number;
  readonly mirrored: boolean;
  readonly cutSeconds: number;
};
export type StockChoice = {
  readonly lotId: number;
  readonly form: LotForm;
  readonly widthMm: number;
  readonly lengthMm: number | null;
  readonly left: number;
  readonly shape: OffcutShape | null;
  readonly badSpots: readonly BadSpot[];
  readonly code: string | null;
};
/** A layer of an item on the list. */
export type UsualPiece = { readonly key: string; readonly name: string; readonly source: CutSource };
export type CutSheetsView = {
  /** The first due first. */
  readonly groups: readonly {
    readonly vinyl: VinylView;
    readonly parts: readonly WaitingPart[];
    readonly stock: readonly StockChoice[];
    /** Laid out and not cut yet. */
    readonly kept: readonly {
      readonly id: number;
      readonly version: number;
      readonly keptAtMs: number;
      readonly sheet: CutSheet;
    }[];
    /** What is made of it again and again: to fill what is left of a load. */
    readonly usual: readonly UsualPiece[];
  }[];
  /** Where the outlines come from: prepared anew from the original, at the width it was kept at. */
  readonly artworks: readonly { readonly id: number; readonly steps: readonly PrepStep[]; readonly widthMm: number }[];
  readonly gapMm: number;
  /** Of today, in working hours. */
  readonly freeSeconds: number;
};

/** What a loading card is printed from. */
export type LoadCard = {
  readonly vinylName: string;
  readonly colourHex: string;
  readonly sheets: readonly {
    readonly lotName: string;
    readonly density: number;
    readonly lengthMm: number;
    readonly shape: readonly { readonly x: number; readonly y: number }[];
    readonly badSpots: readonly (readonly { readonly x: number; readonly y: number }[])[];
    readonly facts: LoadFacts;
    /** In the order they are cut. */
    readonly pieces: readonly {
      readonly outline: readonly { readonly x: number; readonly y: number }[];
      readonly tag: string;
      readonly what: string;
      readonly orderTitle: string;
      readonly dueDay: string | null;
    }[];
  }[];
};

/** A batch that comes next, in words. */
export type NextBatch = {
  readonly station: Station;
  readonly verb: string;
  readonly what: string;
  readonly detail: string;
  readonly seconds: number;
  readonly dueDay: string;
};
export type TodayView = {
  readonly next: {
    readonly hands: NextBatch | null;
    readonly cutter: NextBatch | null;
    readonly press: NextBatch | null;
  };
  readonly running: readonly RunningWork[];
  readonly nowMs: number;
  readonly orders: readonly OrderRow[];
  readonly ready: readonly OrderRow[];
  readonly tape: readonly TapeBlock[];
  readonly dayStartMs: number;
  readonly dayEndMs: number;
  readonly freeSeconds: number;
  readonly neededSeconds: number;
};

export type FoundThing = {
  readonly kind: 'order' | 'item' | 'artwork' | 'vinyl' | 'blank';
  readonly label: string;
  readonly detail: string;
  readonly href: string;
};
export type Spoilage = { readonly cause: SpoilageCause; readonly blankLost: boolean };
