// A number outside a form: what is typed stays until it is one.

import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { parseNumber } from '../../core/units';

type Props = {
  readonly label: string;
  readonly value: number;
  readonly onChange: (value: number) => void;
  readonly unit?: string;
  readonly least?: number;
  readonly whole?: boolean;
  /** Whether the label stands beside it; else it is only read out. */
  readonly shown?: boolean;
};

export function NumberInput({ label, value, onChange, unit, least = 0, whole = false, shown = false }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const isSound = (number: number | null): number is number =>
    number !== null && number >= least && (!whole || Number.isInteger(number));
  const read = typed === null ? value : parseNumber(typed);
  return (
    <TextField
      variant={shown ? 'outlined' : 'standard'}
      {...(shown ? { label: unit ? `${label}, ${unit}` : label } : {})}
      fullWidth
      value={typed ?? String(Number(value.toFixed(4)))}
      error={!isSound(read)}
      slotProps={{
        htmlInput: {
          inputMode: 'decimal',
          className: 'figures',
          ...(shown ? {} : { 'aria-label': label, style: { textAlign: 'right' } }),
        },
      }}
      onChange={(event) => {
        setTyped(event.target.value);
        const number = parseNumber(event.target.value);
        if (isSound(number)) onChange(number);
      }}
      onBlur={() => isSound(read) && setTyped(null)}
    />
  );
}
