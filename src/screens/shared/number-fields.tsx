// Number fields bound to react-hook-form: plain, money, lengths and temperatures, in the shop's own measures.

import type { ComponentProps } from 'react';
import { Controller, type FieldValues } from 'react-hook-form';
import { MM_PER_INCH, toCelsius, toFahrenheit } from '../../core/units';
import type { FieldProps } from './form';
import { NumberBox } from './NumberBox';
import { useSettings } from './settings';
import { toSent, useNumbers } from './use-numbers';
import { useTyped } from './use-typed';

/**
 * A number shown in one measure and saved in another. What can't be read as a number is saved as typed, so that the
 * check of the form tells about it; what can be read in two ways is saved as no number, so that it is never guessed.
 */
function ConvertedField<T extends FieldValues>({
  form,
  name,
  label,
  help,
  unit,
  autoFocus,
  digits,
  toShown,
  toSaved,
  onTyped,
}: FieldProps<T> & {
  /** Decimals it can have; without it any number of them. */
  digits?: number;
  toShown: (saved: number) => string;
  toSaved: (text: string) => number | null;
  /** Somebody typed into it; changes that the form makes itself don't count. */
  onTyped?: (() => void) | undefined;
}) {
  return (
    <Controller
      control={form.control}
      name={name}
      render={({ field, fieldState }) => (
        <HeldField
          name={name}
          inputRef={field.ref}
          label={label}
          unit={unit}
          digits={digits}
          autoFocus={autoFocus}
          help={help}
          error={fieldState.error?.message}
          value={field.value as unknown}
          toShown={toShown}
          toSaved={toSaved}
          onChange={(next) => {
            field.onChange(next);
            onTyped?.();
          }}
          onBlur={field.onBlur}
        />
      )}
    />
  );
}

type HeldProps = Omit<ComponentProps<typeof NumberBox>, 'text' | 'onText'> & {
  readonly value: unknown;
  readonly toShown: (saved: number) => string;
  readonly toSaved: (text: string) => number | null;
  readonly onChange: (value: unknown) => void;
  readonly onBlur: () => void;
};

function HeldField({ value, toShown, toSaved, onChange, onBlur, ...box }: HeldProps) {
  const typed = useTyped({
    value: typeof value === 'number' ? value : null,
    write: toShown,
    read: toSaved,
    onChange: (number, text) => onChange(toSent(number, text) ?? NaN),
  });
  return (
    <NumberBox
      {...box}
      {...typed}
      onBlur={() => {
        typed.onBlur();
        onBlur();
      }}
    />
  );
}

/** `per`: seconds shown as minutes (60), shares as per cent (0.01) and so on. */
export function NumberField<T extends FieldValues>({
  per = 1,
  digits = 4,
  ...props
}: FieldProps<T> & { per?: number; digits?: number }) {
  const { read, write } = useNumbers();
  const times = (number: number | null) => (number === null ? null : number * per);
  return (
    <ConvertedField {...props} toShown={(saved) => write(saved / per, digits)} toSaved={(text) => times(read(text))} />
  );
}

type MoneyProps<T extends FieldValues> = FieldProps<T> & { suffix?: string; onTyped?: () => void };

export function MoneyField<T extends FieldValues>({ suffix = '', ...props }: MoneyProps<T>) {
  const { readMoney, writeMoney, moneyDigits, currency } = useNumbers();
  return (
    <ConvertedField
      {...props}
      digits={moneyDigits}
      unit={`${currency}${suffix}`}
      toShown={writeMoney}
      toSaved={readMoney}
    />
  );
}

export function LengthField<T extends FieldValues>(props: FieldProps<T>) {
  const { system } = useSettings();
  return system === 'metric' ? (
    <NumberField {...props} unit="mm" digits={2} />
  ) : (
    <NumberField {...props} unit="in" per={MM_PER_INCH} digits={3} />
  );
}

export function TemperatureField<T extends FieldValues>(props: FieldProps<T>) {
  const { system } = useSettings();
  const { read, write } = useNumbers();
  const isMetric = system === 'metric';
  const toSaved = (text: string) => {
    const degrees = read(text);
    return degrees === null || isMetric ? degrees : toCelsius(degrees);
  };
  return (
    <ConvertedField
      {...props}
      unit={isMetric ? '°C' : '°F'}
      toShown={(saved) => write(isMetric ? saved : toFahrenheit(saved), 1)}
      toSaved={toSaved}
    />
  );
}
