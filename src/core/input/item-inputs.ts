// What may be entered of an item beyond its blank: artworks at places, options, variants, and what else goes into it.

import * as yup from 'yup';
import { WIDTH_RANGE_MM } from '../artwork';
import { AREA_BASES, NOTHING_TYPED, PLAIN_DETAILS, type AreaBasis } from '../costing';
import { SPOTS } from '../placing';
import { PRICE_BASES, type PriceBasis } from '../stock';
import { letteringInput } from './lettering-input';
import { recipeInput } from './recipe-input';
import { money, numberBetween, oneOf, orNothing, rowId, shortText, wholeBetween } from './rules';

export const widthMm: yup.NumberSchema<number> = numberBetween(
  'Width',
  WIDTH_RANGE_MM.least,
  WIDTH_RANGE_MM.most,
  'In mm: from a small bead to the widest roll.',
);

/** Widths by the name of a size; an empty one means the ordinary width. */
const widths = yup.lazy(
  (value: unknown) =>
    yup
      .object(
        Object.fromEntries(
          Object.entries((value ?? {}) as Record<string, unknown>)
            .filter(([, width]) => width !== null && width !== '' && width !== undefined)
            .map(([size]) => [size, widthMm]),
        ),
      )
      .noUnknown()
      .default({}) as unknown as yup.Schema<Record<string, number>>,
);

const ownMm = (label: string, least: number, most: number) => orNothing(numberBetween(label, least, most, 'In mm.'));
const placingInput = yup.object({
  spot: oneOf('Spot', SPOTS)
    .nullable()
    .defined()
    .transform((spot: string | null) => (spot === '' ? null : spot)),
  dropMm: ownMm('Down from there', -500, 3000),
  asideMm: ownMm('Moved aside', -1500, 1500),
});

/** Of an item's artworks: its placements first, then those of its options. */
export const placingsInput = yup.object({
  artworks: yup
    .array(yup.object({ placing: placingInput.nullable().defined(), widthMm, widths }))
    .required()
    .max(24, 'Artworks: at most 24.'),
});

const placement = yup.object({
  artworkId: rowId('Artwork'),
  place: shortText('Where on it', 60),
  widthMm,
  widths,
  seenThrough: yup.boolean().required(),
  vinylIds: yup.array(rowId('Vinyl')).required().min(1, 'Vinyl: one for each layer.'),
  lettering: letteringInput.nullable().default(null),
  placing: placingInput.nullable().default(null),
});

/** Empty stands for any. */
const orAny = (schema: yup.StringSchema<string>) =>
  schema
    .nullable()
    .defined()
    .transform((text: string | null) => (text === '' ? null : text));
const ownSeconds = (label: string) =>
  orNothing(
    numberBetween(label, 0, 86_400, 'Seconds of your hands for one piece; empty where it is estimated or learned.'),
  );

/** Options by their places in the item. */
export const optionIndexes = yup
  .array(wholeBetween('Option', 0, 100, 'By its place in the item.'))
  .max(12, 'Options: at most 12.')
  .default([]);

const itemDetails = yup.object({
  options: yup
    .array(yup.object({ label: shortText('Option', 40), surcharge: money('Surcharge'), placement }))
    .max(12, 'Options: at most 12.')
    .default([]),
  variants: yup
    .array(
      yup.object({
        sizeName: orAny(shortText('Size', 30)),
        colourName: orAny(shortText('Colour', 40)),
        price: orNothing(money('Price')),
        swaps: yup
          .array(yup.object({ vinylId: rowId('Vinyl'), byVinylId: rowId('Vinyl instead') }))
          .max(12)
          .default([]),
      }),
    )
    .max(40, 'Variants: at most 40.')
    .default([]),
  extras: yup
    .array(yup.object({ label: shortText('Besides', 60), price: money('For each piece') }))
    .max(20, 'Besides: at most 20.')
    .default([]),
  stones: yup
    .array(
      yup.object({
        label: shortText('Stones', 60),
        diameterMm: numberBetween('Stone', 0.5, 20, 'Across, in mm.'),
        count: wholeBetween('Stones', 1, 100_000, 'In one piece.'),
        grossPrice: money('A gross'),
        templatePrice: money('Template'),
        templateUses: wholeBetween('Uses', 1, 100_000, 'How often the template is used before it is worn.'),
        tapePrice: money('Hot-fix tape'),
      }),
    )
    .max(20, 'Stones: at most 20 kinds.')
    .default([]),
  packaging: orNothing(money('Packaging')).default(null),
  minutes: yup
    .object({ cut: ownSeconds('Cut'), weed: ownSeconds('Weed'), press: ownSeconds('Press') })
    .default(() => ({ ...NOTHING_TYPED })),
  negative: yup
    .object({
      name: shortText('Its name', 60),
      layer: wholeBetween('Layer', 0, 200, 'By its place in the item.'),
      price: money('It sells for'),
      ownCost: money('It takes besides'),
    })
    .nullable()
    .default(null),
  othersAsk: orNothing(money('A shop asks')).default(null),
  offerIds: yup.array(rowId('Offer')).max(40, 'Offers: at most 40.').default([]),
  priceBasis: oneOf<PriceBasis>('Priced at', PRICE_BASES).default('shelf'),
  recipe: recipeInput,
});

export const itemInput = yup.object({
  name: shortText('Name'),
  blankId: rowId('Blank'),
  sizeName: shortText('Size', 30),
  colourName: shortText('Colour', 40),
  placements: yup
    .array(placement)
    .required()
    .min(1, 'Placement: at least one artwork on it.')
    .max(12, 'Placements: at most 12.'),
  areaBasis: oneOf<AreaBasis>('Vinyl by', AREA_BASES),
  quantity: wholeBetween('Quantity', 1, 10_000, 'Pieces made in one go.'),
  price: money('Price'),
  artworkPrice: money('Paid for the drawing').default(0),
  artworkRun: wholeBetween('Spread over', 1, 1_000_000, 'Pieces it is used for.').default(1),
  details: itemDetails.default(() => ({
    ...PLAIN_DETAILS,
    options: [],
    variants: [],
    extras: [],
    stones: [],
    minutes: { ...NOTHING_TYPED },
  })),
});
