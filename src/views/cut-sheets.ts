// Cut sheets: what waits to be cut, the stock for it, and saved loads. Types only.

import type { PrepStep } from '../core/artwork';
import type { CutSheet, CutSource, LoadFacts, LotChoice } from '../core/orders';
import type { VinylView } from './shelf';

/** A part that waits to be cut, with what it is cut from: a layer of an artwork at a width. */
export type WaitingPart = {
  readonly partId: number;
  readonly orderId: number;
  readonly orderTitle: string;
  readonly pieceNumber: number;
  readonly itemName: string;
  readonly dueDay: string;
  readonly layerName: string;
  readonly broken: boolean;
  readonly artworkId: number;
  readonly layerIndex: number;
  readonly widthMm: number;
  readonly mirrored: boolean;
  readonly cutSeconds: number;
};

/** A layer of an item on the list. */
export type UsualPiece = { readonly key: string; readonly name: string; readonly source: CutSource };

export type CutSheetsView = {
  /** The first due first. */
  readonly groups: readonly {
    readonly vinyl: VinylView;
    readonly parts: readonly WaitingPart[];
    readonly stock: readonly LotChoice[];
    /** Laid out and not cut yet. */
    readonly saved: readonly {
      readonly id: number;
      readonly version: number;
      readonly savedAtMs: number;
      readonly sheet: CutSheet;
    }[];
    /** What is made of it again and again: to fill what is left of a load. */
    readonly usual: readonly UsualPiece[];
  }[];
  /** Where the outlines come from: prepared anew from the original, at the width it was saved at. */
  readonly artworks: readonly { readonly id: number; readonly steps: readonly PrepStep[]; readonly widthMm: number }[];
  readonly gapMm: number;
  /** Of today, in working hours. */
  readonly freeSeconds: number;
};

/** What a loading card is printed from. */
export type LoadCard = {
  readonly vinylName: string;
  readonly colourHex: string;
  readonly sheets: readonly {
    readonly lotName: string;
    readonly density: number;
    readonly lengthMm: number;
    readonly shape: readonly { readonly x: number; readonly y: number }[];
    readonly spoiledSpots: readonly (readonly { readonly x: number; readonly y: number }[])[];
    readonly facts: LoadFacts;
    /** In the order they are cut. */
    readonly pieces: readonly {
      readonly outline: readonly { readonly x: number; readonly y: number }[];
      readonly tag: string;
      readonly what: string;
      readonly orderTitle: string;
      readonly dueDay: string | null;
    }[];
  }[];
};
