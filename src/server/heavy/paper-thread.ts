// In a thread: what a paper is of in, its PDF out.

import { printLoadCard } from '../paper/load-card';
import { printOffcutLabels } from '../paper/offcut-labels';
import { printPriceList } from '../paper/price-list';
import { printPurchase } from '../paper/purchase-order';
import { printQuote } from '../paper/quote';
import { printWeedingMap } from '../paper/weeding-map';
import { heavyJob } from './heavy-job';

const PAPERS = { printLoadCard, printOffcutLabels, printPriceList, printPurchase, printQuote, printWeedingMap };
export type Papers = typeof PAPERS;

export type PaperTask = {
  readonly [Name in keyof Papers]: { readonly print: Name; readonly of: Parameters<Papers[Name]> };
}[keyof Papers];

export default heavyJob(({ print, of }: PaperTask) =>
  (PAPERS[print] as (...of: PaperTask['of']) => Promise<Uint8Array<ArrayBuffer>>)(...of),
);
