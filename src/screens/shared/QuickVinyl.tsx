// A vinyl with the fields that a price needs; how it is pressed and what it is good for is as its kind ordinarily is.

import { yupResolver } from '@hookform/resolvers/yup';
import { useForm, type Resolver } from 'react-hook-form';
import { vinylInput } from '../../core/input/inputs';
import { getKindFacts, getOrdinaryDetails, VINYL_KIND_NAMES, type VinylKind } from '../../core/materials';
import { minor } from '../../core/units';
import { START_VINYL, type VinylValues } from './vinyl-values';
import type { VinylView } from '../../views/shelf';
import { Choice, FormActions, TextLine, useSave } from './form';
import { LengthField, MoneyField } from './number-fields';

type Props = {
  readonly onMade: (vinyl: VinylView) => void;
  /** Left out where nothing else can be done first. */
  readonly onCancel?: () => void;
};

export default function QuickVinyl({ onMade, onCancel }: Props) {
  const form = useForm<VinylValues>({
    resolver: yupResolver(vinylInput) as unknown as Resolver<VinylValues>,
    defaultValues: START_VINYL,
  });
  const save = useSave<VinylValues, { id: number; version: number }>({
    form,
    method: 'POST',
    path: '/api/shelf/vinyls',
    onSaved: ({ id, version }) => {
      const values = form.getValues();
      onMade({ ...values, rollPrice: minor(values.rollPrice!), id, version, archived: false });
    },
  });
  const pickKind = (kind: string) => {
    form.setValue('press', getKindFacts(kind as VinylKind).press);
    form.setValue('details', getOrdinaryDetails(kind as VinylKind));
  };
  return (
    <form noValidate onSubmit={save.submit} className="quick-make">
      <h2 className="flat">A vinyl</h2>
      <p className="soft flat">Pressing and details as its kind ordinarily has them. The shelf has all fields.</p>
      <div className="fields">
        <div className="whole-row">
          <TextLine form={form} name="name" label="Name" autoFocus />
        </div>
        <Choice
          form={form}
          name="kind"
          label="Kind"
          options={VINYL_KIND_NAMES.map((name) => ({ value: name, label: getKindFacts(name).label }))}
          onPicked={pickKind}
        />
        <TextLine form={form} name="colourName" label="Colour" />
        <TextLine form={form} name="colourHex" label="Swatch" type="color" />
        <MoneyField form={form} name="rollPrice" label="Roll price" />
        <LengthField form={form} name="rollWidthMm" label="Roll width" />
        <LengthField form={form} name="rollLengthMm" label="Roll length" />
      </div>
      <FormActions save={save} label="Add the vinyl" {...(onCancel ? { onCancel } : {})} />
    </form>
  );
}
