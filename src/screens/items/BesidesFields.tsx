// What goes with each piece besides, and stones.

import { useFieldArray } from 'react-hook-form';
import { TextLine } from '../shared/form';
import { MoneyField, LengthField, NumberField } from '../shared/number-fields';
import Button from '@mui/material/Button';
import { Row } from './FieldRow';
import type { MoreFieldsProps } from './more-fields-props';

export function Besides({ form }: Pick<MoreFieldsProps, 'form'>) {
  const extras = useFieldArray({ control: form.control, name: 'details.extras' });
  return (
    <>
      {extras.fields.map((field, at) => (
        <div key={field.id} className="fields split-2-1-end">
          <TextLine form={form} name={`details.extras.${at}.label`} label="What" />
          <MoneyField form={form} name={`details.extras.${at}.price`} label="For each piece" />
          <Button size="small" variant="text" aria-label={`Remove what ${at + 1}`} onClick={() => extras.remove(at)}>
            ×
          </Button>
        </div>
      ))}
      <div>
        <Button size="small" onClick={() => extras.append({ label: '', price: 0 })}>
          Add something
        </Button>
      </div>
      <MoneyField form={form} name="details.packaging" label="Packaging, if not the shop’s" />
    </>
  );
}

export function Stones({ form }: Pick<MoreFieldsProps, 'form'>) {
  const stones = useFieldArray({ control: form.control, name: 'details.stones' });
  return (
    <>
      {stones.fields.map((field, at) => (
        <Row key={field.id} label={`Stones ${at + 1}`} onRemove={() => stones.remove(at)}>
          <TextLine form={form} name={`details.stones.${at}.label`} label="Colour and size" />
          <LengthField form={form} name={`details.stones.${at}.diameterMm`} label="Across" />
          <NumberField form={form} name={`details.stones.${at}.count`} label="Count" />
          <MoneyField form={form} name={`details.stones.${at}.grossPrice`} label="A gross (144)" />
          <MoneyField form={form} name={`details.stones.${at}.templatePrice`} label="Template" />
          <NumberField form={form} name={`details.stones.${at}.templateUses`} label="Uses of it" />
          <MoneyField form={form} name={`details.stones.${at}.tapePrice`} label="Hot-fix tape, each piece" />
        </Row>
      ))}
      <div>
        <Button
          size="small"
          onClick={() =>
            stones.append({
              label: 'clear, 3 mm',
              diameterMm: 3,
              count: 100,
              grossPrice: 0,
              templatePrice: 0,
              templateUses: 20,
              tapePrice: 0,
            })
          }
        >
          Add stones
        </Button>
      </div>
    </>
  );
}
