// Where a piece is sold, what that takes of its price, and the price needed there. Fee models of the usual shapes:
// shares, fixed parts, tiers, a fee of the payment, of advertising that brings some of the sales, of a stall's day.

import type { CostSums } from '../costing';
import { getSoldCost, type Selling, type SoldCost } from './sold-cost';
import { figure, roundMoney, SECONDS_PER_HOUR, type Figure, type Minor } from '../units';

export const CHANNEL_KINDS = ['stall', 'own site', 'marketplace', 'wholesale'] as const;
export type ChannelKind = (typeof CHANNEL_KINDS)[number];
/** What a price ends in, in minor units of a hundred; 'any' for every cent. */
export const ENDINGS = ['any', '00', '50', '90', '95', '99'] as const;
export type Ending = (typeof ENDINGS)[number];
/** Of the part of the price above `from`, this share. */
type FeeTier = { readonly from: Minor; readonly share: number };

export type Channel = Selling & {
  readonly id: number;
  readonly name: string;
  readonly kind: ChannelKind;
  /** Of what the customer pays; lowest first, the first from 0. */
  readonly tiers: readonly FeeTier[];
  /** For each sale. */
  readonly fixed: Minor;
  /** For putting it up for sale, and in how many sales it is put up once. */
  readonly listing: Minor;
  readonly salesPerListing: number;
  readonly paymentShare: number;
  readonly paymentFixed: Minor;
  /** Share taken of sales that came by its advertising, and the share of sales that do. */
  readonly adShare: number;
  readonly adOdds: number;
  /** What a day of the stall costs. */
  readonly day: Minor;
  /** What you pay for delivery of a sale, what the customer pays for it, and whether shares are taken of that too. */
  readonly delivery: Minor;
  readonly deliveryPaid: Minor;
  readonly feesOnDelivery: boolean;
  /** Off the price, as a shop that sells it on asks. */
  readonly discount: number;
  /** In the price, and passed on: 0.2 where 20 % are added to the net price. */
  readonly tax: number;
  readonly ending: Ending;
};

export type ChannelFees = Omit<Channel, 'id' | 'name' | 'kind'>;

export type ChannelReading = {
  readonly paid: Figure;
  readonly fees: Figure;
  readonly yours: Figure;
  readonly margin: Figure | null;
  readonly hourEarns: Figure | null;
};
const money = (
  label: string,
  value: number,
  working: Omit<Figure, 'label' | 'value' | 'unit' | 'source'> = {},
): Figure => figure(label, value, 'money', 'shop', working);

/** What is left of a price once its tax and discount are off, before fees. */
export function takeOff(price: number, channel: Channel): { readonly paid: number; readonly net: number } {
  const paid = roundMoney(price * (1 - channel.discount));
  return { paid, net: roundMoney(paid / (1 + channel.tax)) };
}

/** What each piece bears of an amount that falls once a sale. */
function perPiece(label: string, amount: number, { piecesPerSale }: Channel): Figure {
  if (piecesPerSale === 1) return money(label, amount);
  return money(label, roundMoney(amount / piecesPerSale), {
    how: 'for a sale ÷ its pieces',
    parts: [money(label, amount), figure('Pieces in a sale', piecesPerSale, 'count', 'shop')],
  });
}

/** What shares are taken of: the price, and the postage where that is asked for too. */
export const getFeeBase = (paid: number, channel: Channel): number =>
  channel.feesOnDelivery ? paid + roundMoney(channel.deliveryPaid / channel.piecesPerSale) : paid;

function listTierFees(base: number, { tiers }: Channel): readonly Figure[] {
  return tiers.map((tier, index) => {
    const above = Math.max(0, Math.min(base, tiers[index + 1]?.from ?? Infinity) - tier.from);
    const label = tiers.length === 1 ? 'Share of the price' : `Share of the price, step ${index + 1}`;
    return money(label, roundMoney(above * tier.share), {
      how: 'part of the price × share',
      parts: [
        ...(tier.from > 0 ? [money('Of what is above', tier.from)] : []),
        money('Part of the price', above),
        figure('Share', tier.share, 'share', 'shop'),
      ],
    });
  });
}

/** All the channel takes of one piece, each part to the cent. */
function listFees(paid: number, channel: Channel): readonly Figure[] {
  const base = getFeeBase(paid, channel);
  const paymentFixed = perPiece('Fixed part', channel.paymentFixed, channel);
  return [
    ...listTierFees(base, channel),
    perPiece('Fixed, each sale', channel.fixed, channel),
    money('Putting it up for sale', roundMoney(channel.listing / channel.salesPerListing), {
      how: 'fee ÷ sales for each time',
      parts: [money('Fee', channel.listing), figure('Sales', channel.salesPerListing, 'count', 'shop')],
    }),
    money('Payment', roundMoney(base * channel.paymentShare) + paymentFixed.value, {
      how: 'share × price + fixed part',
      parts: [figure('Share', channel.paymentShare, 'share', 'shop'), paymentFixed],
    }),
    money('Advertising, on average', roundMoney(base * channel.adShare * channel.adOdds), {
      how: 'price × share × share of sales that come by it',
      parts: [
        figure('Share', channel.adShare, 'share', 'shop'),
        figure('Sales that come by it', channel.adOdds, 'share', 'shop'),
      ],
    }),
    money('Its part of the day', roundMoney(channel.day / channel.salesPerDay), {
      how: 'day ÷ pieces sold on one',
      parts: [money('Day', channel.day), figure('Pieces', channel.salesPerDay, 'count', 'shop')],
    }),
    getDelivery(channel),
  ].filter((part) => part.value !== 0);
}

function getDelivery(channel: Channel): Figure {
  const costs = perPiece('It costs', channel.delivery, channel);
  const paid = perPiece('Is paid', channel.deliveryPaid, channel);
  return money('Delivery, beyond what the customer pays', costs.value - paid.value, {
    how: 'what it costs − what is paid for it',
    parts: [costs, paid],
  });
}

/** What one sale at this price leaves on the channel. */
export function readChannel(price: Minor, making: CostSums, channel: Channel): ChannelReading {
  const { paid, net } = takeOff(price, channel);
  const cost = getSoldCost(making, channel);
  const off = [
    ...(channel.discount > 0 ? [figure('Discount', channel.discount, 'share', 'shop')] : []),
    ...(channel.tax > 0 ? [figure('Tax in the price', channel.tax, 'share', 'shop')] : []),
  ];
  const paidFigure = figure('Received', net, 'money', 'computed', {
    how: off.length > 0 ? 'price less discount and tax' : 'the price',
    parts: [figure('Price', price, 'money', 'typed'), ...off],
  });
  const parts = listFees(paid, channel);
  const fees = figure(
    'Taken by the channel',
    parts.reduce((sum, part) => sum + part.value, 0),
    'money',
    'computed',
    { how: 'sum of its fees', parts },
  );
  const yours = figure('Yours', net - fees.value - cost.withRisk.value, 'money', 'computed', {
    how: 'received − taken − full cost with risk',
    parts: [paidFigure, fees, cost.withRisk],
  });
  return {
    paid: paidFigure,
    fees,
    yours,
    margin:
      net <= 0
        ? null
        : figure('Margin, of what is received', yours.value / net, 'share', 'computed', {
            how: 'yours ÷ received',
            parts: [yours, paidFigure],
          }),
    hourEarns: getHour(yours, cost),
  };
}

/** What is left with your time paid back to you, by the hour. */
function getHour(yours: Figure, { wages, handsSeconds }: SoldCost): Figure | null {
  if (handsSeconds.value === 0) return null;
  const hours = handsSeconds.value / SECONDS_PER_HOUR;
  return figure('An hour earns', (yours.value + wages) / hours, 'money/h', 'computed', {
    how: '(yours + your time at your hour) ÷ your time',
    parts: [yours, figure('Your time, paid', wages, 'money', 'computed'), handsSeconds],
  });
}
