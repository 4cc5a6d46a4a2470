// The steps that make an artwork ready to cut. They are data: kept in a list, switched off or changed later, always
// done anew from the untouched original. Lengths in mm at real size; `layer` is a layer's key.

import type { Artwork, LayerRole } from '../artwork';

export type StepAction =
  /** How large the whole drawing is; the last one that is on decides. `fit` keeps it within both. */
  | { readonly kind: 'size'; readonly widthMm?: number; readonly heightMm?: number; readonly fit?: boolean }
  | { readonly kind: 'rotate'; readonly degrees: number }
  /** Strokes become the bands they paint, in the layer of their colour. */
  | { readonly kind: 'outline-strokes' }
  | { readonly kind: 'merge'; readonly layer: string; readonly into: string }
  | { readonly kind: 'leave-out'; readonly layer: string }
  | { readonly kind: 'open-paths'; readonly how: 'close' | 'leave-out' | 'stroke'; readonly widthMm: number }
  | { readonly kind: 'remove-doubled'; readonly withinMm: number }
  /** Pieces smaller than this are left out, cavities smaller than this filled. */
  | { readonly kind: 'remove-specks'; readonly underMm2: number }
  /** Overlapping shapes of a colour become one outline: the knife no longer crosses inside. */
  | { readonly kind: 'unite' }
  /** Grown (or inset, where negative); `copy` keeps the layer and adds the grown one as a layer below it. */
  | { readonly kind: 'offset'; readonly layer: string; readonly byMm: number; readonly copy: boolean }
  /**
   * Cuts the upper layer's shape out of the lower, less an overlap, so that no blank shows when placed a little off.
   */
  | { readonly kind: 'knock-out'; readonly lower: string; readonly upper: string; readonly overlapMm: number }
  /** What is weeded out of a layer, as a layer of its own. */
  | { readonly kind: 'negative'; readonly layer: string; readonly marginMm: number }
  | { readonly kind: 'registration'; readonly sizeMm: number; readonly gapMm: number }
  /** Boxes around words or groups whose parts lie nearer than `joinMm`. */
  | { readonly kind: 'weed-boxes'; readonly layer: string; readonly marginMm: number; readonly joinMm: number }
  | { readonly kind: 'loose'; readonly layer: string }
  | { readonly kind: 'role'; readonly layer: string; readonly role: LayerRole }
  /**
   * Parted side by side into loads that are no wider than `mostMm`, through gaps where there are any; what has to be
   * cut through overlaps.
   */
  | { readonly kind: 'split'; readonly layer: string; readonly mostMm: number; readonly overlapMm: number }
  /** A template with a hole for each dot of one diameter, larger by `playMm`, to brush hot-fix stones into. */
  | {
      readonly kind: 'stone-template';
      readonly layer: string;
      readonly diameterMm: number;
      readonly playMm: number;
      readonly marginMm: number;
    };

export type PrepStep = StepAction & { readonly on: boolean };
export const STEP_KINDS = [
  'size',
  'rotate',
  'outline-strokes',
  'merge',
  'leave-out',
  'open-paths',
  'remove-doubled',
  'remove-specks',
  'unite',
  'offset',
  'knock-out',
  'negative',
  'registration',
  'weed-boxes',
  'loose',
  'role',
  'split',
  'stone-template',
] as const satisfies readonly StepAction['kind'][];

/** What an untouched drawing needs at once: one of strokes only has nothing else to cut. */
export const proposeFirstSteps = (artwork: Artwork): readonly PrepStep[] =>
  artwork.layers.length === 0 && artwork.strokes.length > 0 ? [{ kind: 'outline-strokes', on: true }] : [];

/** A step with the sizes the trade ordinarily uses. */
export const STEP_DEFAULTS = {
  overlapMm: 0.4,
  weedMarginMm: 4,
  joinMm: 6,
  markMm: 4,
  markGapMm: 8,
  speckMm2: 1,
  doubledMm: 0.2,
  seamMm: 1,
  stonePlayMm: 0.4,
  templateMarginMm: 12,
  outlineMm: 3,
} as const;

const WITH_LENGTHS: ReadonlySet<StepAction['kind']> = new Set([
  'offset',
  'knock-out',
  'negative',
  'registration',
  'weed-boxes',
  'split',
  'stone-template',
]);
/** Some of what the steps make has a size in mm of its own: scaled as a drawing, that would be scaled too. */
export const haveOwnLengths = (steps: readonly PrepStep[]): boolean =>
  steps.some(
    (step) => step.on && (WITH_LENGTHS.has(step.kind) || (step.kind === 'open-paths' && step.how === 'stroke')),
  );
