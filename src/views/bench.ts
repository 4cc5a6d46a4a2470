// The four stations of the bench. Types only.

import type { ArtworkPicture } from '../core/artwork';
import type { SpoilageCause } from '../core/orders';
import type { PressPlan } from '../core/pressing';
import type { BenchPart } from '../core/scheduling';
import type { LotForm } from '../core/stock';
import type { RunningSession } from './frame';
import type { VinylView } from './shelf';

export type BenchPartView = BenchPart & {
  readonly orderTitle: string;
  readonly customerName: string;
  readonly itemName: string;
  readonly sizeName: string;
  readonly colourName: string;
  readonly layerName: string;
  readonly layerColour: string;
  readonly vinylName: string;
  readonly blankName: string;
  readonly placement: string;
  readonly widthMm: number;
  readonly itemId: number;
};

/** How the pieces of a line are made: its placements with their pictures, and its layers numbered through them. */
export type BenchLineView = {
  readonly lineId: number;
  readonly itemName: string;
  readonly blankName: string;
  readonly plan: PressPlan | null;
  readonly planProblem: string | null;
  readonly placements: readonly {
    readonly picture: ArtworkPicture;
    readonly place: string;
    readonly widthMm: number;
  }[];
  readonly layers: readonly {
    readonly name: string;
    readonly vinylId: number;
    /** Which placement it is of, and which layer of its picture. */
    readonly placement: number;
    readonly layerIndex: number;
    readonly mirrored: boolean;
    readonly handedness: string;
    readonly boxWidthMm: number;
    readonly boxHeightMm: number;
    readonly cavities: number;
    readonly pieces: number;
  }[];
};

export type BenchView = {
  readonly parts: readonly BenchPartView[];
  readonly lines: readonly BenchLineView[];
  readonly running: readonly RunningSession[];
  readonly vinyls: readonly VinylView[];
  readonly nowMs: number;
  readonly today: string;
};

/** What a step took from the stock: mm of a roll, or pieces; and what it would have taken beyond what the book had. */
export type BookedStock = {
  readonly thingName: string;
  readonly form: LotForm;
  readonly quantity: number;
  readonly missing: number;
};

export type StepTaken = {
  readonly booked?: readonly BookedStock[];
  readonly eventIds: readonly number[];
  readonly bench: BenchView;
};

export type Spoilage = { readonly cause: SpoilageCause; readonly blankLost: boolean };
