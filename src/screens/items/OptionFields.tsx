// Options of an item: what a customer may have besides, at a surcharge.

import { useFieldArray } from 'react-hook-form';
import { Row } from './FieldRow';
import { TextLine } from '../shared/form';
import { MoneyField } from '../shared/number-fields';
import { PlacementFields } from './PlacementFields';
import Button from '@mui/material/Button';
import { startForm } from './item-form';
import type { MoreFieldsProps } from './more-fields-props';

export function Options({ form, view, blank }: Omit<MoreFieldsProps, 'evidence' | 'spec'>) {
  const options = useFieldArray({ control: form.control, name: 'details.options' });
  return (
    <>
      <p className="soft flat">
        Calculated by a usual example: <a href="/artwork/letter">letter one</a>, say MARLOWE, and choose it here.
      </p>
      {options.fields.map((field, at) => (
        <Row key={field.id} label={`Option ${at + 1}`} onRemove={() => options.remove(at)}>
          <TextLine form={form} name={`details.options.${at}.label`} label="Called" />
          <MoneyField form={form} name={`details.options.${at}.surcharge`} label="Costs more by" />
          <PlacementFields form={form} path={`details.options.${at}.placement`} view={view} blank={blank} />
        </Row>
      ))}
      <div>
        <Button
          size="small"
          onClick={() =>
            options.append({
              label: 'Name',
              surcharge: 0,
              placement: startForm(view.artworks[0]!, view.shelf, form.getValues('blankId'), 'below the artwork'),
            })
          }
        >
          Add an option
        </Button>
      </div>
    </>
  );
}
