// A number that is held as a number while it is typed as text: the text stays as typed until the field is left.

import { useState } from 'react';

type Held = {
  /** Null while there is none. */
  readonly value: number | null;
  readonly write: (value: number) => string;
  /** Null for what is no number. */
  readonly read: (text: string) => number | null;
  readonly onChange: (value: number | null, text: string) => void;
};

export function useTyped({ value, write, read, onChange }: Held) {
  const [typed, setTyped] = useState<string | null>(null);
  return {
    text: typed ?? (value === null || !Number.isFinite(value) ? '' : write(value)),
    onText: (text: string) => {
      setTyped(text);
      onChange(read(text), text);
    },
    /** Shown as it is written from then on, where it is a number. */
    onBlur: () => {
      if (typed !== null && read(typed) !== null) setTyped(null);
    },
  };
}
