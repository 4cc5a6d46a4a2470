// How a knife goes through a film, in a simulated cutter: the depth by force, wear, angle, speed and passes, and what of
// a lot no label says. Made up so that an ordinary setting is about right, and a lot, a worn blade or a hurry are not.

import { getOrdinarySetting, type CutSetting, type TestResult } from '../core/cutting';
import type { VinylKind } from '../core/materials';
import type { StockInCutter } from '../ports/cutter';

/** What lies in the machine as it really is. */
export type Film = {
  readonly kind: VinylKind;
  readonly thicknessUm: number;
  readonly backingUm: number;
  /** 1 is ordinary; more takes more force. */
  readonly toughness: number;
  readonly widthMm: number;
};

const ORDINARY_UM: Readonly<Record<VinylKind, number>> = {
  smooth: 90,
  stretch: 90,
  'low-heat': 80,
  glitter: 250,
  holographic: 110,
  flock: 350,
  puff: 300,
  reflective: 150,
  'printed-pattern': 100,
  permanent: 75,
  removable: 80,
  stencil: 80,
};
const BACKING_UM = 90;
/** Lots differ by up to this much from the middle. */
const TOUGHNESS_SPREAD = 0.18;
/** A label is never too small: what is missing, mm, and of every so many lots one is much narrower. */
const NARROWER_MM = 1.2;
const ODD_LOT = 9;
const ODD_NARROWER_MM = 9;

/** The same lot is the same film every time. */
export function lookIntoFilm({ lotId, labelWidthMm, kind, thicknessUm }: StockInCutter): Film {
  const odd = lotId % ODD_LOT === ODD_LOT - 1 ? ODD_NARROWER_MM : 0;
  return {
    kind,
    thicknessUm: thicknessUm ?? ORDINARY_UM[kind],
    backingUm: BACKING_UM,
    toughness: 1 + TOUGHNESS_SPREAD * (2 * spread(lotId, 1) - 1),
    widthMm: Math.round((labelWidthMm - NARROWER_MM * spread(lotId, 2) - odd) * 10) / 10,
  };
}

/** An even number between 0 and 1 for a lot and a purpose. */
function spread(lotId: number, purpose: number): number {
  const mixed = Math.imul(lotId * 2 + purpose, 0x9e3779b1) >>> 0;
  const again = Math.imul(mixed ^ (mixed >>> 15), 0x85ebca6b) >>> 0;
  return ((again ^ (again >>> 13)) >>> 0) / 2 ** 32;
}

/** An ordinary setting reaches so much of the backing. */
const INTO_BACKING = 0.36;
const FORCE_EXPONENT = 0.85;
const SPEED_EXPONENT = -0.08;
const PASSES_EXPONENT = 0.35;
const BLUNT_SHARE = 0.3;
/** A steeper blade goes deeper. */
const ANGLE_FACTOR: Readonly<Record<CutSetting['bladeDegrees'], number>> = { 30: 0.9, 45: 1, 60: 1.1 };
const REFERENCE_SPEED = 60;

/** Micrometres below the face. Rises with force and passes, falls with wear and speed. `bladeWorn`: of its life. */
export function computeDepth(setting: CutSetting, bladeWorn: number, film: Film): number {
  const ordinary = getOrdinarySetting({ kind: film.kind }, { cutterSpeed: REFERENCE_SPEED });
  const sharpness = 1 - BLUNT_SHARE * Math.min(1.5, bladeWorn) ** 1.5;
  return (
    (film.thicknessUm + INTO_BACKING * film.backingUm) *
    (setting.forceGrams / ordinary.forceGrams) ** FORCE_EXPONENT *
    (setting.speedMmPerS / ordinary.speedMmPerS) ** SPEED_EXPONENT *
    setting.passes ** PASSES_EXPONENT *
    (ANGLE_FACTOR[setting.bladeDegrees] / ANGLE_FACTOR[ordinary.bladeDegrees]) *
    (sharpness / film.toughness)
  );
}

/** Of the backing: from where corners no longer hang, where it is marked, and where it is through. */
const CORNERS_FREE = 0.12;
const MARKED = 0.62;
const THROUGH = 0.95;

export function judgeDepth(depthUm: number, { thicknessUm, backingUm }: Film): TestResult {
  const into = (depthUm - thicknessUm) / backingUm;
  if (into < 0) return 'shallow';
  if (into < CORNERS_FREE) return 'hangs';
  if (into < MARKED) return 'clean';
  return into < THROUGH ? 'marks' : 'through';
}

/** Thinner than this, a film that is cut fast comes off its backing. */
const THIN_UM = 65;
const FAST_MM_PER_S = 150;

export const liftsOff = (setting: CutSetting, film: Film): boolean =>
  film.thicknessUm <= THIN_UM && setting.speedMmPerS >= FAST_MM_PER_S;

/** Without a mat a long run wanders. */
const LONG_MM = 1500;
export const runsOff = ({ onMat, lengthMm }: StockInCutter): boolean => !onMat && lengthMm > LONG_MM;
