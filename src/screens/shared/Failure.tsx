// What went wrong, where it is seen and read out at once.

import type { ReactNode } from 'react';

type Props = {
  readonly children: ReactNode;
  /** With room below, where what follows keeps none. */
  readonly spaced?: boolean;
};

export function Failure({ children, spaced = false }: Props) {
  return (
    <div className={`notice bad ${spaced ? 'below-4' : ''}`} role="alert">
      {children}
    </div>
  );
}
