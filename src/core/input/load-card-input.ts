// What a loading card is printed from: told by the page that laid it out.

import * as yup from 'yup';
import { hexColour, numberBetween, oneOf, optionalText, orNothing, shortText } from './rules';

const mm = (label: string) => numberBetween(label, -200_000, 200_000, 'In mm.');
const ring = yup
  .array(yup.object({ x: mm('x'), y: mm('y') }))
  .required()
  .max(2000);
const yes = () => yup.boolean().required();

export const loadCardInput = yup.object({
  vinylName: shortText('Vinyl', 200),
  colourHex: hexColour('Colour'),
  sheets: yup
    .array(
      yup.object({
        lotName: shortText('Lot', 200),
        density: numberBetween('Share', 0, 100, 'Of what is used.'),
        lengthMm: mm('Length'),
        shape: ring,
        spoiledSpots: yup.array(ring).required().max(50),
        facts: yup
          .object({
            isRoll: yes(),
            onMat: yes(),
            mirrored: oneOf<'all' | 'some' | 'none'>('Mirrored', ['all', 'some', 'none']),
            widthMm: mm('Width'),
            leastWidthMm: mm('Width'),
            usedLengthMm: mm('Cut off'),
            leadMm: mm('Lead-in'),
            thicknessUm: orNothing(numberBetween('Thickness', 0, 100_000, 'In µm.')),
            kind: shortText('Kind', 100),
            pen: yes(),
            trim: yes(),
          })
          .required(),
        pieces: yup
          .array(
            yup.object({
              outline: ring,
              tag: shortText('Tag', 60),
              what: shortText('Piece', 300),
              orderTitle: optionalText('Order', 250),
              dueDay: yup
                .string()
                .nullable()
                .defined()
                .matches(/^\d{4}-\d\d-\d\d$/, 'Due: a day.'),
            }),
          )
          .required()
          .max(2000),
      }),
    )
    .required()
    .min(1, 'Sheets: at least one.')
    .max(100),
});
