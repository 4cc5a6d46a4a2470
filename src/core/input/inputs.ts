// What the seller may enter for each thing that is kept. The same schema checks the form and the request.

import * as yup from 'yup';
import { LICENCES, type Licence } from '../artwork';
import {
  BLANK_SHAPES,
  FABRIC_NAMES,
  HEATINGS,
  PEELS,
  SHOP_FIGURE_KEYS,
  SHOP_FIGURES,
  VINYL_KIND_NAMES,
  type Fabric,
  type Heating,
  type VinylKind,
} from '../materials';
import { SPOILAGE_CAUSES, STATIONS, type SpoilageCause, type Station } from '../orders';
import { optionIndexes, widthMm } from './item-inputs';
import { pressInput, printArea, vinylDetails } from './material-inputs';
import { prepSteps } from './steps-input';
import {
  hexColour,
  money,
  numberBetween,
  oneOf,
  optionalText,
  orNothing,
  rowId,
  shortText,
  wholeBetween,
} from './rules';

export const vinylInput = yup.object({
  name: shortText('Name'),
  kind: oneOf<VinylKind>('Kind', VINYL_KIND_NAMES),
  supplier: optionalText('Supplier', 120),
  colourName: shortText('Colour', 60),
  colourHex: hexColour('Swatch'),
  rollWidthMm: numberBetween('Roll width', 20, 3000, 'In mm, as the maker states it: no cutter takes less or more.'),
  rollLengthMm: numberBetween('Roll length', 20, 200_000, 'In mm; 10 m are 10 000.'),
  rollPrice: money('Roll price'),
  weedingFactor: numberBetween('Weeding factor', 0.2, 10, '1 is a smooth, good vinyl; thin budget ones 1.3 to 2.5.'),
  press: pressInput.nullable().defined(),
  /** Left out: as its kind ordinarily is. */
  details: vinylDetails.partial().default(undefined),
});

const laidFlat = (label: string) =>
  orNothing(numberBetween(label, 20, 3000, 'In mm; empty where it is as usual for its size.')).default(null);

export const blankInput = yup.object({
  name: shortText('Name'),
  supplier: optionalText('Supplier', 120),
  fabric: oneOf<Fabric>('Surface', FABRIC_NAMES),
  heating: oneOf<Heating>('Pressed on', HEATINGS),
  shape: oneOf('Shape', BLANK_SHAPES)
    .nullable()
    .transform((shape: string | null) => (shape === '' ? null : shape))
    .default(null),
  sizes: yup
    .array(
      yup.object({
        name: shortText('Size', 30),
        price: money('Price'),
        widthMm: laidFlat('Width laid flat'),
        lengthMm: laidFlat('Length laid flat'),
      }),
    )
    .required()
    .min(1, 'Sizes: at least one, such as “one size”.')
    .max(40, 'Sizes: at most 40.')
    .test(
      'unlike',
      'Sizes: each name once.',
      (sizes) => new Set(sizes?.map((size) => size.name)).size === sizes?.length,
    ),
  colours: yup
    .array(yup.object({ name: shortText('Colour', 40), hex: hexColour('Colour') }))
    .required()
    .min(1, 'Colours: at least one.')
    .max(60, 'Colours: at most 60.')
    .test(
      'unlike',
      'Colours: each name once.',
      (colours) => new Set(colours?.map((colour) => colour.name)).size === colours?.length,
    ),
  areas: yup.array(printArea).max(30, 'Print areas: at most 30.').default([]),
});

const drawingInput = yup.object({
  artworkId: rowId('Artwork'),
  blankId: rowId('Blank'),
  widthMm,
  vinylIds: yup.array(rowId('Vinyl')).required().min(1, 'Vinyl: one for each layer.'),
});
/** Of an item, or of a drawing that is none yet. */
export const quoteInput = yup
  .object({
    itemId: rowId('Item').nullable().default(null),
    drawing: drawingInput.nullable().default(null),
    sizeName: shortText('Size', 30),
    colourName: shortText('Colour', 40),
    options: optionIndexes,
    quantity: wholeBetween('Quantity', 1, 2000, 'More is better asked as an order.'),
    each: money('Price each').nullable().defined(),
    customerName: optionalText('Customer', 120),
  })
  .test(
    'of-what',
    'Item: choose one, or a drawing.',
    ({ itemId, drawing }) => (itemId === null) !== (drawing === null),
  );

const artworkFields = {
  name: shortText('Name'),
  steps: prepSteps,
  layerNames: yup.array(shortText('Layer name', 60)).required(),
  layerVinylIds: yup.array(rowId('Vinyl').nullable().defined()).required(),
  licence: oneOf<Licence>('Licence', LICENCES),
};
export const newArtworkInput = yup.object({ ...artworkFields, fileName: shortText('File name', 255) });
export const artworkChange = yup.object(artworkFields);

/** What a weeding map is printed of, beside the drawing itself. */
export const mapFacts = yup.object({
  name: shortText('Name'),
  steps: prepSteps,
  layers: yup
    .array(
      yup.object({
        key: yup.string().required().max(200),
        name: shortText('Layer name', 60),
        mirrored: yup.boolean().required(),
      }),
    )
    .required()
    .max(60, 'Layers: at most 60.'),
});

const partIds = yup
  .array(rowId('Part'))
  .required()
  .min(1, 'Choose at least one part.')
  .max(5000, 'At most 5000 parts at once.');
/** Why texts are cut that nobody compared with the customer's words; empty where none may be. */
const unreadReason = optionalText('Reason', 200);
export const startSessionInput = yup.object({
  station: oneOf<Station>('Station', STATIONS),
  partIds,
  unreadReason,
  // A saved cut sheet that is taken to the cutter; null where parts are cut without one.
  savedId: yup.number().integer().min(1).nullable().default(null),
  // Whose work it is; null where that is not told apart.
  personId: yup.number().integer().min(1).nullable().default(null),
});
export const personInput = yup.object({ name: shortText('Name', 40) });
export const stopSessionInput = yup.object({
  outcome: oneOf<'done' | 'paused' | 'discarded'>('Outcome', ['done', 'paused', 'discarded']),
  // Left out: all of them.
  partIds: partIds.optional().default(undefined),
  // Of a clock that was left running, what is counted; left out: all of it.
  countSeconds: numberBetween('Counted', 0, 24 * 3600, 'In seconds.')
    .optional()
    .default(undefined),
});
const clockKey = shortText('Clock', 40);
export const progressInput = yup.object({
  from: wholeBetween('Step', 0, 100_000, 'Counted from 0.'),
  to: wholeBetween('Step', 0, 100_000, 'Counted from 0.'),
  start: yup
    .array(
      yup.object({
        key: clockKey,
        label: shortText('What it counts for', 200),
        seconds: numberBetween('Seconds', 1, 24 * 3600, 'A day at most.'),
        press: yup
          .object({
            vinylName: shortText('Vinyl', 200),
            plannedC: numberBetween('Temperature', 30, 260, 'In °C.'),
            peel: oneOf('Peel', PEELS),
          })
          .nullable()
          .default(null),
      }),
    )
    .default(() => [])
    .max(20),
  stop: yup
    .array(clockKey)
    .default(() => [])
    .max(50),
  weeded: yup
    .object({
      piece: wholeBetween('Piece', 0, 100_000, 'Counted from 0.').required(),
      groups: yup
        .array(wholeBetween('Group', 0, 100_000, 'Counted from 0.').required())
        .default(() => [])
        .max(10_000),
    })
    .nullable()
    .default(null),
});
/** Of one part, what of it is made anew. */
const bitsInput = yup
  .object({
    bits: yup
      .array(wholeBetween('Bit', 0, 9999, 'Counted from 0.'))
      .required()
      .min(1, 'Choose what is made anew.')
      .max(10_000),
    of: wholeBetween('Bits', 1, 10_000, 'As many as the drawing has.'),
  })
  .test(
    'within',
    'Bits: each once, and none that the drawing hasn’t.',
    (recut: { readonly bits?: readonly number[]; readonly of?: number } | null | undefined) =>
      !recut?.bits ||
      (new Set(recut.bits).size === recut.bits.length && recut.bits.every((bit) => bit < (recut.of ?? 0))),
  );
export const spoilInput = yup.object({
  partIds,
  cause: oneOf<SpoilageCause>('Cause', SPOILAGE_CAUSES),
  blankLost: yup.boolean().required(),
  // Left out: all of them.
  recut: bitsInput.nullable().default(undefined).optional(),
});
export const undoInput = yup.object({
  partIds,
  eventIds: yup.array(rowId('Step')).required().min(1, 'Nothing to take back.').max(5000),
});
export const versionInput = yup.object({ version: yup.number().required().integer().min(1) });

export const shopInput = yup.object({
  name: shortText('Name of the shop'),
  // Left out: as they were.
  address: optionalText('Address', 300).default(undefined).optional(),
  contact: optionalText('How you are reached', 200).default(undefined).optional(),
  taxNote: optionalText('Tax note', 300).default(undefined).optional(),
  currency: yup
    .string()
    .required('Currency: three letters.')
    .matches(/^[A-Z]{3}$/, 'Currency: three capital letters, such as EUR.')
    .test('currency', 'Currency: none is called so. Write its three letters, such as EUR or JPY.', isCurrency),
  locale: yup
    .string()
    .required('Language of numbers: such as en-GB.')
    .test('locale', 'Language of numbers: a language tag such as en-GB or de-AT.', isLocale),
  timeZone: yup
    .string()
    .required('Time zone: such as Europe/Vienna.')
    .test('zone', 'Time zone: a region and town such as Europe/Vienna.', isTimeZone),
  figures: yup
    .object(
      Object.fromEntries(
        SHOP_FIGURE_KEYS.map((key) => [
          key,
          key === 'priceLevel'
            ? yup.number().default(SHOP_FIGURES.priceLevel.start)
            : numberBetween(
                SHOP_FIGURES[key].label,
                SHOP_FIGURES[key].least,
                SHOP_FIGURES[key].most,
                'Estimates and costs rest on it.',
              ),
        ]),
      ),
    )
    .required(),
});

/** What one of the old currency is worth in the new; 1 where the numbers stay, null where it was not asked yet. */
export const currencyChange = yup.object({
  rate: numberBetween('Rate', 0.000001, 1_000_000, 'What one of the old is worth in the new.').nullable().default(null),
});

function isCurrency(text: string | undefined): boolean {
  return text !== undefined && Intl.supportedValuesOf('currency').includes(text);
}

function isLocale(text: string | undefined): boolean {
  try {
    return text !== undefined && Intl.NumberFormat.supportedLocalesOf(text).length > 0;
  } catch (error) {
    if (error instanceof RangeError) return false;
    throw error;
  }
}

function isTimeZone(text: string | undefined): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: text });
    return text !== undefined && text !== '';
  } catch (error) {
    if (error instanceof RangeError) return false;
    throw error;
  }
}
