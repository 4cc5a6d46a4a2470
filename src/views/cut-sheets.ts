// Cut sheets: what waits to be cut, the stock for it, and saved loads. Types only.

import type { PrepStep } from '../core/artwork';
import type { CutSheet, CutSource, LoadFacts, LotChoice } from '../core/orders';
import type { VinylView } from './shelf';

/** A part that waits to be cut, with what it is cut from: a layer of an artwork at a width. */
export type WaitingPart = {
  readonly partId: number;
  readonly orderId: number;
  readonly orderTitle: string;
  /** Which piece of its order, from 1. */
  readonly pieceNumber: number;
  readonly itemName: string;
  /** ISO day. */
  readonly dueDay: string;
  readonly layerName: string;
  /** It was spoiled before, and is to be cut again. */
  readonly broken: boolean;
  readonly artworkId: number;
  /** Which layer of the artwork, from 0. */
  readonly layerIndex: number;
  /** Width of the whole artwork, mm. */
  readonly widthMm: number;
  /** Cut mirrored: its vinyl lies face down. */
  readonly mirrored: boolean;
  /** Of its islands, those that are made anew; left out for all of them. */
  readonly bits?: readonly number[];
  /** Time of the cutter, seconds. */
  readonly cutSeconds: number;
};

/** A layer of an item on the list. */
export type UsualPiece = {
  /** Names it among the usual pieces of its vinyl. */
  readonly key: string;
  readonly name: string;
  readonly source: CutSource;
};

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
      /** Epoch ms. */
      readonly savedAtMs: number;
      readonly sheet: CutSheet;
    }[];
    /** What is made of it again and again: to fill what is left of a load. */
    readonly usual: readonly UsualPiece[];
  }[];
  /** Of what waits, what is not among the groups: other vinyls, due later. */
  readonly later: { readonly vinyls: number; readonly parts: number };
  /** Where the outlines come from: prepared anew from the original, at the width it was saved at. */
  readonly artworks: readonly { readonly id: number; readonly steps: readonly PrepStep[]; readonly widthMm: number }[];
  /** Least gap between two parts, mm, as the shop set it. */
  readonly gapMm: number;
  /** Of today, in working hours. */
  readonly freeSeconds: number;
};

/** What a loading card is printed from. */
export type LoadCard = {
  readonly vinylName: string;
  /** #rrggbb of the vinyl. */
  readonly colourHex: string;
  readonly sheets: readonly {
    readonly lotName: string;
    /** Share of what is used that is pieces, 0 to 1. */
    readonly density: number;
    /** Length of the sheet, mm. */
    readonly lengthMm: number;
    /** Its outline, mm from its corner. */
    readonly shape: readonly { readonly x: number; readonly y: number }[];
    /** Rings that are not cut on, mm. */
    readonly spoiledSpots: readonly (readonly { readonly x: number; readonly y: number }[])[];
    readonly facts: LoadFacts;
    /** In the order they are cut. */
    readonly pieces: readonly {
      /** Outer ring where it lies, mm. */
      readonly outline: readonly { readonly x: number; readonly y: number }[];
      /** The letters cut beside it; also in the list of the card. */
      readonly tag: string;
      readonly what: string;
      readonly orderTitle: string;
      /** ISO day; null for a piece of no order. */
      readonly dueDay: string | null;
    }[];
  }[];
};
