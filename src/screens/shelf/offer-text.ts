// An offer as it is typed.

import type { OfferView } from '../../views/offers';
import type { ThingView } from '../../views/stock';
import { toSent, type Numbers, type useLengthUnit } from '../shared/use-numbers';

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

type BreakText = { readonly from: string; readonly price: string };

export const EMPTY: PartText = { thing: null, label: '', count: '1', width: '', length: '' };

export const replace = <T>(list: readonly T[], at: number, part: Partial<T>): readonly T[] =>
  list.map((entry, index) => (index === at ? { ...entry, ...part } : entry));

export const without = <T>(list: readonly T[], at: number): readonly T[] => list.filter((_, index) => index !== at);

type Lengths = ReturnType<typeof useLengthUnit>;

/** An offer as its form shows it; null starts an empty one. */
export function toOfferText(
  offer: OfferView | null,
  supplierId: number,
  numbers: Numbers,
  lengths: Lengths,
): OfferText {
  const length = (mm: number | null) => (mm === null ? '' : lengths.fromMm(mm));
  if (!offer) return { supplierId, code: '', name: '', price: '', take: '', pay: '', breaks: [], parts: [EMPTY] };
  return {
    supplierId: offer.supplierId,
    code: offer.code,
    name: offer.name,
    price: numbers.writeMoney(offer.price),
    take: offer.takePay ? String(offer.takePay.take) : '',
    pay: offer.takePay ? String(offer.takePay.pay) : '',
    breaks: offer.breaks.map((step) => ({ from: String(step.fromPacks), price: numbers.writeMoney(step.price) })),
    parts: offer.parts.map((part) => ({
      thing: part.thing,
      label: part.label,
      count: String(part.count),
      width: length(part.widthMm),
      length: length(part.lengthMm),
    })),
  };
}

const isEmpty = (text: string) => text.trim() === '';

/** What is sent of it. */
export function toOfferInput(values: OfferText, numbers: Numbers, lengths: Lengths) {
  const read = numbers.send;
  const price = (text: string) => toSent(numbers.readMoney(text), text);
  const size = (text: string) => (isEmpty(text) ? null : toSent(lengths.toMm(text), text));
  return {
    supplierId: values.supplierId,
    code: values.code,
    name: values.name,
    price: price(values.price),
    breaks: values.breaks.map((step) => ({ fromPacks: read(step.from), price: price(step.price) })),
    takePay: isEmpty(values.take) && isEmpty(values.pay) ? null : { take: read(values.take), pay: read(values.pay) },
    parts: values.parts.map((part) => ({
      key: part.thing?.key ?? null,
      label: part.label,
      count: read(part.count),
      widthMm: part.thing?.unit === 'count' ? null : size(part.width),
      lengthMm: part.thing?.unit === 'count' ? null : size(part.length),
    })),
  };
}
