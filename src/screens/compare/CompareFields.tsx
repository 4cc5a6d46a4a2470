// What is compared: of which kind, for which layer, which of them, how large and how many.

import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { MadeLayer } from '../../core/costing';
import { proposeChoices, type CompareChoice, type CompareKind, type CompareWish } from '../../core/planning';
import type { CompareView } from '../../views/compare';
import { WidthField } from '../artwork/WidthField';
import { useLookFor } from '../shared/LookFor';
import { NumberInput } from '../shared/NumberInput';

export const MOST_COMPARED = 4;
const LEAST_WIDTH_MM = 5;
const MOST_PIECES = 10_000;

export const KIND_NAMES: Readonly<Record<CompareKind, string>> = {
  vinyls: 'vinyls',
  offers: 'offers of its vinyl',
  blanks: 'blanks',
};

type Props = {
  readonly view: CompareView;
  readonly wish: CompareWish;
  readonly layers: readonly MadeLayer[];
  readonly choices: readonly CompareChoice[];
  readonly onChange: (wish: CompareWish) => void;
};

export function CompareFields({ view, wish, layers, choices, onChange }: Props) {
  const set = (part: Partial<CompareWish>) => onChange({ ...wish, ...part });
  const look = useLookFor('vinyl');
  const begin = (kind: CompareKind, layerIndex: number) =>
    set({ kind, layerIndex, ids: proposeChoices(view, kind, layerIndex, MOST_COMPARED) });
  return (
    <section className="sheet fields compared" aria-label="What is compared">
      <TextField
        select
        label="Side by side"
        value={wish.kind}
        onChange={(event) => begin(event.target.value as CompareKind, wish.layerIndex)}
      >
        {(Object.keys(KIND_NAMES) as CompareKind[]).map((kind) => (
          <MenuItem key={kind} value={kind}>
            {KIND_NAMES[kind]}
          </MenuItem>
        ))}
      </TextField>
      <LayerField layers={layers} value={wish.layerIndex} onChange={(layerIndex) => begin(wish.kind, layerIndex)} />
      <div>
        <Autocomplete
          multiple
          disableCloseOnSelect
          options={[...choices]}
          value={wish.ids.flatMap((id) => choices.find((choice) => choice.id === id) ?? [])}
          getOptionLabel={(choice) => choice.name}
          getOptionKey={(choice) => choice.id}
          isOptionEqualToValue={(a, b) => a.id === b.id}
          getOptionDisabled={(choice) => wish.ids.length >= MOST_COMPARED && !wish.ids.includes(choice.id)}
          onChange={(_, chosen) => set({ ids: chosen.slice(0, MOST_COMPARED).map((choice) => choice.id) })}
          renderInput={(props) => <TextField {...props} label={`In these ${KIND_NAMES[wish.kind]}, four at most`} />}
        />
        {look && wish.kind === 'vinyls' && wish.ids.length < MOST_COMPARED && (
          <Button
            size="small"
            variant="text"
            onClick={() => look((id) => set({ ids: [...new Set([...wish.ids, id])] }))}
          >
            Look for a vinyl…
          </Button>
        )}
      </div>
      <WidthField
        label="Width"
        widthMm={wish.widthMm}
        onChange={(widthMm) => widthMm !== null && widthMm >= LEAST_WIDTH_MM && set({ widthMm })}
      />
      <NumberInput
        shown
        whole
        label="Made at once"
        value={wish.quantity}
        least={1}
        onChange={(quantity) => quantity <= MOST_PIECES && set({ quantity })}
      />
    </section>
  );
}

type LayerFieldProps = {
  readonly layers: readonly MadeLayer[];
  readonly value: number;
  readonly onChange: (layerIndex: number) => void;
};

function LayerField({ layers, value, onChange }: LayerFieldProps) {
  const severalPlaces = new Set(layers.map((entry) => entry.place)).size > 1;
  return (
    <TextField select label="Layer" value={value} onChange={(event) => onChange(Number(event.target.value))}>
      {layers.map((layer, index) => (
        <MenuItem key={index} value={index}>
          {layer.name}
          {severalPlaces ? `, ${layer.place}` : ''}
        </MenuItem>
      ))}
    </TextField>
  );
}
