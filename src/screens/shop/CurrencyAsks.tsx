// What becomes of the prices when the shop counts in another currency.

import Button from '@mui/material/Button';
import { useState } from 'react';
import { NumberInput } from '../shared/NumberInput';

type Props = {
  readonly from: string;
  readonly to: string;
  /** What one of the old is worth in the new; 1: the numbers stay. */
  readonly onChoose: (rate: number) => void;
};

export function CurrencyAsks({ from, to, onChoose }: Props) {
  const [rate, setRate] = useState(1);
  return (
    <div className="notice below-4" role="group" aria-label="Prices in another currency">
      <strong>
        What becomes of all prices, costs and orders, from {from} to {to}?
      </strong>
      <div className="actions middle above-3">
        <Button variant="outlined" onClick={() => onChoose(1)}>
          The numbers stay: 12 {from} are 12 {to}
        </Button>
        <span>or 1 {from} is</span>
        <span className="narrow-field">
          <NumberInput shown label={`In ${to}`} value={rate} least={0.000001} onChange={setRate} />
        </span>
        <Button variant="outlined" disabled={!(rate > 0)} onClick={() => onChoose(rate)}>
          Convert all
        </Button>
      </div>
    </div>
  );
}
