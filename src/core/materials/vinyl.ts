// What a vinyl is, how it is pressed on what, which side of it the knife sees, and how fine it may be cut.

import { colord, extend } from 'colord';
import labPlugin from 'colord/plugins/lab';
import { DETAIL_FLOORS, type DetailClass, type DetailFloor, type LayerMaterial } from '../artwork';
import { figure, MM2_PER_M2, type Figure, type Minor } from '../units';
import { FABRICS, type Fabric } from './blank';
import type { ShopFigures } from './shop-figures';
import { getOrdinaryDetails, GRADES, type Grade, type VinylDetails } from './vinyl-details';
import { getKindFacts, type PressSetting, type VinylKind } from './vinyl-kinds';

extend([labPlugin]);

export type Vinyl = {
  readonly id: number;
  readonly name: string;
  readonly kind: VinylKind;
  readonly colourName: string;
  readonly colourHex: string;
  readonly rollWidthMm: number;
  readonly rollLengthMm: number;
  readonly rollPrice: Minor;
  readonly weedingFactor: number;
  readonly press: PressSetting | null;
  readonly details: VinylDetails;
};

/** Price of one mm² of the roll, in minor units. */
export const getPricePerMm2 = (vinyl: Vinyl): number => vinyl.rollPrice / (vinyl.rollWidthMm * vinyl.rollLengthMm);

/** What a square metre of the roll costs. */
export const computePricePerM2 = (vinyl: Vinyl): Figure =>
  figure('A square metre', getPricePerMm2(vinyl) * MM2_PER_M2, 'money/m²', 'shop', {
    how: 'roll price ÷ (roll width × roll length)',
    parts: [
      figure('Roll price', vinyl.rollPrice, 'money', 'shop'),
      figure('Roll width', vinyl.rollWidthMm, 'mm', 'maker'),
      figure('Roll length', vinyl.rollLengthMm, 'mm', 'maker'),
    ],
  });

/** How it is pressed on a fabric: as said for it alone, or else as everywhere. Null for what is not pressed. */
export const getPressSetting = (vinyl: Pick<Vinyl, 'press' | 'details'>, fabric: Fabric): PressSetting | null =>
  vinyl.press && (vinyl.details.pressOn[fabric] ?? vinyl.press);

/** Thinner than this, in micrometres, or harder to weed: a strong tape does not let go of it. */
const DELICATE_UM = 70;
const DELICATE_WEEDING = 1.3;
export const isDelicate = ({ weedingFactor, details }: Pick<Vinyl, 'weedingFactor' | 'details'>): boolean =>
  weedingFactor >= DELICATE_WEEDING || (details.thicknessUm ?? Infinity) < DELICATE_UM;

/** Pressed at its lowest the vinyl stays under the fabric's ceiling; adhesive vinyl does where no heat is needed. */
export function isSafeOn(vinyl: Pick<Vinyl, 'press' | 'details'>, fabric: Fabric): boolean {
  const { ceilingC } = FABRICS[fabric];
  const setting = getPressSetting(vinyl, fabric);
  return setting === null || (ceilingC !== null && setting.lowC <= ceilingC);
}

export type Handedness = {
  readonly mirrored: boolean;
  readonly because: 'carrier-down' | 'masked-print' | 'face-up' | 'seen-through';
};
type Cut = Pick<Vinyl, 'kind' | 'details'>;

/** What stands for a layer as long as no vinyl is chosen for it. */
export const ORDINARY_VINYL: Cut = { kind: 'smooth', details: getOrdinaryDetails('smooth') };

/** Whether the artwork is mirrored for cutting: a property of the material and its use, never of somebody's memory. */
export function decideHandedness({ kind, details }: Cut, use: { readonly seenThrough: boolean }): Handedness {
  const { family } = getKindFacts(kind);
  if (details.carrier === 'face') return { mirrored: true, because: 'carrier-down' };
  if (family === 'adhesive' && use.seenThrough) return { mirrored: true, because: 'seen-through' };
  return { mirrored: false, because: family === 'heat' ? 'masked-print' : 'face-up' };
}

/**
 * Vinyls that weed this much harder than a smooth, good one are thin or brittle, and hold no finer detail than budget
 * ones.
 */
const BUDGET_FROM_FACTOR = 1.3;

function getDetailClass(vinyl: Pick<Vinyl, 'kind' | 'weedingFactor'>): DetailClass {
  if (vinyl.kind === 'puff') return 'puff';
  if (vinyl.kind === 'glitter' || vinyl.kind === 'flock') return 'textured';
  if (getKindFacts(vinyl.kind).family === 'heat') return 'smooth';
  return vinyl.weedingFactor >= BUDGET_FROM_FACTOR ? 'budget-adhesive' : 'premium-adhesive';
}

/** The finest that its kind ordinarily holds. */
export const getOrdinaryFloor = (vinyl: Pick<Vinyl, 'kind' | 'weedingFactor'>): DetailFloor =>
  DETAIL_FLOORS[getDetailClass(vinyl)];

/** The finest it holds: what the maker or a trial says of it, else what its kind ordinarily does. */
export function getDetailFloor(vinyl: Pick<Vinyl, 'kind' | 'weedingFactor' | 'details'>): DetailFloor {
  const ordinary = getOrdinaryFloor(vinyl);
  return { strokeMm: vinyl.details.strokeMm ?? ordinary.strokeMm, gapMm: vinyl.details.gapMm ?? ordinary.gapMm };
}

/**
 * What a vinyl lets an artwork's layer be: how fine, under others or not, how wide with the margins of cutter and
 * weeding.
 */
export function getLayerMaterial(
  vinyl: Pick<Vinyl, 'kind' | 'weedingFactor' | 'rollWidthMm' | 'details'>,
  shop: Pick<ShopFigures, 'cutterEdgeMm' | 'weedMarginMm'>,
): LayerMaterial {
  const { takesLayers, direction } = vinyl.details;
  return {
    floor: getDetailFloor(vinyl),
    hasOwnFloor: vinyl.details.strokeMm !== null || vinyl.details.gapMm !== null,
    takesLayers,
    usableMm: vinyl.rollWidthMm - 2 * shop.cutterEdgeMm - 2 * shop.weedMarginMm,
    turnable: direction === 'none',
  };
}

/**
 * Colours nearer than this pass for one another on a product (CIEDE2000 ÷ 100); the eye tells them apart only side by
 * side.
 */
const ALIKE = 0.08;

/**
 * The most by which CIEDE2000 takes a difference of lightness down (S_L at L 0 or 100: 1 + 0.015·50² ÷ √(20 + 50²)), so
 * that colours whose lightness alone differs by more than that are never alike.
 */
const MOST_S_L = 1.75;

/**
 * Finds other vinyls that would do instead of one: of the same kind, nearly the colour, and good enough. Their colours
 * are read once for all that is asked.
 */
export function makeAlikeFinder<T extends Vinyl>(all: readonly T[], grade: Grade): (vinyl: Vinyl) => readonly T[] {
  const goodEnough = all
    .filter((other) => GRADES.indexOf(other.details.grade) <= GRADES.indexOf(grade))
    .map((vinyl) => ({ vinyl, colour: colord(vinyl.colourHex), lightness: colord(vinyl.colourHex).toLab().l }));
  return (vinyl) => {
    const lightness = colord(vinyl.colourHex).toLab().l;
    return goodEnough
      .filter(
        (other) =>
          other.vinyl.id !== vinyl.id &&
          other.vinyl.kind === vinyl.kind &&
          Math.abs(other.lightness - lightness) <= 100 * ALIKE * MOST_S_L &&
          other.colour.delta(vinyl.colourHex) <= ALIKE,
      )
      .map((other) => other.vinyl);
  };
}
