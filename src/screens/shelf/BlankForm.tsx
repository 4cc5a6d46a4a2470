// One blank: its surface, its sizes with prices, its colours, and where something can be put on it.

import { yupResolver } from '@hookform/resolvers/yup';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useFieldArray, useForm, type Resolver } from 'react-hook-form';
import { blankInput } from '../../core/input';
import { BLANK_SHAPES, FABRIC_NAMES, FABRICS, HEATINGS, type Heating } from '../../core/materials';
import type { BlankView } from '../../views/shelf';
import { Choice, FormActions, TextLine, useSave } from '../shared/form';
import { LengthField, MoneyField } from '../shared/number-fields';
import { AreaFields } from './AreaFields';
import { UNCHOSEN } from '../../theme/tokens';
import { START_BLANK, type BlankValues } from '../shared/blank-values';
import type { UseFieldArrayReturn, UseFormReturn } from 'react-hook-form';

const HEATING_LABELS: Readonly<Record<Heating, string>> = { flat: 'flat press', wrap: 'wrap press', none: 'no heat' };

export default function BlankForm({
  blank,
  onClose,
  onSaved,
  onArchive,
}: {
  blank: BlankView | null;
  onClose: () => void;
  onSaved: () => void;
  onArchive: (blank: BlankView) => void;
}) {
  const start = blank
    ? {
        ...blank,
        shape: blank.shape ?? ('' as const),
        sizes: blank.sizes.map((size) => ({ ...size, widthMm: size.widthMm ?? null, lengthMm: size.lengthMm ?? null })),
        colours: [...blank.colours],
        areas: [...blank.areas],
      }
    : START_BLANK;
  const form = useForm<BlankValues>({
    resolver: yupResolver(blankInput) as unknown as Resolver<BlankValues>,
    defaultValues: start,
  });
  const sizes = useFieldArray({ control: form.control, name: 'sizes' });
  const colours = useFieldArray({ control: form.control, name: 'colours' });
  const save = useSave({
    form,
    method: blank ? 'PUT' : 'POST',
    path: blank ? `/api/shelf/blanks/${blank.id}` : '/api/shelf/blanks',
    version: blank?.version,
    onSaved,
  });
  const row = {
    display: 'grid',
    gap: 10,
    gridTemplateColumns: 'minmax(0,1fr) minmax(0,1fr) auto',
    alignItems: 'start',
  } as const;
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" aria-labelledby="blank-title">
      <DialogTitle id="blank-title">{blank ? `Change ${blank.name}` : 'Add a blank'}</DialogTitle>
      <form noValidate onSubmit={save.submit}>
        <BlankFields form={form} sizes={sizes} row={row} colours={colours} blank={blank} />
        <FormActions
          save={save}
          label={blank ? 'Save the blank' : 'Add to the shelf'}
          onCancel={onClose}
          extra={
            blank && (
              <Button color="error" variant="text" onClick={() => onArchive(blank)}>
                Archive
              </Button>
            )
          }
        />
      </form>
    </Dialog>
  );
}

type BlankFieldsProps = {
  readonly form: UseFormReturn<BlankValues>;
  readonly sizes: UseFieldArrayReturn<BlankValues, 'sizes', 'id'>;
  readonly row: {
    readonly display: 'grid';
    readonly gap: 10;
    readonly gridTemplateColumns: 'minmax(0,1fr) minmax(0,1fr) auto';
    readonly alignItems: 'start';
  };
  readonly colours: UseFieldArrayReturn<BlankValues, 'colours', 'id'>;
  readonly blank: BlankView | null;
};

function BlankFields({ form, sizes, row, colours, blank }: BlankFieldsProps) {
  return (
    <DialogContent className="cols">
      <div className="fields pad-top-2">
        <TextLine form={form} name="name" label="Name" autoFocus />
        <TextLine form={form} name="supplier" label="Supplier" />
        <Choice
          form={form}
          name="fabric"
          label="Surface"
          options={FABRIC_NAMES.map((name) => ({
            value: name,
            label: `${FABRICS[name].label}${FABRICS[name].ceilingC ? `, to ${FABRICS[name].ceilingC} °C` : ''}`,
          }))}
        />
        <Choice
          form={form}
          name="heating"
          label="Pressed on"
          options={HEATINGS.map((name) => ({ value: name, label: HEATING_LABELS[name] }))}
        />
        <Choice
          form={form}
          name="shape"
          label="Drawn as"
          options={[
            { value: '', label: 'what its name says' },
            ...BLANK_SHAPES.map((name) => ({ value: name, label: name })),
          ]}
        />
      </div>
      <div className="cols split-2-1">
        <SizeFields sizes={sizes} form={form} />
        <ColourFields colours={colours} row={row} form={form} />
      </div>
      <AreaFields form={form} />
      {blank && (
        <p className="soft flat">
          <a href={`/shelf/offers?q=${encodeURIComponent(blank.name)}`}>What suppliers ask for each size and colour</a>
        </p>
      )}
    </DialogContent>
  );
}

type SizeFieldsProps = {
  readonly sizes: UseFieldArrayReturn<BlankValues, 'sizes', 'id'>;
  readonly form: UseFormReturn<BlankValues>;
};

function SizeFields({ sizes, form }: SizeFieldsProps) {
  return (
    <fieldset className="cols bare pad-0 flat">
      <legend className="soft below-3">Sizes, with how wide and long each is laid flat, where you measured it</legend>
      {sizes.fields.map((field, index) => (
        <div key={field.id} className="size-row">
          <TextLine form={form} name={`sizes.${index}.name`} label={`Size ${index + 1}`} />
          <MoneyField form={form} name={`sizes.${index}.price`} label="Price" />
          <LengthField form={form} name={`sizes.${index}.widthMm`} label="Wide" />
          <LengthField form={form} name={`sizes.${index}.lengthMm`} label="Long" />
          <Button
            onClick={() => sizes.remove(index)}
            disabled={sizes.fields.length === 1}
            aria-label={`Remove size ${index + 1}`}
          >
            ×
          </Button>
        </div>
      ))}
      <div>
        <Button
          size="small"
          onClick={() =>
            sizes.append({
              name: '',
              price: form.getValues('sizes').at(-1)?.price ?? null,
              widthMm: null,
              lengthMm: null,
            })
          }
        >
          Add a size
        </Button>
      </div>
    </fieldset>
  );
}

type ColourFieldsProps = {
  readonly colours: UseFieldArrayReturn<BlankValues, 'colours', 'id'>;
  readonly row: {
    readonly display: 'grid';
    readonly gap: 10;
    readonly gridTemplateColumns: 'minmax(0,1fr) minmax(0,1fr) auto';
    readonly alignItems: 'start';
  };
  readonly form: UseFormReturn<BlankValues>;
};

function ColourFields({ colours, row, form }: ColourFieldsProps) {
  return (
    <fieldset className="cols bare pad-0 flat">
      <legend className="soft below-3">Colours</legend>
      {colours.fields.map((field, index) => (
        <div key={field.id} style={row}>
          <TextLine form={form} name={`colours.${index}.name`} label={`Colour ${index + 1}`} />
          <TextLine form={form} name={`colours.${index}.hex`} label="Swatch" type="color" />
          <Button
            onClick={() => colours.remove(index)}
            disabled={colours.fields.length === 1}
            aria-label={`Remove colour ${index + 1}`}
          >
            ×
          </Button>
        </div>
      ))}
      <div>
        <Button size="small" onClick={() => colours.append({ name: '', hex: UNCHOSEN.grey })}>
          Add a colour
        </Button>
      </div>
    </fieldset>
  );
}
