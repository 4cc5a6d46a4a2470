// Which offer each material of an item is calculated with.

import { useSettings } from '../shared/settings';
import { useWatch } from 'react-hook-form';
import { keyOf } from '../../core/stock';
import TextField from '@mui/material/TextField';
import MenuItem from '@mui/material/MenuItem';
import { formatFigure } from '../../core/units';
import type { MoreFieldsProps } from './more-fields-props';

/** Which offer of each material is calculated with; the cheapest where none is chosen. */
export function OfferChoice({ form, view }: Pick<MoreFieldsProps, 'form' | 'view'>) {
  const settings = useSettings();
  const [placements, blankId, sizeName, colourName, chosen] = useWatch({
    control: form.control,
    name: ['placements', 'blankId', 'sizeName', 'colourName', 'details.offerIds'],
  });
  const prices = new Map(view.prices);
  const things = [...new Set(placements.flatMap((placement) => placement.vinylIds.map(Number)))].flatMap((id) => {
    const vinyl = view.shelf.vinyls.find((candidate) => candidate.id === id);
    return vinyl
      ? [
          {
            name: vinyl.name,
            offers: prices.get(keyOf({ kind: 'vinyl', vinylId: id }))?.offers ?? [],
            unit: 'money/m²' as const,
          },
        ]
      : [];
  });
  const blank = {
    name: 'The blank',
    offers: prices.get(keyOf({ kind: 'blank', blankId: Number(blankId), sizeName, colourName }))?.offers ?? [],
    unit: 'money' as const,
  };
  return (
    <div className="fields">
      {[...things, blank].map(({ name, offers, unit }) => (
        <TextField
          key={name}
          select
          size="small"
          label={name}
          value={offers.find((offer) => chosen.includes(offer.id))?.id ?? 0}
          disabled={offers.length === 0}
          onChange={(event) =>
            form.setValue(
              'details.offerIds',
              [
                ...chosen.filter((id) => !offers.some((offer) => offer.id === id)),
                ...(Number(event.target.value) > 0 ? [Number(event.target.value)] : []),
              ],
              { shouldDirty: true },
            )
          }
        >
          <MenuItem value={0}>
            {offers.length === 0 ? 'nobody offers it: the shelf’s price' : 'the cheapest offer'}
          </MenuItem>
          {offers.map((offer) => (
            <MenuItem key={offer.id} value={offer.id}>
              {offer.label}: {formatFigure({ value: offer.price, unit }, settings)}
            </MenuItem>
          ))}
        </TextField>
      ))}
    </div>
  );
}
