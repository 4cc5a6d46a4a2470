// The price agreed in all: it follows what is asked until somebody writes another, and leads back to it.

import Button from '@mui/material/Button';
import type { UseFormReturn } from 'react-hook-form';
import { formatMoney } from '../../core/units';
import { MoneyField } from '../shared/number-fields';
import { useSettings } from '../shared/settings';
import type { OwnPrice, PricedForm } from './use-own-price';

type Props = {
  readonly form: UseFormReturn<PricedForm>;
  readonly price: OwnPrice;
  /** What it follows. */
  readonly follows: string;
};

export function AgreedPrice({ form, price, follows }: Props) {
  const settings = useSettings();
  return (
    <div>
      <MoneyField
        // Anew when it follows again: what was typed is dropped.
        key={price.serial}
        form={form}
        name="agreed"
        label="Agreed price, in total"
        onTyped={price.mark}
        help={price.isOwn ? 'Your own price' : follows}
      />
      {price.isOwn && (
        <Button size="small" variant="text" onClick={price.drop}>
          back to {formatMoney(price.asked, settings)}
        </Button>
      )}
    </div>
  );
}
