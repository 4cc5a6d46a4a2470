// An offer as it is typed.

import type { ThingView } from '../../views/stock';

export type PartText = {
  readonly thing: ThingView | null;
  readonly label: string;
  readonly count: string;
  readonly width: string;
  readonly length: string;
};

export type OfferText = {
  readonly supplierId: number;
  readonly code: string;
  readonly name: string;
  readonly price: string;
  readonly take: string;
  readonly pay: string;
  readonly breaks: readonly BreakText[];
  readonly parts: readonly PartText[];
};

export type BreakText = { readonly from: string; readonly price: string };

export const EMPTY: PartText = { thing: null, label: '', count: '1', width: '', length: '' };

export const replace = <T>(list: readonly T[], at: number, part: Partial<T>): readonly T[] =>
  list.map((entry, index) => (index === at ? { ...entry, ...part } : entry));

export const without = <T>(list: readonly T[], at: number): readonly T[] => list.filter((_, index) => index !== at);
