// The drawer that a vinyl or a blank is made in, over the page it was asked for on.

import Drawer from '@mui/material/Drawer';
import type { BlankView, VinylView } from '../../views/shelf';
import { late } from './late';

const OPENING = <p className="pad-4">Opening…</p>;
const QuickVinyl = late(() => import('./QuickVinyl'), OPENING);
const QuickBlank = late(() => import('./QuickBlank'), OPENING);

export type Asked =
  | { readonly kind: 'vinyl'; readonly onMade: (vinyl: VinylView) => void }
  | { readonly kind: 'blank'; readonly onMade: (blank: BlankView) => void };

type Props = {
  readonly asked: Asked;
  readonly onClose: () => void;
  readonly onVinyl: (vinyl: VinylView) => void;
  readonly onBlank?: (blank: BlankView) => void;
};

export default function MakerDrawer({ asked, onClose, onVinyl, onBlank }: Props) {
  return (
    <Drawer
      anchor="right"
      open
      onClose={onClose}
      aria-label="Made in place"
      // As high as a dialog: asked for in one, it lies over that, and lists that open in it lie over it.
      sx={{ zIndex: (theme) => theme.zIndex.modal }}
    >
      {asked.kind === 'vinyl' ? (
        <QuickVinyl
          onCancel={onClose}
          onMade={(vinyl) => {
            onVinyl(vinyl);
            asked.onMade(vinyl);
            onClose();
          }}
        />
      ) : (
        <QuickBlank
          onCancel={onClose}
          onMade={(blank) => {
            onBlank?.(blank);
            asked.onMade(blank);
            onClose();
          }}
        />
      )}
    </Drawer>
  );
}
