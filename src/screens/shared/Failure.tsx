// What went wrong, where it is seen and read out at once.

import type { ReactNode } from 'react';

export function Failure({ children }: { readonly children: ReactNode }) {
  return (
    <div className="notice bad" role="alert">
      {children}
    </div>
  );
}
