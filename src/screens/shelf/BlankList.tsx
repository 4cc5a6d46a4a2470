// The blanks: their sizes, their limits and what they cost.

import type { BlankView, ShelfPage } from '../../views/shelf';
import { useSettings } from '../shared/settings';
import { FABRICS } from '../../core/materials';
import { formatTemperature, formatMoney } from '../../core/units';
import Button from '@mui/material/Button';
import type { Editing } from './shelf-editing';
import { Swatch } from '../shared/Swatch';

type BlanksProps = {
  readonly shelf: ShelfPage;
  readonly setEditing: React.Dispatch<React.SetStateAction<Editing | null>>;
};

export function Blanks({ shelf, setEditing }: BlanksProps) {
  return (
    <section className="sheet flush" aria-label="Blanks" tabIndex={0}>
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">blank</th>
            <th scope="col">surface</th>
            <th className="hide-small" scope="col">
              from
            </th>
            <th scope="col">sizes and prices</th>
            <th scope="col">colours</th>
            <th scope="col" />
          </tr>
        </thead>
        <tbody>
          {shelf.blanks.map((blank) => (
            <BlankRow key={blank.id} blank={blank} setEditing={setEditing} />
          ))}
          {shelf.blanks.length === 0 && (
            <tr>
              <td colSpan={6} className="soft">
                No blank yet. Add what you decorate most.
              </td>
            </tr>
          )}
        </tbody>
      </table>
    </section>
  );
}

type BlankRowProps = {
  readonly blank: BlankView;
  readonly setEditing: React.Dispatch<React.SetStateAction<Editing | null>>;
};

function BlankRow({ blank, setEditing }: BlankRowProps) {
  const settings = useSettings();
  return (
    <tr>
      <td>
        <strong>{blank.name}</strong>
      </td>
      <td>
        {FABRICS[blank.fabric].label}
        {FABRICS[blank.fabric].ceilingC && blank.heating !== 'none'
          ? `, to ${formatTemperature(FABRICS[blank.fabric].ceilingC ?? 0, settings)}`
          : ', no heat'}
      </td>
      <td className="soft hide-small">{blank.supplier}</td>
      <td>
        {blank.sizes.map((size) => (
          <span key={size.name} className="after-4 nowrap">
            {size.name} <span className="figures">{formatMoney(size.price, settings)}</span>
          </span>
        ))}
      </td>
      <td>
        {blank.colours.map((colour) => (
          <span key={colour.name} className="after-4 nowrap">
            <Swatch colour={colour.hex} />
            {colour.name}
          </span>
        ))}
      </td>
      <td className="right">
        <Button
          size="small"
          variant="text"
          onClick={() => setEditing({ kind: 'blank', blank })}
          aria-label={`Change ${blank.name}`}
        >
          Change
        </Button>
      </td>
    </tr>
  );
}
