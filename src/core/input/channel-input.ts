// What may be entered of a channel.

import * as yup from 'yup';
import { CHANNEL_KINDS, ENDINGS } from '../pricing';
import { money, numberBetween, oneOf, shortText } from './rules';

const share = (label: string, most = 0.95) => numberBetween(label, 0, most, 'A share: 0.05 is 5 %.');

export const channelInput = yup.object({
  name: shortText('Name', 60),
  kind: oneOf('Kind', CHANNEL_KINDS),
  tiers: yup
    .array(yup.object({ from: money('From'), share: share('Share of the price') }))
    .required()
    .min(1, 'Share of the price: at least one, 0 where it takes none.')
    .max(6, 'Shares by price: at most 6.')
    .test(
      'rising',
      'Shares by price: the first from 0, each next one higher.',
      (tiers) => tiers[0]?.from === 0 && tiers.every((tier, at) => at === 0 || tier.from > tiers[at - 1]!.from),
    ),
  fixed: money('Fixed, each sale'),
  listing: money('Putting it up'),
  salesPerListing: numberBetween('Sales for each time', 0.01, 10_000, 'On average.'),
  paymentShare: share('Payment, share', 0.5),
  paymentFixed: money('Payment, fixed'),
  adShare: share('Advertising, share'),
  adOdds: share('Sales by advertising', 1),
  day: money('A day'),
  dayHours: numberBetween('Hours of a day', 0, 24, 'Your hours there.').default(0),
  salesPerDay: numberBetween('Pieces on a day', 0.1, 100_000, 'On average.'),
  piecesPerSale: numberBetween('Pieces in a sale', 1, 10_000, 'On average.').default(1),
  saleSeconds: numberBetween('Your time for a sale', 0, 86_400, 'Beside making it.').nullable().default(null),
  returnShare: share('Come back', 0.9).nullable().default(null),
  delivery: money('Delivery costs'),
  deliveryPaid: money('Delivery paid'),
  feesOnDelivery: yup.boolean().required().default(false),
  discount: share('Discount'),
  tax: numberBetween('Tax', 0, 0.5, 'A share of the net price: 0.2 is 20 %.'),
  ending: oneOf('Prices end in', ENDINGS),
});
