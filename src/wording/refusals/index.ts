// Why a request was refused. The server speaks codes with data; here each becomes a sentence that says what is wrong,
// where, and what to do next.

import { ARTWORK } from './artwork';
import { BUYING } from './buying';
import { COMMON } from './common';
import { CUT_SHEETS } from './cut-sheets';
import { CUTTING } from './cutting';
import { FEEDS } from './feeds';
import { ORDERS } from './orders';
import { STOCK } from './stock';

const REFUSALS = { ...COMMON, ...ARTWORK, ...ORDERS, ...CUT_SHEETS, ...CUTTING, ...FEEDS, ...BUYING, ...STOCK };
type Refusals = typeof REFUSALS;
type RefusalCode = keyof Refusals;

/** A code with the data its sentence needs. */
export type Refusal = {
  [Code in RefusalCode]: { readonly reason: Code } & (Parameters<Refusals[Code]> extends [infer Data] ? Data : unknown);
}[RefusalCode];

/** The sentence of a refusal. */
export function describeRefusal(refusal: Refusal): string {
  const describe = REFUSALS[refusal.reason] as (data: Refusal) => string;
  return describe(refusal);
}
