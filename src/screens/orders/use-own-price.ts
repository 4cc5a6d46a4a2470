// The agreed price of a form follows what is asked until it is the seller's own.

import { useEffect, useState } from 'react';
import { useWatch, type UseFormReturn } from 'react-hook-form';

/** `agreed`: minor units, in all. `isOwnPrice`: the seller's own, it does not follow what is asked. */
export type PricedForm = { agreed: number; isOwnPrice: boolean };
/** A form that has a price among other fields, as far as its price goes. */
export const toPriced = <Form extends PricedForm>(form: UseFormReturn<Form>): UseFormReturn<PricedForm> =>
  form as unknown as UseFormReturn<PricedForm>;
export type OwnPrice = ReturnType<typeof useOwnPrice>;

/** `asked`: minor units. */
export function useOwnPrice(form: UseFormReturn<PricedForm>, asked: number) {
  const isOwn = useWatch({ control: form.control, name: 'isOwnPrice' });
  const [serial, setSerial] = useState(0);
  useEffect(() => {
    if (!isOwn) form.setValue('agreed', asked);
  }, [isOwn, asked, form]);
  return {
    asked,
    isOwn,
    serial,
    mark: () => form.setValue('isOwnPrice', true, { shouldDirty: true }),
    drop: () => {
      form.setValue('isOwnPrice', false);
      setSerial((before) => before + 1);
    },
  };
}
