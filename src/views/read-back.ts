// Reading texts back, and what a customer is shown. Types only.

import type { LetterRun } from '../core/orders';

/** A text beside the customer's own words. */
export type ReadText = {
  readonly label: string;
  readonly given: string;
  readonly text: string;
  readonly runs: readonly LetterRun[];
  /** Its picture as it is worn. */
  readonly href: string | null;
};

export type ReadBackLine = {
  readonly lineId: number;
  /** Piece numbers, from 1. */
  readonly numbers: readonly number[];
  readonly itemName: string;
  readonly sizeName: string;
  readonly colourName: string;
  readonly note: string;
  readonly texts: readonly ReadText[];
  readonly isRead: boolean;
  /** The row as it stands in the customer's list; null where it came from none. */
  readonly source: string | null;
};

export type ReadBackView = {
  readonly orderId: number;
  readonly title: string;
  readonly customerName: string;
  readonly version: number;
  readonly lines: readonly ReadBackLine[];
};

/** A design at a place, as it is worn. */
type ProofPicture = { readonly href: string; readonly place: string; readonly widthMm: number };

/** Texts of one place from the top, centred; shares of the width of the widest. */
export type StackedTexts = {
  readonly place: string;
  /** #rrggbb of the blank. */
  readonly ground: string;
  readonly texts: readonly { readonly href: string; readonly widthShare: number; readonly gapShare: number }[];
};

/** What a customer is shown of an order. */
export type ProofPageView = {
  readonly shopName: string;
  readonly title: string;
  readonly customerName: string;
  readonly number: number;
  /** Epoch ms. */
  readonly atMs: number;
  readonly approvedAtMs: number | null;
  readonly approvedBy: string | null;
  readonly token: string;
  /** Pieces of one design: alike, or each with its own texts. */
  readonly designs: readonly {
    readonly itemName: string;
    readonly colourName: string;
    readonly pictures: readonly ProofPicture[];
    readonly labels: readonly string[];
    readonly pieces: readonly {
      /** Where several texts stand at one place: as they stand there, on the colour of the blank. */
      readonly together: readonly StackedTexts[];
      readonly sizeName: string;
      readonly quantity: number;
      readonly texts: readonly { readonly label: string; readonly text: string; readonly href: string | null }[];
    }[];
  }[];
  readonly locale: string;
  readonly timeZone: string;
};
