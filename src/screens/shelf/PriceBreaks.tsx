// Prices by quantity, and "take three, pay two".

import { type OfferText, replace, without } from './offer-text';
import type { SmallForm } from './use-form-state';
import { useMoneyText, NumberText } from './SmallFields';
import Button from '@mui/material/Button';

type PriceBreaksProps = {
  readonly values: OfferText;
  readonly set: (part: Partial<OfferText>) => void;
  readonly form: SmallForm<OfferText>;
  readonly money: ReturnType<typeof useMoneyText>;
};

export function PriceBreaks({ values, set, form, money }: PriceBreaksProps) {
  return (
    <fieldset className="group">
      <legend>Cheaper by the number</legend>
      {values.breaks.map((step, at) => (
        <div key={at} className="fields break">
          <NumberText
            label="From packs"
            value={step.from}
            onChange={(from) => set({ breaks: replace(values.breaks, at, { from }) })}
            error={form.errorOf(`breaks[${at}].fromPacks`)}
          />
          <NumberText
            label="Price of one then"
            unit={money.unit}
            value={step.price}
            onChange={(price) => set({ breaks: replace(values.breaks, at, { price }) })}
            error={form.errorOf(`breaks[${at}].price`)}
          />
          <Button
            onClick={() => set({ breaks: without(values.breaks, at) })}
            aria-label={`Remove the price from ${step.from || 'so many'} packs`}
          >
            ×
          </Button>
        </div>
      ))}
      <div className="fields break">
        <NumberText
          label="Take"
          value={values.take}
          onChange={(take) => set({ take })}
          error={form.errorOf('takePay.take')}
          help="such as three"
        />
        <NumberText
          label="and pay"
          value={values.pay}
          onChange={(pay) => set({ pay })}
          error={form.errorOf('takePay.pay') ?? form.errorOf('takePay')}
          help="such as two; empty: no such offer"
        />
        <Button size="small" onClick={() => set({ breaks: [...values.breaks, { from: '', price: '' }] })}>
          Add a price by quantity
        </Button>
      </div>
    </fieldset>
  );
}
