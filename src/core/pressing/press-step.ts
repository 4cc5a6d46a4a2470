// One step at the press, and how often it closes for it where the place is larger than the platen.

import type { ObstacleKind, Peel, Pressure, ShopFigures } from '../materials';
import type { PressTool } from './press-recipe';

export type PressStepKind =
  'lay-out' | 'pre-press' | 'place' | 'stack' | 'tack' | 'press' | 'wait' | 'peel' | 're-press' | 'apply' | 'stones';
/**
 * What sticks without heat, one thing after another: the surface cleaned, tape rubbed on, the liner pulled off, set down
 * and rubbed, the tape off again.
 */
const DECAL_PARTS = ['clean', 'tape', 'lift', 'set', 'peel-tape'] as const;
/** Painted through, and taken off again. */
const STENCIL_PARTS = [...DECAL_PARTS, 'paint', 'lift-stencil'] as const;
export type ApplyPart = (typeof STENCIL_PARTS)[number];
export const listApplyParts = ({ isStencil }: Pick<PressStep, 'isStencil'>): readonly ApplyPart[] =>
  isStencil ? STENCIL_PARTS : DECAL_PARTS;

export type PressStep = {
  readonly kind: PressStepKind;
  /** Of all sections together. */
  readonly seconds: number;
  /** False while the piece cools and the next one can be pressed. */
  readonly attended: boolean;
  readonly vinylName?: string;
  readonly temperatureC?: number;
  readonly pressure?: Pressure;
  readonly peel?: Peel;
  readonly covered?: boolean;
  /** Where on the blank, where there are several. */
  readonly place?: string;
  /** What of the blank must not lie under the platen: it takes the pressure, or prints through. */
  readonly inTheWay?: readonly ObstacleKind[];
  /** Another side is pressed already: it lies soft, or it is pressed twice. */
  readonly pressedBelow?: true;
  /** On a round wall it is stretched on, and the air is rubbed out of it. */
  readonly isWrapped?: true;
  /** Stretched once by hand before it is pressed again: what cracks or lifts is seen now. */
  readonly stretchFirst?: true;
  /** It is painted through and does not stay. */
  readonly isStencil?: true;
  /** Which part of sticking it on it is, where that is told part by part. */
  readonly apply?: ApplyPart;
  /** Of stones that are laid on or pressed: how many, and how large they are. */
  readonly stones?: { readonly count: number; readonly diameterMm: number };
  /** Sticking: a piece of transfer tape serves so often. */
  readonly tapeUses?: number;
  /** Which of its uses this one is, from 1, and whether another follows in this batch. */
  readonly tapeUse?: { readonly use: number; readonly of: number; readonly isLast: boolean };
  /** The press closes so often, each time a little further: with overlap. Left out for once. */
  readonly sections?: number;
};

/** By how much neighbouring sections overlap, mm: so that no edge is pressed by none of them. */
const OVERLAP_MM = 20;
/** The plate of an iron or of a usual hand press, mm. */
const HAND_PLATE_MM = { width: 230, length: 110 } as const;

type Size = { readonly width: number; readonly height: number };

/** How often the press closes on a place of this size, whichever way round it lies. 1 where no size is known. */
export function countSections(
  size: Size | null,
  tool: PressTool,
  { platenWidthMm, platenLengthMm }: Pick<ShopFigures, 'platenWidthMm' | 'platenLengthMm'>,
): number {
  if (!size) return 1;
  const plate = tool === 'hand press' ? HAND_PLATE_MM : { width: platenWidthMm, length: platenLengthMm };
  const along = (mm: number, plateMm: number) =>
    mm <= plateMm ? 1 : Math.ceil((mm - OVERLAP_MM) / Math.max(1, plateMm - OVERLAP_MM));
  return Math.min(
    along(size.width, plate.width) * along(size.height, plate.length),
    along(size.width, plate.length) * along(size.height, plate.width),
  );
}
