// The head of a column of numbers: it stands over their right edge.

import type { ReactNode } from 'react';

export function NumberHead({ children }: { readonly children?: ReactNode }) {
  return (
    <th className="right" scope="col">
      {children}
    </th>
  );
}
