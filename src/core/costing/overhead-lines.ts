// The lines of a cost for what goes wrong, packaging and the shop itself.

import { type ExactLine, line } from './cost-lines';
import { type Figure, figure, type Minor, SECONDS_PER_HOUR } from '../units';
import { type ShopFigures, getShopFigure } from '../materials';

/** To sell n good pieces n ÷ (1 − p) are made: each good one carries p ÷ (1 − p) of what is lost. */
export function spoilageLine(lost: readonly ExactLine[], share: Figure): ExactLine {
  const atStake = lost.reduce((sum, part) => sum + part.cash + part.time, 0);
  return line({
    id: 'risk',
    stage: 'risk',
    label: 'What goes wrong',
    source: share.source,
    how: 'at stake × share ÷ (1 − share)',
    risk: (atStake * share.value) / (1 - share.value),
    parts: [
      figure('At stake: blank to wear, without set-up', atStake, 'money', 'computed', {
        parts: lost.map((part) => figure(part.label, part.cash + part.time, 'money', 'computed')),
      }),
      share,
    ],
  });
}

/**
 * What comes back is made again: each good piece carries its share of another. `again`: the lines of making one. Null
 * where nothing comes back.
 */
export function returnsLine(again: readonly ExactLine[], shop: ShopFigures): ExactLine | null {
  if (shop.returnShare === 0) return null;
  const replacing = again.reduce((sum, part) => sum + part.cash + part.time + part.risk, 0);
  return line({
    id: 'returns',
    stage: 'returns',
    label: 'Returns',
    source: 'shop',
    how: 'making one again × share that comes back',
    risk: replacing * shop.returnShare,
    parts: [
      figure(REPLACING, replacing, 'money', 'computed', {
        parts: again.map((part) => figure(part.label, part.cash + part.time + part.risk, 'money', 'computed')),
      }),
      getShopFigure(shop, 'returnShare'),
    ],
  });
}

export const REPLACING = 'Making one again';

/** `own`: what this item is packed in; null for what the shop packs pieces in. */
export function packagingLine(own: Minor | null, shop: ShopFigures): ExactLine {
  const packed =
    own === null ? getShopFigure(shop, 'packaging') : figure('Packaging of this item', own, 'money', 'typed');
  return line({
    id: 'pack',
    stage: 'pack',
    label: 'Packaging',
    source: packed.source === 'typed' ? 'typed' : 'shop',
    how: 'for each piece',
    cash: packed.value,
    parts: [packed],
  });
}

/**
 * Rent, insurance, programs and the like: by the hours the piece takes, by the piece, or both. Null where the shop
 * counts none.
 */
export function overheadLine(handsSeconds: number, shop: ShopFigures): ExactLine | null {
  const byHour = (handsSeconds / SECONDS_PER_HOUR) * shop.overheadPerHour;
  if (byHour + shop.overheadPerItem === 0) return null;
  return line({
    id: 'overhead',
    stage: 'overhead',
    label: 'Overheads',
    source: 'shop',
    how: 'your time × overheads an hour + overheads a piece',
    cash: byHour + shop.overheadPerItem,
    parts: [
      figure('Your time for one', handsSeconds, 's', 'computed'),
      getShopFigure(shop, 'overheadPerHour'),
      getShopFigure(shop, 'overheadPerItem'),
    ],
  });
}
