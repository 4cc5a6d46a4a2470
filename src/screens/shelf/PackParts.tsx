// What is in the pack of an offer, and what of it is on the shelf.

import { type OfferText, replace, without, EMPTY, type PartText } from './offer-text';
import type { SmallForm } from './use-form-state';
import type { ThingView } from '../../views/stock';
import type { useLengthUnit } from '../shared/use-numbers';
import { NumberText } from './SmallFields';
import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import Button from '@mui/material/Button';

type PackPartsProps = {
  readonly values: OfferText;
  readonly set: (part: Partial<OfferText>) => void;
  readonly form: SmallForm<OfferText>;
  readonly things: readonly ThingView[];
  readonly lengths: ReturnType<typeof useLengthUnit>;
};

export function PackParts({ values, set, form, things, lengths }: PackPartsProps) {
  return (
    <fieldset className="group">
      <legend>In the pack</legend>
      {values.parts.map((part, at) => (
        <PackPart
          key={at}
          at={at}
          part={part}
          set={set}
          values={values}
          form={form}
          things={things}
          lengths={lengths}
        />
      ))}
      <Button
        size="small"
        onClick={() =>
          set({
            parts: [
              ...values.parts,
              { ...EMPTY, width: values.parts.at(-1)?.width ?? '', length: values.parts.at(-1)?.length ?? '' },
            ],
          })
        }
      >
        Add to the pack
      </Button>
    </fieldset>
  );
}

type PackPartProps = PackPartsProps & { readonly at: number; readonly part: PartText };

function PackPart({ at, part, set, values, form, things, lengths }: PackPartProps) {
  return (
    <div className="fields pack">
      <NumberText
        label="Count"
        value={part.count}
        onChange={(count) => set({ parts: replace(values.parts, at, { count }) })}
        error={form.errorOf(`parts[${at}].count`)}
      />
      <Autocomplete
        options={things}
        value={part.thing}
        getOptionLabel={(thing) => thing.name}
        isOptionEqualToValue={(a, b) => a.key === b.key}
        onChange={(_, thing) =>
          set({
            parts: replace(values.parts, at, {
              thing,
              ...(thing?.rollWidthMm && part.width === '' ? { width: lengths.fromMm(thing.rollWidthMm) } : {}),
            }),
          })
        }
        renderInput={(props) => <TextField {...props} label="On your shelf" placeholder="not matched" />}
      />
      {part.thing?.unit !== 'count' ? (
        <>
          <NumberText
            label="Width"
            unit={lengths.unit}
            value={part.width}
            onChange={(width) => set({ parts: replace(values.parts, at, { width }) })}
            error={form.errorOf(`parts[${at}].widthMm`)}
          />
          <NumberText
            label="Length"
            unit={lengths.unit}
            value={part.length}
            onChange={(length) => set({ parts: replace(values.parts, at, { length }) })}
            error={form.errorOf(`parts[${at}].lengthMm`)}
          />
        </>
      ) : (
        <>
          <span />
          <span />
        </>
      )}
      <Button
        onClick={() => set({ parts: without(values.parts, at) })}
        disabled={values.parts.length === 1}
        aria-label={`Take part ${at + 1} out of the pack`}
      >
        ×
      </Button>
    </div>
  );
}
