// Refusals of the shelf: vinyls, lots, offcuts and supplies.

import type { Lot } from '../../core/stock';

const amount = (form: Lot['form'], value: number) =>
  form === 'roll' ? `${Math.round(value * 10) / 10} mm` : `${value}`;

export const STOCK = {
  'press-missing': () =>
    'Press: a heat transfer vinyl needs its temperature, seconds, pressure and peel, from the maker’s sheet.',
  'not-pressed': ({ vinyl }: { vinyl: string }) => `Vinyl: ${vinyl} sticks without heat; nothing of it is pressed.`,
  'day-to-come': () => 'Seen on: that day is still to come.',
  'lot-short': (d: { form: Lot['form']; has: number; asked: number }) =>
    `There are ${amount(d.form, d.has)} left of this lot, and ${amount(d.form, d.asked)} are asked for. Count it first if there is more than the book says.`,
  'quantity-signed': () => 'Quantity: write how much, without a sign; the cause says which way it goes.',
  'quantity-not-whole': () => 'Quantity: whole pieces only.',
  'quantity-nothing': () => 'Quantity: more than nothing.',
  'lot-has-no-width': (d: { form: Lot['form'] }) =>
    d.form === 'piece'
      ? 'True width: pieces have none. Leave it empty.'
      : 'True width: this offcut is kept by its shape. Set it aside anew with its true size.',
  'count-not-whole': () => 'Counted: whole pieces only.',
  'vinyl-in-pieces': () => 'Form: vinyl comes as a roll or as sheets.',
  'pieces-as-vinyl': () => 'Form: blanks and supplies are counted as pieces.',
  'lot-without-size': () => 'Width: write how wide it is, and of sheets how long.',
  'spots-on-no-offcut': () => 'Spoiled spots are marked on offcuts. Set the piece aside as an offcut first.',
  'spot-beside-offcut': ({ spot }: { spot: number }) =>
    `Spot ${spot} lies beside the offcut. From the left and from the top are measured on the offcut itself, as it is drawn.`,
  'offcut-all-spoiled': () => 'Nothing of the offcut would be left: book it as spoiled instead.',
  'offcut-of-no-vinyl': () => 'Only vinyl leaves offcuts.',
  'offcut-wider-than-lot': ({ widthMm }: { widthMm: number | null }) =>
    `Width: the lot is ${widthMm} mm wide, so no piece of it is wider.`,
  'life-missing': ({ wears }: { wears: string }) => `Life: write after how many ${wears} you ordinarily change it.`,
  'supply-without-wear': () => 'This is simply used up: book it off its lot instead.',
  'not-cleanable': () => 'Only mats come back by cleaning.',
  'wear-nothing': () => 'Amount: more than nothing.',
  'supply-not-in-use': () => 'None of it is in use yet: take one into use first.',
};
