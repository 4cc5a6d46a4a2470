// What the maker's sheet and the shop's own trials say of a vinyl, as fields.

import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { Controller, useWatch, type FieldPath, type UseFormReturn } from 'react-hook-form';
import {
  CARRIERS,
  COVERS,
  DIRECTIONS,
  FABRIC_NAMES,
  FABRICS,
  FINISHES,
  getOrdinaryFloor,
  GRADES,
  PEELS,
  PRESSURES,
  type Fabric,
} from '../../core/materials';
import { formatLength } from '../../core/units';
import { Choice, TextLine } from '../shared/form';
import { LengthField, NumberField, TemperatureField } from '../shared/number-fields';
import { useSettings } from '../shared/settings';
import type { VinylValues } from '../shared/vinyl-values';

type Props = { readonly form: UseFormReturn<VinylValues> };
const options = (names: readonly string[], labels: Readonly<Record<string, string>> = {}) =>
  names.map((name) => ({ value: name, label: labels[name] ?? name }));
const CARRIER_LABELS = { face: 'on its face: cut from the back', back: 'behind it: cut face up' };
const DIRECTION_LABELS = { none: 'none: pieces may be turned', along: 'along the roll', across: 'across the roll' };
const GRADE_LABELS = { sell: 'things you sell', 'own use': 'own use', stencil: 'stencils, short-lived', no: 'nothing' };
const COVER_LABELS = { 'when bare': 'once pressed vinyl lies bare', always: 'always', never: 'never' };

export function CutFields({ form }: Props) {
  const settings = useSettings();
  const [kind, weedingFactor] = useWatch({ control: form.control, name: ['kind', 'weedingFactor'] });
  const ordinary = getOrdinaryFloor({ kind, weedingFactor });
  const tick = (name: 'details.takesLayers' | 'details.liesOnVinyl' | 'details.warmToWeed', label: string) => (
    <Controller
      control={form.control}
      name={name}
      render={({ field }) => (
        <FormControlLabel
          control={<Checkbox size="small" checked={field.value} onChange={(_, on) => field.onChange(on)} />}
          label={label}
        />
      )}
    />
  );
  return (
    <fieldset className="group">
      <legend>How it lies and cuts</legend>
      <div className="fields three">
        <NumberField form={form} name="details.thicknessUm" label="Thickness" unit="µm" />
        <Choice form={form} name="details.finish" label="Finish" options={options(FINISHES)} />
        <Choice form={form} name="details.carrier" label="Carrier" options={options(CARRIERS, CARRIER_LABELS)} />
        <Choice
          form={form}
          name="details.direction"
          label="Direction"
          options={options(DIRECTIONS, DIRECTION_LABELS)}
        />
        <LengthField
          form={form}
          name="details.strokeMm"
          label="Thinnest stroke"
          help={`empty: ${formatLength(ordinary.strokeMm, settings)}, as ordinary`}
        />
        <LengthField
          form={form}
          name="details.gapMm"
          label="Narrowest gap"
          help={`empty: ${formatLength(ordinary.gapMm, settings)}, as ordinary`}
        />
      </div>
      {tick('details.takesLayers', 'other vinyl may lie on it')}
      {tick('details.liesOnVinyl', 'it may lie on other vinyl')}
      {tick('details.warmToWeed', 'warm it for a moment before weeding')}
    </fieldset>
  );
}

function SettingFields({ form, at }: Props & { at: 'press' | `details.pressOn.${Fabric}` }) {
  const name = (field: string) => `${at}.${field}` as FieldPath<VinylValues>;
  return (
    <div className="fields five">
      <TemperatureField form={form} name={name('lowC')} label="Lowest temperature" />
      <TemperatureField form={form} name={name('highC')} label="Highest temperature" />
      <NumberField form={form} name={name('seconds')} label="Seconds" unit="s" />
      <Choice form={form} name={name('pressure')} label="Pressure" options={options(PRESSURES)} />
      <Choice form={form} name={name('peel')} label="Peel" options={options(PEELS)} />
    </div>
  );
}

export function PressFields({ form }: Props) {
  const pressOn = useWatch({ control: form.control, name: 'details.pressOn' });
  const own = FABRIC_NAMES.filter((fabric) => pressOn[fabric]);
  const add = (fabric: Fabric) => {
    const press = form.getValues('press');
    if (press) form.setValue('details.pressOn', { ...pressOn, [fabric]: { ...press } }, { shouldDirty: true });
  };
  const remove = (fabric: Fabric) =>
    form.setValue('details.pressOn', Object.fromEntries(Object.entries(pressOn).filter(([name]) => name !== fabric)), {
      shouldDirty: true,
    });
  return (
    <fieldset className="group">
      <legend>How it is pressed</legend>
      <SettingFields form={form} at="press" />
      {own.map((fabric) => (
        <div key={fabric} className="cols above-4 gap-2">
          <div className="row apart middle">
            <span className="soft">On {FABRICS[fabric].label}</span>
            <Button
              size="small"
              variant="text"
              onClick={() => remove(fabric)}
              aria-label={`Press it on ${FABRICS[fabric].label} as everywhere`}
            >
              as everywhere
            </Button>
          </div>
          <SettingFields form={form} at={`details.pressOn.${fabric}`} />
        </div>
      ))}
      <div className="fields above-4">
        <TextField
          select
          size="small"
          label="Pressed otherwise on"
          value=""
          onChange={(event) => add(event.target.value as Fabric)}
        >
          {FABRIC_NAMES.filter((fabric) => !pressOn[fabric] && FABRICS[fabric].ceilingC !== null).map((fabric) => (
            <MenuItem key={fabric} value={fabric}>
              {FABRICS[fabric].label}
            </MenuItem>
          ))}
        </TextField>
        <Choice form={form} name="details.cover" label="Cover sheet" options={options(COVERS, COVER_LABELS)} />
      </div>
    </fieldset>
  );
}

export function UseFields({ form }: Props) {
  return (
    <fieldset className="group">
      <legend>What it is good for</legend>
      <div className="fields">
        <Choice form={form} name="details.grade" label="Good enough for" options={options(GRADES, GRADE_LABELS)} />
        <TextLine form={form} name="details.gradeNote" label="Why" help="what you have seen; told wherever it counts" />
        <TextLine form={form} name="details.washNote" label="Washing" />
        <TextLine
          form={form}
          name="details.sheetLink"
          label="Link to the maker’s sheet"
          help="saved as a note; Chiral does not fetch it"
        />
      </div>
      <div className="above-4">
        <TextLine form={form} name="details.sheetText" label="Maker’s sheet, as text" multiline />
      </div>
    </fieldset>
  );
}
