// The four stations of the bench. Types only.

import type { ArtworkPicture, PrepStep } from '../core/artwork';
import type { RecutBits, SpoilageCause, Station } from '../core/orders';
import type { PressPlan } from '../core/pressing';
import type { BenchPart } from '../core/scheduling';
import type { LotForm } from '../core/stock';
import type { RunningSession } from './frame';
import type { SaidFinding } from './orders';
import type { VinylView } from './shelf';

export type BenchPartView = BenchPart & {
  readonly orderTitle: string;
  readonly customerName: string;
  readonly itemName: string;
  readonly sizeName: string;
  readonly colourName: string;
  readonly layerName: string;
  /** #rrggbb of the vinyl it is cut from. */
  readonly layerColour: string;
  readonly vinylName: string;
  readonly blankName: string;
  /** Why it is cut as it is or mirrored, in words. */
  readonly handedness: string;
  /** Where on the blank, in words of the item. */
  readonly placement: string;
  /** Width of the whole artwork, mm. */
  readonly widthMm: number;
  readonly itemId: number;
  /** What the piece says. */
  readonly texts: readonly string[];
  /** What this part of it says; null for a drawing. */
  readonly layerText: string | null;
  /** What such a text is called; null for a drawing. */
  readonly layerLabel: string | null;
};

/** What one part is cut from. */
export type PartDrawing = {
  readonly artworkId: number;
  readonly steps: readonly PrepStep[];
  /** The width that the steps were taken at, mm. */
  readonly savedWidthMm: number;
  /** Width of the whole artwork on the piece, mm. */
  readonly widthMm: number;
  /** Of the worn layers, from 0. */
  readonly layerIndex: number;
  /** What of it is being made anew already. */
  readonly recut: RecutBits | null;
};

/** How the pieces of a line are made: its placements with their pictures, and its layers numbered through them. */
export type BenchLineView = {
  readonly lineId: number;
  readonly itemName: string;
  readonly blankName: string;
  /** The order of pressing; null where none can be made. */
  readonly plan: PressPlan | null;
  /** With carriers pulled hotter, as makers allow; null where they are already. */
  readonly hotterPlan: PressPlan | null;
  /** Why no plan can be made; null where one was. */
  readonly planProblem: string | null;
  readonly placements: readonly {
    readonly picture: ArtworkPicture;
    readonly place: string;
    /** Width of the whole artwork there, mm. */
    readonly widthMm: number;
    /** What a customer’s own text says there; null for a drawing. */
    readonly text: string | null;
  }[];
  /** What stands in the way of making them well, and at which station. */
  readonly findings: readonly (SaidFinding & { readonly station: 'cut' | 'weed' | 'press' })[];
  readonly layers: readonly {
    readonly name: string;
    /** The vinyl it is cut from. */
    readonly vinylId: number;
    /** Which placement it is of, and which layer of its picture. */
    readonly placement: number;
    /** From 0. */
    readonly layerIndex: number;
    readonly mirrored: boolean;
    /** Why it is cut as it is or mirrored, in words. */
    readonly handedness: string;
    /** Outer box of the layer, mm. */
    readonly boxWidthMm: number;
    /** Outer box of the layer, mm. */
    readonly boxHeightMm: number;
    readonly cavities: number;
    readonly pieces: number;
  }[];
};

/** A station: what is first in its queue, and how much waits at each. */
export type BenchView = {
  /** Of the first batches, with all other parts of their pieces. */
  readonly parts: readonly BenchPartView[];
  /** Batches that come after those. */
  readonly later: number;
  /** Parts to be cut or weeded, pieces to be pressed or checked. */
  readonly waiting: Readonly<Record<Station, number>>;
  /** Of the batch in hand; of others they are asked for. */
  readonly lines: readonly BenchLineView[];
  readonly running: readonly RunningSession[];
  readonly vinyls: readonly VinylView[];
  /** What each takes here against what is calculated, where that was taken from the log. */
  readonly paces: readonly { readonly personId: number; readonly now: number }[];
  /** The server’s clock, epoch ms: timers count from it, and nothing else does. */
  readonly readAtMs: number;
  /** ISO day in the shop’s time zone. */
  readonly today: string;
};

/** What a step took from the stock: mm of a roll, or pieces; and what it would have taken beyond what the book had. */
export type BookedStock = {
  readonly thingName: string;
  readonly form: LotForm;
  /** mm of a roll, or pieces. */
  readonly quantity: number;
  /** Taken beyond what the book had, in the same unit; 0 where it had enough. */
  readonly missing: number;
};

export type StepTaken = {
  /** Absent where the step takes nothing from the stock. */
  readonly booked?: readonly BookedStock[];
  /** What undo takes back. */
  readonly eventIds: readonly number[];
  /** As it stands after the step. */
  readonly bench: BenchView;
};

export type Spoilage = {
  readonly cause: SpoilageCause;
  /** The blank is spoiled with the part, and a new one is taken. */
  readonly blankLost: boolean;
  /** Of the one part, what is made anew; null for all of it. */
  readonly recut?: RecutBits | null;
};
