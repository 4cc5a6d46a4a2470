// Tells that what was typed before is back, and lets it go.

import Button from '@mui/material/Button';
import type { Draft } from './use-draft';

export function DraftNotice({ draft }: { readonly draft: Draft }) {
  if (!draft.isBack) return null;
  return (
    <div className="first-start" role="status">
      <span>What you had not saved here is back.</span>
      <Button size="small" onClick={draft.discard}>
        Discard it
      </Button>
    </div>
  );
}
