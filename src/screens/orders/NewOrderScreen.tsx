// Taking an order: who, what, how many, by when, for how much.

import { yupResolver } from '@hookform/resolvers/yup';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useEffect } from 'react';
import { Controller, useFieldArray, useForm, useWatch } from 'react-hook-form';
import { getVariantPrice } from '../../core/costing';
import { orderInput } from '../../core/input';
import { formatMoney } from '../../core/units';
import type { FrameView } from '../../views/frame';
import type { NewOrderView, OrderableItem } from '../../views/orders';
import { Choice, TextLine, useSave } from '../shared/form';
import { MoneyField, NumberField } from '../shared/number-fields';
import { Frame } from '../shared/Frame';
import { useSettings } from '../shared/settings';
import { plural } from '../../wording/plural';

export function NewOrderScreen({ frame, view }: { frame: FrameView; view: NewOrderView }) {
  return (
    <Frame frame={frame} current="orders">
      {view.items.length === 0 ? <NoItems /> : <NewOrder view={view} />}
    </Frame>
  );
}

function NoItems() {
  return (
    <div className="sheet empty">
      <p>An order is made of items. Price the first one: a blank, a drawing, and a vinyl for each of its colours.</p>
      <Button variant="contained" href="/items/new">
        Price an item
      </Button>
    </div>
  );
}

function NewOrder({ view }: { view: NewOrderView }) {
  const settings = useSettings();
  const start = view.items.find((item) => item.id === view.startItemId) ?? view.items[0]!;
  const form = useForm({
    resolver: yupResolver(orderInput),
    defaultValues: {
      customerName: '',
      contact: '',
      title: '',
      dueDay: '',
      agreed: start.price,
      note: '',
      lines: [
        {
          itemId: start.id,
          quantity: 1,
          sizeName: start.usualSize,
          colourName: start.usualColour,
          options: [] as number[],
        },
      ],
    },
  });
  const lines = useFieldArray({ control: form.control, name: 'lines' });
  const watched = useWatch({ control: form.control, name: 'lines' });
  const byId = new Map(view.items.map((item) => [item.id, item]));
  const sum = (pick: (item: OrderableItem, line: (typeof watched)[number]) => number) =>
    watched.reduce(
      (total, line) =>
        total +
        (byId.get(Number(line.itemId)) ? pick(byId.get(Number(line.itemId))!, line) * (Number(line.quantity) || 0) : 0),
      0,
    );
  const asked = sum((item, line) =>
    getVariantPrice(item, { sizeName: line.sizeName, colourName: line.colourName, options: line.options ?? [] }),
  );
  const agreedTouched = form.getFieldState('agreed', form.formState).isDirty;
  useEffect(() => {
    if (!agreedTouched) form.setValue('agreed', asked);
  }, [asked, agreedTouched, form]);
  const save = useSave({
    form,
    method: 'POST',
    path: '/api/orders',
    onSaved: ({ id }: { id: number }) => location.assign(`/orders/${id}`),
  });
  const pickItem = (index: number) => (value: string) => {
    const item = byId.get(Number(value));
    if (!item) return;
    form.setValue(`lines.${index}.sizeName`, item.usualSize);
    form.setValue(`lines.${index}.colourName`, item.usualColour);
    form.setValue(`lines.${index}.options`, []);
  };
  const pieces = watched.reduce((total, line) => total + (Number(line.quantity) || 0), 0);
  return (
    <form noValidate onSubmit={save.submit}>
      <div className="page-head">
        <div>
          <h1 className="flat">Take an order</h1>
          <p className="soft flat above-1 below-4 text-large">
            {plural(pieces, 'piece')} at your prices come to{' '}
            <strong className="figures">{formatMoney(asked, settings)}</strong>; made in usual batches they cost about{' '}
            <strong className="figures">
              {formatMoney(
                sum((item) => item.costEach),
                settings,
              )}
            </strong>
            .
          </p>
        </div>
        <div className="actions">
          <Button href="/orders">Back to the orders</Button>
          <Button type="submit" variant="contained" disabled={save.pending}>
            Take the order
          </Button>
        </div>
      </div>
      {save.failure && (
        <div className="notice bad below-4" role="alert">
          {save.failure}
        </div>
      )}
      <div className="cols split-1-2">
        <section className="sheet lifted cols">
          <TextLine
            form={form}
            name="customerName"
            label="Customer"
            list={view.customers.map((customer) => customer.name)}
            autoFocus
          />
          <TextLine form={form} name="contact" label="Contact, if new" />
          <TextLine form={form} name="title" label="What for" help="How you will call it at the bench" />
          <TextLine form={form} name="dueDay" label="Due" type="date" />
          <MoneyField key={agreedTouched ? 'typed' : asked} form={form} name="agreed" label="Agreed price, in total" />
          <TextLine form={form} name="note" label="Note" multiline />
        </section>
        <section className="sheet cols">
          {lines.fields.map((field, index) => {
            const item = byId.get(Number(watched[index]?.itemId));
            return (
              <fieldset key={field.id} className="bare pad-top-0 pad-right-0 pad-bottom-5 pad-left-0 flat ruled-below">
                <legend className="soft pad-0 below-3">Line {index + 1}</legend>
                <div className="grid gap-4 top order-line">
                  <Choice
                    form={form}
                    name={`lines.${index}.itemId`}
                    label="Item"
                    options={view.items.map((option) => ({ value: option.id, label: option.name }))}
                    onPicked={pickItem(index)}
                  />
                  <NumberField form={form} name={`lines.${index}.quantity`} label="Quantity" />
                  <Choice
                    form={form}
                    name={`lines.${index}.sizeName`}
                    label="Size"
                    options={(item?.sizes ?? []).map((size) => ({ value: size, label: size }))}
                  />
                  <Choice
                    form={form}
                    name={`lines.${index}.colourName`}
                    label="Colour"
                    options={(item?.colours ?? []).map((colour) => ({ value: colour, label: colour }))}
                  />
                  <Button
                    onClick={() => lines.remove(index)}
                    disabled={lines.fields.length === 1}
                    aria-label={`Remove line ${index + 1}`}
                  >
                    Remove
                  </Button>
                </div>
                {item && item.options.length > 0 && (
                  <Controller
                    control={form.control}
                    name={`lines.${index}.options`}
                    render={({ field: { value = [], onChange } }) => (
                      <div className="readings">
                        {item.options.map((option, at) => (
                          <FormControlLabel
                            key={at}
                            control={
                              <Checkbox
                                size="small"
                                checked={value.includes(at)}
                                onChange={(_, on) => onChange(on ? [...value, at] : value.filter((one) => one !== at))}
                              />
                            }
                            label={`with ${option.label}, ${formatMoney(option.surcharge, settings)} more`}
                          />
                        ))}
                      </div>
                    )}
                  />
                )}
                {item?.problem && <p className="short flat above-3">{item.problem}</p>}
              </fieldset>
            );
          })}
          <div className="actions">
            <Button
              onClick={() =>
                lines.append({
                  itemId: start.id,
                  quantity: 1,
                  sizeName: start.usualSize,
                  colourName: start.usualColour,
                  options: [],
                })
              }
            >
              Add a line
            </Button>
          </div>
        </section>
      </div>
    </form>
  );
}
