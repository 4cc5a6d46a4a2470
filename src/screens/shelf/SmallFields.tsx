// Fields of small forms: numbers as typed, money and lengths in the shop's own measures.

import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import { fromMajor, printMajor, MM_PER_INCH, parseNumber } from '../../core/units';
import { useSettings } from '../shared/settings';

type Props = {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly error?: string | undefined;
  readonly help?: string | undefined;
  readonly unit?: string;
  readonly autoFocus?: boolean;
};

export function NumberText({ label, value, onChange, error, help, unit, autoFocus }: Props) {
  const bad = error ?? (value.trim() !== '' && parseNumber(value) === null ? 'Write a number.' : undefined);
  return (
    <TextField
      label={label}
      value={value}
      autoFocus={autoFocus ?? false}
      onChange={(event) => onChange(event.target.value)}
      error={Boolean(bad)}
      helperText={bad ?? help}
      fullWidth
      slotProps={{
        inputLabel: unit ? { shrink: true } : {},
        htmlInput: { inputMode: 'decimal', className: 'figures' },
        input: unit ? { endAdornment: <InputAdornment position="end">{unit}</InputAdornment> } : {},
      }}
    />
  );
}

export function useLengthUnit(): {
  readonly unit: 'mm' | 'in';
  readonly toMm: (text: string) => number | null;
  readonly fromMm: (mm: number) => string;
} {
  const { system } = useSettings();
  const per = system === 'metric' ? 1 : MM_PER_INCH;
  return {
    unit: system === 'metric' ? 'mm' : 'in',
    toMm: (text) => {
      const number = parseNumber(text);
      return number === null ? null : number * per;
    },
    fromMm: (mm) => String(Number((mm / per).toFixed(2))),
  };
}

/** Amounts typed in whole units of the currency, sent in minor ones. */
export function useMoneyText(): {
  readonly unit: string;
  readonly toMinor: (text: string) => number | null;
  readonly fromMinor: (minor: number) => string;
} {
  const { currency } = useSettings();
  return {
    unit: currency,
    toMinor: (text) => {
      const number = parseNumber(text);
      return number === null ? null : fromMajor(number, currency);
    },
    fromMinor: (minor) => printMajor(minor, currency),
  };
}
