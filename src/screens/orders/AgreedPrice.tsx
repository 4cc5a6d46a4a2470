// The price agreed in all: it follows the shop's prices until somebody writes another, and leads back to them.

import Button from '@mui/material/Button';
import { formatMoney } from '../../core/units';
import { MoneyField } from '../shared/number-fields';
import { useSettings } from '../shared/settings';
import type { NewOrderState } from './use-new-order';

export function AgreedPrice({ order: { form, asked, ownPrice } }: { readonly order: NewOrderState }) {
  const settings = useSettings();
  return (
    <div>
      <MoneyField
        // Anew when it follows again: what was typed is dropped.
        key={ownPrice.serial}
        form={form}
        name="agreed"
        label="Agreed price, in total"
        onTyped={ownPrice.mark}
        help={ownPrice.isOwn ? 'Your own price' : 'Follows your prices'}
      />
      {ownPrice.isOwn && (
        <Button size="small" variant="text" onClick={ownPrice.drop}>
          back to {formatMoney(asked, settings)}
        </Button>
      )}
    </div>
  );
}
