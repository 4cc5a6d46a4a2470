// What of the shelf is open for editing.

import type { VinylView, BlankView } from '../../views/shelf';

export type Editing =
  | { readonly kind: 'vinyl'; readonly vinyl: VinylView | null }
  | { readonly kind: 'blank'; readonly blank: BlankView | null };
