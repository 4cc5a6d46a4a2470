// A load as it is kept while it is worked on.

import * as yup from 'yup';
import { NO_MARKS, type Inside, type WeedLines } from '../nesting';
import type { Hold, LeftoverChoice } from '../orders';
import type { LotForm } from '../stock';
import { numberBetween, oneOf, optionalText, orNothing, rowId, shortText, wholeBetween } from './rules';

const coordinate = (label: string) => numberBetween(label, -200_000, 200_000, 'In mm.');
const size = (label: string) => numberBetween(label, 0, 200_000, 'In mm.');
const area = (label: string) => numberBetween(label, 0, 1e12, 'In mm².');
const id = shortText('Piece', 120);
const source = yup.object({
  artworkId: rowId('Artwork'),
  layerIndex: wholeBetween('Layer', 0, 1000, 'Counted from 0.'),
  widthMm: size('Width'),
  mirrored: yup.boolean().required(),
  // Left out: all of it.
  bits: yup
    .array(wholeBetween('Bit', 0, 9999, 'Counted from 0.'))
    .max(10_000)
    .optional(),
});
/** Whole numbers or none: a copy that no order asked for. */
const partIds = yup
  .array(orNothing(wholeBetween('Part', 1, Number.MAX_SAFE_INTEGER, 'A part of an order.')))
  .required()
  .max(2000);

const marksInput = yup
  .object({
    weed: oneOf<WeedLines>('Weed lines', ['none', 'each', 'all']),
    corners: yup.boolean().required(),
    trim: yup.boolean().required(),
    tags: yup.boolean().required(),
    tool: oneOf<'knife' | 'pen'>('Drawn with', ['knife', 'pen']),
  })
  .default(() => NO_MARKS);

export const cutSheetInput = yup.object({
  vinylId: rowId('Vinyl'),
  sheet: yup
    .object({
      gapMm: numberBetween('Gap', 0, 100, 'Room for scissors is 6 mm ordinarily.'),
      hold: oneOf<Hold>('Held', ['suited', 'mat', 'free']),
      marks: marksInput,
      inside: oneOf<Inside>('Inside others', ['nothing', 'bays', 'holes']).default('bays'),
      lots: yup
        .array(
          yup.object({
            lotId: wholeBetween('Lot', 0, Number.MAX_SAFE_INTEGER, '0 for one that is not on the book.'),
            form: oneOf<LotForm>('Form', ['roll', 'sheet', 'offcut', 'piece']),
            widthMm: size('Width'),
            lengthMm: orNothing(size('Length')),
          }),
        )
        .required()
        .max(200),
      pieces: yup
        .array(
          yup.object({
            id,
            name: shortText('Name', 300),
            source,
            island: orNothing(wholeBetween('Island', 0, 10_000, 'Counted from 0.')),
            partIds,
          }),
        )
        .required()
        .min(1, 'Pieces: at least one.')
        .max(1000),
      placements: yup
        .array(
          yup.object({
            pieceId: id,
            copy: wholeBetween('Copy', 0, 2000, 'Counted from 0.'),
            sheet: wholeBetween('Sheet', 0, 1000, 'Counted from 0.'),
            xMm: coordinate('x'),
            yMm: coordinate('y'),
            rotationDeg: numberBetween('Turn', -3600, 3600, 'In degrees.'),
          }),
        )
        .required()
        .max(2000),
      locked: yup.array(shortText('Locked', 140)).required().max(2000),
      sheets: yup
        .array(
          yup.object({
            sheet: wholeBetween('Sheet', 0, 1000, 'Counted from 0.'),
            lotId: wholeBetween('Lot', 0, Number.MAX_SAFE_INTEGER, '0 for one that is not on the book.'),
            stockId: shortText('Stock', 60),
            usedLengthMm: size('Cut off'),
            usedMm2: area('Used'),
            piecesMm2: area('Pieces'),
            density: numberBetween('Share', 0, 100, 'Of what is used; more than all where pieces lie on one another.'),
          }),
        )
        .required()
        .max(1000),
    })
    .required(),
});
export const cutSheetVersion = yup.object({
  version: wholeBetween('Version', 1, Number.MAX_SAFE_INTEGER, 'As it was read.'),
});

/** A saved sheet is cut: as which version, and what of each of its sheets is saved; where nothing is said, the most. */
export const cutSavedInput = cutSheetVersion.shape({
  leftovers: yup
    .array(
      yup.object({
        sheet: wholeBetween('Sheet', 0, 1000, 'Counted from 0.'),
        kind: oneOf<LeftoverChoice>('Saved of it', ['strip', 'rectangles', 'shape', 'nothing']),
      }),
    )
    .max(1000)
    .default([]),
  /** Why texts are cut that nobody compared with the customer’s words; empty where none may be. */
  unreadReason: optionalText('Reason', 200),
});
