// What is given off, asked on top, and how it gets to the customer: folded away while there is nothing of it.

import type { FieldValues, Path, UseFormReturn } from 'react-hook-form';
import { PLAIN_TERMS, type OrderTerms } from '../../core/orders';
import { Choice } from '../shared/form';
import { MoneyField, NumberField } from '../shared/number-fields';

const WAYS = [
  { value: 'collected', label: 'Collected' },
  { value: 'sent', label: 'Sent' },
];

/** As they stand in a form: what is no number yet counts as nothing. */
export function readTerms(typed: Partial<OrderTerms> | undefined): OrderTerms {
  const numbers = Object.entries({ ...PLAIN_TERMS, ...typed }).map(([key, value]) => [
    key,
    key === 'goes' || Number.isFinite(value) ? value : 0,
  ]);
  return Object.fromEntries(numbers) as OrderTerms;
}

type Props<T extends FieldValues> = {
  /** A form with its terms under `terms`. */
  readonly form: UseFormReturn<T>;
  readonly terms: OrderTerms;
};

export function TermFields<T extends FieldValues>({ form, terms }: Props<T>) {
  const name = (term: keyof OrderTerms) => `terms.${term}` as Path<T>;
  const isPlain = JSON.stringify({ ...PLAIN_TERMS, ...terms }) === JSON.stringify(PLAIN_TERMS);
  return (
    <details open={!isPlain || undefined}>
      <summary>Discount, rush, delivery</summary>
      <div className="own-fields above-3">
        <NumberField form={form} name={name('discountShare')} label="Discount" unit="%" per={0.01} digits={2} />
        <MoneyField form={form} name={name('setOff')} label="Off for a set" />
        <NumberField form={form} name={name('rushShare')} label="Rush" unit="%" per={0.01} digits={2} />
        <Choice form={form} name={name('goes')} label="Delivery" options={WAYS} />
        {terms.goes === 'sent' && <MoneyField form={form} name={name('deliveryCharge')} label="Delivery charge" />}
      </div>
    </details>
  );
}
