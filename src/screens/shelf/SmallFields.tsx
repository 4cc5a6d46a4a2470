// Fields of small forms: numbers as typed, money and lengths in the shop's own measures.

import { NumberBox } from '../shared/NumberBox';
import { useNumbers } from '../shared/use-numbers';

type Props = {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly error?: string | undefined;
  readonly help?: string | undefined;
  readonly unit?: string;
  readonly autoFocus?: boolean;
};

export function NumberText({ value, onChange, unit, ...props }: Props) {
  const { currency, moneyDigits } = useNumbers();
  return (
    <NumberBox
      {...props}
      text={value}
      onText={onChange}
      unit={unit}
      digits={unit === currency ? moneyDigits : undefined}
    />
  );
}

/** Amounts typed in whole units of the currency, sent in minor ones. */
export function useMoneyText(): {
  readonly unit: string;
  readonly toMinor: (text: string) => number | null;
  readonly fromMinor: (minor: number) => string;
} {
  const { currency, readMoney, writeMoney } = useNumbers();
  return { unit: currency, toMinor: readMoney, fromMinor: writeMoney };
}
