// A number outside a form: what is typed stays until it is one.

import { NumberBox } from './NumberBox';
import { useNumbers } from './use-numbers';
import { useTyped } from './use-typed';

type Props = {
  readonly label: string;
  readonly value: number;
  /** Called with sound numbers only. */
  readonly onChange: (value: number) => void;
  readonly unit?: string;
  readonly least?: number;
  readonly whole?: boolean;
  /** Whether the label stands beside it; else it is only read out. */
  readonly shown?: boolean;
};

export function NumberInput({ label, value, onChange, unit, least = 0, whole = false, shown = false }: Props) {
  const { read, write } = useNumbers();
  const isSound = (number: number | null): number is number =>
    number !== null && number >= least && (!whole || Number.isInteger(number));
  const readSound = (text: string) => {
    const number = read(text);
    return isSound(number) ? number : null;
  };
  const typed = useTyped({
    value,
    write,
    read: readSound,
    onChange: (number) => number !== null && onChange(number),
  });
  const refusal = whole ? `A whole number from ${least}.` : `A number from ${least}.`;
  return (
    <NumberBox
      {...typed}
      label={shown && unit ? `${label}, ${unit}` : label}
      bare={!shown}
      error={readSound(typed.text) === null && refusal}
    />
  );
}
