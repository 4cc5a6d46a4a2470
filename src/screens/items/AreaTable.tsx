// The three areas of each layer side by side, and by which of them vinyl is costed.

import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { Controller, type UseFormReturn } from 'react-hook-form';
import { AREA_BASES, type AreaBasis, type ItemCost, type MadeLayer } from '../../core/costing';
import { Why } from '../shared/Why';
import type { ItemForm } from './item-form';
import { NumberHead } from '../shared/NumberHead';
import { Swatch } from '../shared/Swatch';

type Props = {
  readonly form: UseFormReturn<ItemForm>;
  readonly cost: ItemCost;
  readonly layers: readonly MadeLayer[];
  readonly basis: AreaBasis;
};

export function AreaTable({ form, cost, layers, basis }: Props) {
  return (
    <section className="sheet flush" aria-label="Vinyl, three areas">
      <div className="row apart middle pad-top-4 pad-right-4 pad-bottom-1 pad-left-4 gap-4">
        <h2 className="flat">Vinyl, three areas</h2>
        <Controller
          control={form.control}
          name="areaBasis"
          render={({ field }) => (
            <ToggleButtonGroup
              size="small"
              exclusive
              value={field.value}
              onChange={(_, next: AreaBasis | null) => next && field.onChange(next)}
              aria-label="Cost vinyl by"
            >
              {AREA_BASES.map((name) => (
                <ToggleButton key={name} value={name} sx={{ py: 0.4, textTransform: 'none' }}>
                  by {name}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
          )}
        />
      </div>
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">layer</th>
            <NumberHead>net</NumberHead>
            <NumberHead>box</NumberHead>
            <NumberHead>used</NumberHead>
          </tr>
        </thead>
        <tbody>
          {cost.layers.map((layer, index) => (
            <tr key={index}>
              <td>
                <Swatch colour={layers[index]?.vinyl.colourHex} />
                {layers[index]?.name}
                {new Set(layers.map((entry) => entry.place)).size > 1 && (
                  <span className="soft">, {layers[index]?.place}</span>
                )}
              </td>
              {(['net', 'box', 'used'] as const).map((area) => (
                <td key={area} className={area === basis ? 'num bold' : 'num'}>
                  <Why figure={layer.areas[area]} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
