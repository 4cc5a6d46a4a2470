// Variants of an item: other prices and vinyls by size and colour.

import { useFieldArray, useWatch, type UseFormReturn } from 'react-hook-form';
import { Row } from './FieldRow';
import { Choice } from '../shared/form';
import { MoneyField } from '../shared/number-fields';
import Button from '@mui/material/Button';
import type { ItemForm } from './item-form';
import type { MoreFieldsProps } from './more-fields-props';

export function Variants({ form, view, blank }: Omit<MoreFieldsProps, 'evidence' | 'spec'>) {
  const variants = useFieldArray({ control: form.control, name: 'details.variants' });
  const used = [
    ...new Set(
      useWatch({ control: form.control, name: 'placements' }).flatMap((placement) => placement.vinylIds.map(Number)),
    ),
  ];
  const any = (what: string) => ({ value: '', label: `any ${what}` });
  const vinyls = view.shelf.vinyls.map((vinyl) => ({ value: vinyl.id, label: vinyl.name, swatch: vinyl.colourHex }));
  return (
    <>
      {variants.fields.map((field, at) => (
        <Row key={field.id} label={`Variant ${at + 1}`} onRemove={() => variants.remove(at)}>
          <Choice
            form={form}
            name={`details.variants.${at}.sizeName`}
            label="For size"
            options={[any('size'), ...(blank?.sizes ?? []).map((size) => ({ value: size.name, label: size.name }))]}
          />
          <Choice
            form={form}
            name={`details.variants.${at}.colourName`}
            label="For colour"
            options={[
              any('colour'),
              ...(blank?.colours ?? []).map((colour) => ({
                value: colour.name,
                label: colour.name,
                swatch: colour.hex,
              })),
            ]}
          />
          <MoneyField form={form} name={`details.variants.${at}.price`} label="Its price, if another" />
          <Swaps form={form} at={at} used={vinyls.filter((vinyl) => used.includes(vinyl.value))} vinyls={vinyls} />
        </Row>
      ))}
      <div>
        <Button size="small" onClick={() => variants.append({ sizeName: '', colourName: '', price: null, swaps: [] })}>
          Add a variant
        </Button>
      </div>
    </>
  );
}

type VinylChoice = { readonly value: number; readonly label: string; readonly swatch: string };

function Swaps({
  form,
  at,
  used,
  vinyls,
}: {
  form: UseFormReturn<ItemForm>;
  at: number;
  used: readonly VinylChoice[];
  vinyls: readonly VinylChoice[];
}) {
  const swaps = useFieldArray({ control: form.control, name: `details.variants.${at}.swaps` });
  return (
    <div className="cols whole-row">
      {swaps.fields.map((field, index) => (
        <div key={field.id} className="fields split-1-1-end">
          <Choice
            form={form}
            name={`details.variants.${at}.swaps.${index}.vinylId`}
            label="In place of"
            options={used}
          />
          <Choice form={form} name={`details.variants.${at}.swaps.${index}.byVinylId`} label="Use" options={vinyls} />
          <Button
            size="small"
            variant="text"
            aria-label={`Remove swap ${index + 1}`}
            onClick={() => swaps.remove(index)}
          >
            ×
          </Button>
        </div>
      ))}
      <div>
        <Button
          size="small"
          variant="text"
          onClick={() => used[0] && swaps.append({ vinylId: used[0].value, byVinylId: used[0].value })}
        >
          Another vinyl for it
        </Button>
      </div>
    </div>
  );
}
