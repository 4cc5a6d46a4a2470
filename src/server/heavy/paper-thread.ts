// In a thread: what a paper is of in, its PDF or its list out.

import type { FormatSettings } from '../../core/units';
import { loadWholePriceList, type PriceListQuery } from '../items/load-price-list';
import { printLoadCard } from '../paper/load-card';
import { printPlacingGuide, writeBentLayer } from '../paper/placing-guide';
import { printOffcutLabels } from '../paper/offcut-labels';
import { printCareCards } from '../paper/orders/care-cards';
import { printOrderLabels } from '../paper/orders/order-labels';
import { printOrderSheet } from '../paper/orders/order-sheet';
import { printPackingSlip } from '../paper/orders/packing-slip';
import { writeOrderLinesCsv, writeOrdersCsv } from '../paper/orders/orders-csv';
import { printPressCard } from '../paper/press-card';
import { printPriceList, writePriceListCsv } from '../paper/price-list';
import { printProof } from '../paper/proof';
import { printPurchase } from '../paper/purchase-order';
import { printQuote } from '../paper/quote';
import { printSideProtocol } from '../paper/side-protocol';
import { printTicket } from '../paper/ticket';
import { printWeedingMap } from '../paper/weeding-map';
import { getShop } from '../context';
import { heavyJob } from './heavy-job';
import { openInThread, type ShopInThread } from './shop-in-thread';

type Goal = PriceListQuery['goal'];

/** Hundreds of items, each by channel: working the prices out takes longer than printing them. */
function printWholePriceList(at: ShopInThread, goal: Goal, settings: FormatSettings): Promise<Uint8Array<ArrayBuffer>> {
  const shop = openInThread(at);
  return printPriceList(loadWholePriceList(shop, goal), getShop(shop).name, shop.now(), settings);
}

function writeWholePriceList(at: ShopInThread, goal: Goal): string {
  const shop = openInThread(at);
  return writePriceListCsv(loadWholePriceList(shop, goal), getShop(shop).currency);
}

const PAPERS = {
  printCareCards,
  printOrderLabels,
  printOrderSheet,
  printPackingSlip,
  printLoadCard,
  printOffcutLabels,
  printPlacingGuide,
  printPressCard,
  printProof,
  printPurchase,
  printQuote,
  printSideProtocol,
  printTicket,
  printWeedingMap,
  printWholePriceList,
  writeBentLayer,
  writeOrderLinesCsv,
  writeOrdersCsv,
  writeWholePriceList,
};
export type Papers = typeof PAPERS;

export type PaperTask = {
  readonly [Name in keyof Papers]: { readonly print: Name; readonly of: Parameters<Papers[Name]> };
}[keyof Papers];

export default heavyJob(({ print, of }: PaperTask) => (PAPERS[print] as (...of: PaperTask['of']) => unknown)(...of));
