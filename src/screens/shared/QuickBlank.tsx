// A blank with the fields that a price needs: one size, one colour; more of them are added on the shelf.

import { yupResolver } from '@hookform/resolvers/yup';
import { useForm, type Resolver } from 'react-hook-form';
import { blankInput } from '../../core/input/inputs';
import { FABRIC_NAMES, FABRICS, type Fabric } from '../../core/materials';
import { minor } from '../../core/units';
import type { BlankView } from '../../views/shelf';
import { START_BLANK, type BlankValues } from './blank-values';
import { Choice, FormActions, TextLine, useSave } from './form';
import { MoneyField } from './number-fields';

type Props = {
  readonly onMade: (blank: BlankView) => void;
  /** Left out where nothing else can be done first. */
  readonly onCancel?: () => void;
};

export default function QuickBlank({ onMade, onCancel }: Props) {
  const form = useForm<BlankValues>({
    resolver: yupResolver(blankInput) as unknown as Resolver<BlankValues>,
    defaultValues: START_BLANK,
  });
  const save = useSave<BlankValues, { id: number; version: number }>({
    form,
    method: 'POST',
    path: '/api/shelf/blanks',
    onSaved: ({ id, version }) => {
      const values = form.getValues();
      const sizes = values.sizes.map((size) => ({ ...size, price: minor(size.price!) }));
      onMade({ ...values, shape: values.shape || null, sizes, id, version, archived: false });
    },
  });
  const pickFabric = (fabric: string) =>
    form.setValue('heating', FABRICS[fabric as Fabric].ceilingC === null ? 'none' : 'flat');
  return (
    <form noValidate onSubmit={save.submit} className="quick-make">
      <h2 className="flat">A blank</h2>
      <p className="soft flat">One size and one colour will do. The shelf has more of them, and where prints go.</p>
      <div className="fields">
        <div className="whole-row">
          <TextLine form={form} name="name" label="Name" autoFocus />
        </div>
        <MoneyField form={form} name="sizes.0.price" label="Price" />
        <Choice
          form={form}
          name="fabric"
          label="Surface"
          options={FABRIC_NAMES.map((name) => ({ value: name, label: FABRICS[name].label }))}
          onPicked={pickFabric}
        />
        <TextLine form={form} name="colours.0.name" label="Colour" />
        <TextLine form={form} name="colours.0.hex" label="Swatch" type="color" />
      </div>
      <FormActions save={save} label="Add the blank" {...(onCancel ? { onCancel } : {})} />
    </form>
  );
}
