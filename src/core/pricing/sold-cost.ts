// What a piece costs where it is sold: made as anywhere, but with the hours that selling takes there, and what comes
// back.

import { REPLACING, type CostLine, type CostSums } from '../costing';
import { figure, roundMoney, SECONDS_PER_HOUR, type Figure } from '../units';

export type SoldCost = {
  readonly withRisk: Figure;
  readonly handsSeconds: Figure;
  /** Your time at your hour, minor units. */
  readonly wages: number;
};

/** What selling takes somewhere, beside fees. */
export type Selling = {
  /** Your hours on a day of the stall, and how many pieces are sold on one. */
  readonly dayHours: number;
  readonly salesPerDay: number;
  /** Pieces in one sale, on average: what falls once a sale is shared by them. From 1. */
  readonly piecesPerSale: number;
  /** Your seconds for a sale beside making it; null for what an order takes in this shop. */
  readonly saleSeconds: number | null;
  /** Of the pieces sold, those that come back and are made again; null for the shop's own share. */
  readonly returnShare: number | null;
};

/**
 * In place of what an order takes beside making in the shop: what a sale takes there, and its share of a day of the
 * stall. In place of the shop's share of returns: the channel's.
 */
export function getSoldCost(cost: CostSums, channel: Selling): SoldCost {
  const order = findLine(cost, 'order');
  const returns = findLine(cost, 'returns');
  const selling = getSelling(order, channel);
  const back = getReturns(cost, returns, channel);
  const wages = roundMoney((selling.value / SECONDS_PER_HOUR) * cost.hour.wage);
  const moreSeconds = selling.value - (order?.handsSeconds ?? 0);
  const overheads = roundMoney((moreSeconds / SECONDS_PER_HOUR) * cost.hour.overhead);
  const instead = wages - (order?.total ?? 0) + overheads + back.value - (returns?.total ?? 0);
  const madeWages = cost.full.value - cost.cash.value;
  if (moreSeconds === 0 && instead === 0)
    return { withRisk: cost.withRisk, handsSeconds: cost.handsSeconds, wages: madeWages };
  return {
    wages: madeWages - (order?.time ?? 0) + wages,
    handsSeconds: figure('Your time for one, sold there', cost.handsSeconds.value + moreSeconds, 's', 'computed', {
      how: 'making + selling',
      parts: [cost.handsSeconds, ...(order ? [{ ...selling, label: 'Selling, in place of the order' }] : [selling])],
    }),
    withRisk: figure('Full cost with risk, sold there', cost.withRisk.value + instead, 'money', 'computed', {
      how: 'full cost with risk, with what selling takes there',
      parts: [
        cost.withRisk,
        figure('Selling: your time at your hour', wages, 'money', 'computed', { parts: [selling] }),
        ...(overheads === 0 ? [] : [figure('Overheads of the time more', overheads, 'money', 'computed')]),
        ...(order ? [figure('Less the order in the shop', -order.total, 'money', 'computed')] : []),
        back,
        ...(returns ? [figure('Less returns in the shop', -returns.total, 'money', 'computed')] : []),
      ],
    }),
  };
}

const findLine = (cost: CostSums, id: string): CostLine | undefined => cost.lines.find((line) => line.id === id);

/** Your seconds for one piece: its share of a sale, and of the day. */
function getSelling(order: CostLine | undefined, channel: Selling): Figure {
  const { dayHours, salesPerDay, piecesPerSale, saleSeconds } = channel;
  const sale =
    saleSeconds === null
      ? figure('An order, as in the shop', order?.handsSeconds ?? 0, 's', 'shop')
      : figure('A sale, beside making', saleSeconds / piecesPerSale, 's', 'shop', {
          how: 'for a sale ÷ its pieces',
          parts: [
            figure('For a sale', saleSeconds, 's', 'shop'),
            figure('Pieces in a sale', piecesPerSale, 'count', 'shop'),
          ],
        });
  if (dayHours === 0) return { ...sale, label: 'Selling' };
  const day = figure('Share of the day', (dayHours * SECONDS_PER_HOUR) / salesPerDay, 's', 'shop', {
    how: 'hours of a day ÷ pieces sold on one',
    parts: [
      figure('Hours of a day', dayHours * SECONDS_PER_HOUR, 's', 'shop'),
      figure('Pieces', salesPerDay, 'count', 'shop'),
    ],
  });
  return figure('Selling', sale.value + day.value, 's', 'computed', { how: 'sale + day', parts: [sale, day] });
}

function getReturns(cost: CostSums, returns: CostLine | undefined, { returnShare }: Selling): Figure {
  if (returnShare === null) return figure('Returns', returns?.total ?? 0, 'money', 'shop');
  const again =
    returns?.figure.parts?.find((part) => part.label === REPLACING) ??
    figure(REPLACING, cost.withRisk.value - (findLine(cost, 'order')?.total ?? 0), 'money', 'computed');
  return figure('Returns there', roundMoney(again.value * returnShare), 'money', 'shop', {
    how: 'making one again × share that comes back',
    parts: [again, figure('Share that comes back', returnShare, 'share', 'shop')],
  });
}
