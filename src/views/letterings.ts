// Customers' own texts as they were set. Types only.

import type { LetteringFit } from '../core/artwork';

/** A text as the drawing it became, or why it can't be set. */
export type SetTextView =
  | { readonly set: true; readonly artworkId: number; readonly href: string; readonly fit: LetteringFit }
  | {
      readonly set: false;
      /** In words. */
      readonly problem: string;
      /** It fits in smaller letters. */
      readonly fitsSmaller: boolean;
    };
