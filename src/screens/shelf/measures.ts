// How much of a thing, in the words a shelf is spoken of.

import { formatLength, formatNumber, formatPath, MM2_PER_M2, MM_PER_INCH, type FormatSettings } from '../../core/units';
import type { LotView, StockLineView } from '../../views/stock';
import { plural } from '../../wording/plural';

const MM2_PER_FT2 = (12 * MM_PER_INCH) ** 2;

/** Usable mm² of vinyl in one large measure, so that amounts can be compared at a glance; or pieces. */
export function formatAmount(amount: number, unit: 'mm²' | 'count', settings: FormatSettings): string {
  if (unit === 'count') return formatNumber(amount, settings.locale, 0);
  return settings.system === 'metric'
    ? `${formatNumber(amount / MM2_PER_M2, settings.locale, 2)} m²`
    : `${formatNumber(amount / MM2_PER_FT2, settings.locale, 1)} ft²`;
}

export function describeLot(lot: LotView, settings: FormatSettings): string {
  switch (lot.form) {
    case 'roll':
      return `${formatPath(lot.left, settings)} of a roll ${formatLength(lot.widthMm ?? 0, settings)} wide`;
    case 'sheet':
      return `${plural(lot.left, 'sheet')} of ${formatLength(lot.widthMm ?? 0, settings)} × ${formatLength(lot.lengthMm ?? 0, settings)}`;
    case 'offcut':
      return describeOffcut(lot, settings);
    case 'piece':
      return `${plural(lot.left, 'piece')}`;
    default:
      return lot.form satisfies never;
  }
}

export const formatLine = (line: StockLineView, settings: FormatSettings): string =>
  `${line.quantity > 0 ? '+' : '−'}${line.form === 'roll' ? formatPath(Math.abs(line.quantity), settings) : Math.abs(line.quantity)}`;

function describeOffcut(lot: LotView, settings: FormatSettings): string {
  const across = formatLength(lot.widthMm ?? 0, settings);
  const along = formatLength(lot.lengthMm ?? 0, settings);
  const corner = (lot.shape?.length ?? 4) > 4 ? ', a corner missing' : '';
  const spots = lot.spoiledSpots.length;
  const spoiled = spots === 0 ? '' : spots === 1 ? ', a spot spoiled' : `, ${plural(spots, 'spot')} spoiled`;
  return `offcut ${lot.code}, ${across} × ${along}${corner}${spoiled}`;
}

/** What its film failed of what was cut from it. */
export const describeTried = ({ tries, failures }: NonNullable<LotView['tried']>): string =>
  failures === 0 ? `${plural(tries, 'part')} cut, none failed` : `${failures} of ${plural(tries, 'part')} failed`;
