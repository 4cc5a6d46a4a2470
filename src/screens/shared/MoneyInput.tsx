// An amount of money outside a form: what is typed stays until it is one.

import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { fromMajor, parseNumber, printMajor } from '../../core/units';
import { useSettings } from './settings';

export function MoneyInput({
  label,
  value,
  onChange,
  shown = false,
}: {
  label: string;
  value: number;
  onChange: (minor: number) => void;
  /** Whether the label stands beside it; else it is only read out. */ shown?: boolean;
}) {
  const { currency } = useSettings();
  const [typed, setTyped] = useState<string | null>(null);
  const read = typed === null ? null : parseNumber(typed);
  return (
    <TextField
      variant={shown ? 'outlined' : 'standard'}
      {...(shown ? { label } : {})}
      fullWidth
      value={typed ?? printMajor(value, currency)}
      error={typed !== null && (read === null || read < 0)}
      slotProps={{
        htmlInput: {
          inputMode: 'decimal',
          className: 'figures',
          ...(shown ? {} : { 'aria-label': label, style: { textAlign: 'right' } }),
        },
      }}
      onChange={(event) => {
        setTyped(event.target.value);
        const amount = parseNumber(event.target.value);
        if (amount !== null && amount >= 0) onChange(fromMajor(amount, currency));
      }}
      onBlur={() => read !== null && read >= 0 && setTyped(null)}
    />
  );
}
