// An amount of money outside a form: what is typed stays until it is one.

import { NumberBox } from './NumberBox';
import { useNumbers } from './use-numbers';
import { useTyped } from './use-typed';

type Props = {
  readonly label: string;
  /** Minor units. */
  readonly value: number;
  /** Called with amounts from nothing up. */
  readonly onChange: (minor: number) => void;
  /** Whether the label stands beside it; else it is only read out. */
  readonly shown?: boolean;
};

export function MoneyInput({ label, value, onChange, shown = false }: Props) {
  const { readMoney, writeMoney, moneyDigits, currency } = useNumbers();
  const read = (text: string) => {
    const minor = readMoney(text);
    return minor !== null && minor >= 0 ? minor : null;
  };
  const typed = useTyped({ value, write: writeMoney, read, onChange: (minor) => minor !== null && onChange(minor) });
  return (
    <NumberBox
      {...typed}
      label={label}
      bare={!shown}
      digits={moneyDigits}
      unit={currency}
      error={read(typed.text) === null && 'An amount from nothing up.'}
    />
  );
}
