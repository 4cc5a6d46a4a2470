// What further fields stand in: a part that is folded away, and a row that can be removed.

import type { ReactNode } from 'react';
import Button from '@mui/material/Button';

export function Folded({ title, told, children }: { title: string; told: string; children: ReactNode }) {
  return (
    <details className="sheet fold">
      <summary>
        <strong>{title}</strong> <span className="soft">{told}</span>
      </summary>
      <div className="cols above-4">{children}</div>
    </details>
  );
}

export function Row({ label, onRemove, children }: { label: string; onRemove: () => void; children: ReactNode }) {
  return (
    <fieldset className="fields group">
      <legend>
        {label}{' '}
        <Button size="small" variant="text" aria-label={`Remove ${label}`} onClick={onRemove}>
          Remove
        </Button>
      </legend>
      {children}
    </fieldset>
  );
}
