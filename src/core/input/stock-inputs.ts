// What may be entered of stock, suppliers and purchases.

import * as yup from 'yup';
import { LIST_COLUMNS } from '../buying/list-columns';
import { FABRIC_NAMES, GRADES, VINYL_KIND_NAMES, type Grade } from '../materials';
import { LOT_FORMS, type LotForm, type StockCause } from '../stock/ledger';
import { SUPPLY_KIND_NAMES, TACKS, WEAR_KINDS } from '../stock/supplies';
import { parseKey } from '../stock/things';
import { money, numberBetween, oneOf, optionalText, orNothing, rowId, shortText, wholeBetween } from './rules';

const thingKey = yup
  .string()
  .required('Thing: choose one.')
  .test('thing', 'Thing: choose one.', (key) => key === null || (key !== undefined && parseKey(key) !== null));
const lengthMm = (label: string) => numberBetween(label, 1, 200_000, 'In mm; 10 m are 10 000.');
const quantity = numberBetween('Quantity', 0.1, 1_000_000, 'Of a roll in mm, else counted.');

export const lotInput = yup.object({
  key: thingKey,
  form: yup
    .mixed<LotForm>()
    .oneOf([...LOT_FORMS], 'Form: roll, sheet or piece.')
    .required(),
  widthMm: lengthMm('Width').nullable().defined(),
  lengthMm: lengthMm('Length').nullable().defined(),
  quantity,
  price: money('Price of all of it'),
  remark: optionalText('Remark', 200),
});
/** What is booked by hand; receiving, counting and setting aside have their own ways in. */
export const BOOKED_CAUSES = ['cut', 'used', 'spoiled', 'sold', 'returned'] as const satisfies readonly StockCause[];
export const bookingInput = yup.object({
  cause: yup
    .mixed<(typeof BOOKED_CAUSES)[number]>()
    .oneOf([...BOOKED_CAUSES], 'Cause: cut, used, spoiled, sold or returned.')
    .required(),
  quantity,
  note: optionalText('Note', 200),
});
export const countInput = yup.object({
  counted: numberBetween('Counted', 0, 1_000_000, 'Of a roll in mm, else pieces.'),
  /** As measured, of a roll or a sheet; null where it was not looked at. */
  widthMm: numberBetween('True width', 10, 5000, 'In mm.').nullable().default(null),
  note: optionalText('Note', 200),
});
/** What the machine reads when it is loaded. */
export const widthInput = yup.object({ widthMm: numberBetween('True width', 10, 5000, 'In mm.') });
export const remarkInput = yup.object({ remark: optionalText('Remark', 200) });
export const spoiledSpotsInput = yup.object({
  spots: yup
    .array(
      yup.object({
        x: numberBetween('From the left', 0, 200_000, 'In mm.'),
        y: numberBetween('From the top', 0, 200_000, 'In mm.'),
        width: numberBetween('Width', 1, 200_000, 'In mm.'),
        height: numberBetween('Length', 1, 200_000, 'In mm.'),
      }),
    )
    .required()
    .max(50, 'Spots: 50 at most.'),
});
export const offcutInput = yup
  .object({
    widthMm: lengthMm('Width'),
    lengthMm: lengthMm('Length'),
    cornerWidthMm: numberBetween('Missing corner, width', 0, 200_000, 'In mm; 0 where none is missing.'),
    cornerLengthMm: numberBetween('Missing corner, length', 0, 200_000, 'In mm; 0 where none is missing.'),
    takesMm: numberBetween(
      'Taken off the roll',
      0,
      200_000,
      'In mm; 0 where the job it is left from has taken it already.',
    ),
    remark: optionalText('Remark', 200),
  })
  .test(
    'corner',
    'Missing corner: smaller than the offcut, both ways.',
    ({ widthMm, lengthMm: long, cornerWidthMm, cornerLengthMm }) =>
      cornerWidthMm < widthMm && cornerLengthMm < long && cornerWidthMm > 0 === cornerLengthMm > 0,
  );

export const offcutSearch = yup.object({
  widthMm: lengthMm('Width'),
  heightMm: lengthMm('Height'),
  key: thingKey.nullable().defined(),
});

export const supplierInput = yup.object({
  name: shortText('Name'),
  email: yup
    .string()
    .trim()
    .defined()
    .default('')
    .max(200)
    .matches(/^$|^[^\s@<>,;"]+@[^\s@<>,;"]+$/, 'E-mail: it has to have an @, and no spaces.'),
  shipping: money('Shipping'),
  freeFrom: money('Free from').nullable().defined(),
  minimumOrder: money('Minimum order').nullable().defined(),
  leadDays: wholeBetween('Days until it is here', 0, 120, 'In days.'),
});

const column = yup.number().integer().min(0).max(500).nullable().defined();
export const listFacts = yup.object({
  match: yup
    .object(
      Object.fromEntries(LIST_COLUMNS.map((name) => [name, column])) as Record<
        (typeof LIST_COLUMNS)[number],
        typeof column
      >,
    )
    .nullable()
    .defined(),
  /** Empty: as the prices look. */
  decimal: yup.mixed<',' | '.' | ''>().oneOf([',', '.', '']).defined(),
  lengthUnit: yup.mixed<'mm' | 'cm' | 'm' | 'in'>().oneOf(['mm', 'cm', 'm', 'in']).required(),
  dropMissing: yup.boolean().required(),
});
export const partKeyInput = yup.object({
  position: yup.number().integer().min(0).required(),
  key: thingKey.nullable().defined(),
});
const packPart = yup
  .object({
    key: thingKey.nullable().defined(),
    label: optionalText('Called', 120),
    count: wholeBetween('Count', 1, 100_000, 'How many are in a pack.'),
    widthMm: orNothing(lengthMm('Width')),
    lengthMm: orNothing(lengthMm('Length')),
  })
  .test(
    'both',
    'Width and length: write both, or neither for pieces.',
    (part) => (part.widthMm === null) === (part.lengthMm === null),
  );
export const offerInput = yup.object({
  supplierId: rowId('Supplier'),
  code: shortText('Article number', 60),
  name: shortText('Name', 160),
  price: money('Price of a pack'),
  breaks: yup
    .array(
      yup.object({
        fromPacks: wholeBetween('From packs', 2, 10_000, 'The price of one pack stands above.'),
        price: money('Price from so many'),
      }),
    )
    .required()
    .max(12, 'Prices by quantity: at most 12.')
    .test(
      'once',
      'Prices by quantity: each number of packs once.',
      (breaks) => new Set(breaks.map((step) => step.fromPacks)).size === breaks.length,
    ),
  takePay: yup
    .object({
      take: wholeBetween('Take', 2, 100, 'Such as three.'),
      pay: wholeBetween('Pay', 1, 99, 'Fewer than are taken.'),
    })
    .nullable()
    .defined()
    .test('fewer', 'Pay: fewer than are taken.', (deal) => deal === null || deal.pay < deal.take),
  parts: yup
    .array(packPart)
    .required()
    .min(1, 'In the pack: at least one thing.')
    .max(60, 'In the pack: at most 60 things.'),
});
const orAny = <T extends string>(label: string, values: readonly T[]) =>
  yup
    .mixed<T | ''>()
    .default('')
    .test(
      'known',
      `${label}: choose one, or none for any.`,
      (value) => value === '' || (value !== null && values.includes(value as T)),
    );
export const shelfQuery = yup.object({
  words: optionalText('Search', 200),
  kind: orAny('Kind', VINYL_KIND_NAMES),
  fabric: orAny('Safe on', FABRIC_NAMES),
  grade: orAny('Good enough for', GRADES),
  inStock: yup.boolean().default(false),
  offset: yup.number().integer().min(0).max(10_000_000).default(0),
});
export const stockQuery = yup.object({
  words: optionalText('Search', 200),
  offset: yup.number().integer().min(0).max(10_000_000).default(0),
});
export const offerQuery = yup.object({
  words: optionalText('Search', 200),
  supplierId: yup.number().integer().min(0).default(0),
  sort: oneOf('Sorted by', ['unit', 'name', 'newest'] as const),
  offset: yup.number().integer().min(0).max(10_000_000).default(0),
});
export const minimumInput = yup.object({
  key: thingKey,
  amount: numberBetween('Minimum', 0.000001, 1e12, 'Vinyl in usable mm², else counted.').nullable().defined(),
  coverWeeks: numberBetween('Weeks', 0.5, 104, 'Of use, as it was booked.').nullable().default(null),
});

export const supplyInput = yup.object({
  name: shortText('Name'),
  kind: oneOf('Kind', SUPPLY_KIND_NAMES),
  supplier: optionalText('Supplier', 120),
  widthMm: numberBetween('Width', 1, 3000, 'In mm.').nullable().defined(),
  tack: oneOf('Tack', TACKS).nullable().defined(),
  angleDegrees: numberBetween('Blade angle', 15, 75, 'In degrees: 45 ordinarily, 60 for thick or glitter.')
    .nullable()
    .defined(),
  life: numberBetween('Life', 1, 1_000_000, 'In what it wears by; empty for what is simply used up.')
    .nullable()
    .defined(),
  note: optionalText('Note', 400),
});
export const wearInput = yup.object({
  kind: oneOf('What', WEAR_KINDS),
  amount: numberBetween('Amount', 0, 1_000_000, 'In what it wears by.'),
  /** Fitting one takes it off the shelf where one lies there. */ fromStock: yup.boolean().default(false),
});
export const basketInput = yup.object({
  extra: yup
    .array(
      yup.object({
        key: thingKey,
        amount: numberBetween('Amount', 0.000001, 1e12, 'Vinyl in usable mm², else counted.'),
      }),
    )
    .required()
    .max(100, 'Needs: at most 100 by hand.'),
  withOrders: yup.boolean().required(),
  withMinimums: yup.boolean().required(),
  /** Vinyls alike do too, from this grade on; null: only the one that is named. */
  alike: yup
    .mixed<Grade>()
    .nullable()
    .default(null)
    .test('grade', 'Grade: sell, own use, stencil or no.', (grade) => grade == null || GRADES.includes(grade)),
  /** Looked for until it is proven, however long that takes. */
  thorough: yup.boolean().default(false),
});
export const purchaseInput = yup.object({
  lines: yup
    .array(yup.object({ offerId: rowId('Offer'), packs: wholeBetween('Packs', 1, 1000, 'Whole packs.') }))
    .required()
    .min(1, 'Lines: at least one.')
    .max(300, 'Lines: at most 300.'),
});
export const receiveInput = yup.object({
  /** The seller was told that more came than was ordered, and says it is so. */
  moreAccepted: yup.boolean().default(false),
  lines: yup
    .array(
      yup.object({
        lineId: rowId('Line'),
        received: wholeBetween('Received', 0, 10_000, 'Whole packs.'),
        damaged: wholeBetween('Damaged', 0, 10_000, 'Whole packs.'),
      }),
    )
    .required()
    .min(1)
    .max(300),
  close: yup.boolean().required(),
});
