// The vinyls, found by name, drawn only where they are seen.

import type { ShelfPage, VinylView } from '../../views/shelf';
import { type VinylFilter, getKindFacts, computePricePerM2 } from '../../core/materials';
import type { UseInfiniteQueryResult, InfiniteData } from '@tanstack/react-query';
import { useSettings } from '../shared/settings';
import { VinylFilterFields } from './VinylFilterFields';
import { VirtualBody } from '../shared/VirtualBody';
import { formatLength, formatMoney, formatTemperature } from '../../core/units';
import { Why } from '../shared/Why';
import Button from '@mui/material/Button';
import type { Editing } from './shelf-editing';
import { NumberHead } from '../shared/NumberHead';
import { MoreRows } from '../shared/MoreRows';
import { Swatch } from '../shared/Swatch';

/** Two lines of text. */
const VINYL_ROW_PX = 52;

type VinylListProps = {
  readonly shelf: ShelfPage;
  readonly filter: VinylFilter;
  readonly setFilter: React.Dispatch<React.SetStateAction<VinylFilter>>;
  readonly shown: VinylView[];
  readonly setEditing: React.Dispatch<React.SetStateAction<Editing | null>>;
  readonly found: UseInfiniteQueryResult<InfiniteData<ShelfPage>>;
};

export function VinylList({ shelf, filter, setFilter, shown, setEditing, found }: VinylListProps) {
  return (
    <section className="sheet flush" aria-label="Vinyls" tabIndex={0}>
      {shelf.vinylCount > 0 && <VinylFilterFields filter={filter} onChange={setFilter} />}
      <table className="plain">
        <VinylHead />
        <VirtualBody
          count={shown.length}
          columns={9}
          heightOf={() => VINYL_ROW_PX}
          empty={
            shelf.vinylCount === 0
              ? 'No vinyl yet. Add the roll you use most.'
              : 'No vinyl on the shelf does for that. Ask for less, or look through the offers.'
          }
          render={(index) => {
            const vinyl = shown[index]!;
            return <VinylRow key={vinyl.id} vinyl={vinyl} setEditing={setEditing} />;
          }}
        />
      </table>
      <MoreRows pages={found} shown={shown.length} total={shelf.total} />
    </section>
  );
}

function VinylHead() {
  return (
    <thead>
      <tr>
        <th scope="col">vinyl</th>
        <th scope="col">kind</th>
        <th className="hide-small" scope="col">
          from
        </th>
        <NumberHead>roll</NumberHead>
        <NumberHead>price</NumberHead>
        <NumberHead>a m²</NumberHead>
        <th className="right hide-small" scope="col">
          weeding
        </th>
        <th className="hide-small" scope="col">
          press
        </th>
        <th scope="col" />
      </tr>
    </thead>
  );
}

type VinylRowProps = {
  readonly vinyl: VinylView;
  readonly setEditing: React.Dispatch<React.SetStateAction<Editing | null>>;
};

function VinylRow({ vinyl, setEditing }: VinylRowProps) {
  const settings = useSettings();
  return (
    <tr>
      <td>
        <Swatch colour={vinyl.colourHex} />
        <strong>{vinyl.name}</strong>
      </td>
      <td>{getKindFacts(vinyl.kind).label}</td>
      <td className="soft hide-small">{vinyl.supplier}</td>
      <td className="num">
        {formatLength(vinyl.rollWidthMm, settings)} × {formatLength(vinyl.rollLengthMm, settings)}
      </td>
      <td className="num">{formatMoney(vinyl.rollPrice, settings)}</td>
      <td className="num">
        <Why figure={computePricePerM2(vinyl)}>{formatMoney(Math.round(computePricePerM2(vinyl).value), settings)}</Why>
      </td>
      <td className="num hide-small">× {vinyl.weedingFactor}</td>
      <td className="hide-small">
        {vinyl.press
          ? `${formatTemperature(vinyl.press.lowC, settings).replace(/ .*/, '')}–${formatTemperature(vinyl.press.highC, settings)}, ${vinyl.press.seconds} s, ${vinyl.press.peel}`
          : 'stuck on with tape'}
      </td>
      <td className="right">
        <Button
          size="small"
          variant="text"
          onClick={() => setEditing({ kind: 'vinyl', vinyl })}
          aria-label={`Change ${vinyl.name}`}
        >
          Change
        </Button>
      </td>
    </tr>
  );
}
