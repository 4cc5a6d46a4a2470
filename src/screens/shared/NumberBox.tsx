// The one field that numbers are typed into. It says what is no number, and asks where one can be read in two ways.

import Button from '@mui/material/Button';
import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import type { ReactNode, Ref } from 'react';
import { readNumber, writeNumber, type NumberReading } from '../../core/units';
import { useSettings } from './settings';

type Ambiguous = Extract<NumberReading, { kind: 'ambiguous' }>;

type Props = {
  readonly label: string;
  /** As it is typed. */
  readonly text: string;
  readonly onText: (text: string) => void;
  /** Decimals that it can have, as 2 for cents; without it any number of them. */
  readonly digits?: number | undefined;
  readonly unit?: string | undefined;
  /** What is wrong with it besides being no number; said in its place. */
  readonly error?: ReactNode;
  readonly help?: ReactNode;
  readonly name?: string;
  readonly autoFocus?: boolean | undefined;
  readonly inputRef?: Ref<HTMLInputElement>;
  readonly onBlur?: () => void;
  readonly size?: 'small' | 'medium';
  /** Stands there while nothing is typed: what counts then. */
  readonly placeholder?: string;
  /** The label is only read out: the field stands in a table. */
  readonly bare?: boolean;
};

export function NumberBox({
  label,
  text,
  onText,
  digits,
  unit,
  error,
  help,
  bare = false,
  placeholder,
  ...field
}: Props) {
  const { locale } = useSettings();
  const reading = readNumber(text, digits === undefined ? { locale } : { locale, digits });
  const doubt = reading.kind === 'ambiguous' ? <WhichOne reading={reading} digits={digits} onText={onText} /> : null;
  const said = doubt ?? error ?? (reading.kind === 'none' ? 'Write a number.' : null);
  return (
    <TextField
      {...field}
      label={bare ? undefined : label}
      variant={bare ? 'standard' : 'outlined'}
      value={text}
      placeholder={placeholder ?? ''}
      onChange={(event) => onText(event.target.value)}
      error={Boolean(said)}
      helperText={said && said !== true ? said : help}
      fullWidth
      slotProps={{
        inputLabel: unit || placeholder !== undefined ? { shrink: true } : {},
        formHelperText: { component: 'div' },
        htmlInput: {
          inputMode: 'decimal',
          className: bare ? 'figures align-right' : 'figures',
          ...(bare ? { 'aria-label': label } : {}),
        },
        input: unit ? { endAdornment: <InputAdornment position="end">{unit}</InputAdornment> } : {},
      }}
    />
  );
}

type WhichProps = {
  readonly reading: Ambiguous;
  readonly digits: number | undefined;
  readonly onText: (text: string) => void;
};

/** Both readings, to be taken with one click. */
function WhichOne({ reading, digits = 3, onText }: WhichProps) {
  const { locale } = useSettings();
  const choice = (value: number) => (
    <Button
      size="small"
      variant="text"
      sx={{ minWidth: 0 }}
      onClick={() => onText(writeNumber(value, locale, digits, digits))}
    >
      {new Intl.NumberFormat(locale, { minimumFractionDigits: digits }).format(value)}
    </Button>
  );
  return (
    <span role="alert">
      Is it {choice(reading.asDecimal)} or {choice(reading.asGroups)}?
    </span>
  );
}
