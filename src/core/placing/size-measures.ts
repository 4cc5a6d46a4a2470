// How large one size of a blank is, laid flat: as the shop measured it, else as such sizes ordinarily are.

import { plainSize, SHAPE_FACTS, type Blank, type BlankShape, guessShape } from '../materials';
import { figure, type Figure } from '../units';

export type SizeMeasures = {
  readonly sizeName: string;
  /** Laid flat, mm. */
  readonly width: Figure;
  readonly length: Figure;
  readonly isChild: boolean;
};
type Measured = Pick<Blank, 'name' | 'sizes' | 'shape'>;

export const shapeOf = ({ shape, name }: Pick<Measured, 'name' | 'shape'>): BlankShape => shape ?? guessShape(name);

/** Of a size that the blank has not: as its middle one. */
export function measureSize(blank: Measured, sizeName: string): SizeMeasures {
  const shape = shapeOf(blank);
  const size = blank.sizes.find(({ name }) => name === sizeName);
  const usual = guessMeasures(shape, sizeName);
  const tell = (label: string, own: number | null | undefined, usualMm: number): Figure =>
    own
      ? figure(label, own, 'mm', 'shop')
      : figure(label, Math.round(usualMm), 'mm', 'default', {
          how: `what a ${shape} of such a size ordinarily has; measure your own on the shelf`,
        });
  return {
    sizeName,
    width: tell('Width laid flat', size?.widthMm, usual.widthMm),
    length: tell('Length laid flat', size?.lengthMm, usual.lengthMm),
    isChild: usual.isChild,
  };
}

/** Sizes of adults by how many steps they are from M. */
const STEPS: Readonly<Record<string, number>> = { '3xs': -4, '2xs': -3, xs: -2, s: -1, m: 0, l: 1, xl: 2 };

function guessMeasures(shape: BlankShape, sizeName: string) {
  const facts = SHAPE_FACTS[shape];
  const heightMm = facts.worn ? readChildHeight(sizeName) : null;
  if (heightMm !== null) {
    const share = heightMm / ADULT_HEIGHT_MM;
    return { widthMm: facts.widthMm * (0.28 + 0.72 * share), lengthMm: facts.lengthMm * share, isChild: true };
  }
  const steps = readSteps(sizeName);
  return {
    widthMm: facts.widthMm * Math.max(0.3, 1 + facts.growth.width * steps),
    lengthMm: facts.lengthMm * Math.max(0.3, 1 + facts.growth.length * steps),
    isChild: false,
  };
}

/** From M: "2XL" is 3, "S" is −1, "44" two of the continental sizes of men. What says nothing is the middle one. */
function readSteps(sizeName: string): number {
  const plain = plainSize(sizeName);
  const many = /^(\d{1,2})xl$/.exec(plain);
  if (many) return Number(many[1]) + 1;
  const number = /^(\d{2})$/.exec(plain);
  if (number && Number(number[1]) >= 32 && Number(number[1]) <= 64) return (Number(number[1]) - MIDDLE_NUMBER) / 2;
  return STEPS[plain] ?? 0;
}
const MIDDLE_NUMBER = 40;

/** Whom the middle size of an adult fits. */
const ADULT_HEIGHT_MM = 1760;
/** Rule of thumb of children's clothing: the height in cm is six times the age in years, and 77. */
const CM_A_YEAR = 6;
const CM_AT_BIRTH = 77;
const YOUTH_CM: Readonly<Record<string, number>> = { xs: 116, s: 128, m: 140, l: 152, xl: 164 };

/** Body height that a child's size is meant for, mm: "104", "98/104", "5-6 years", "youth M"; null for adults'. */
function readChildHeight(sizeName: string): number | null {
  const words = sizeName.toLowerCase();
  const youth = /(?:kids?|child(?:ren)?|youth|junior|girls?|boys?)\W*([a-z]+)?/.exec(words);
  const letter = youth && /\b(xs|s|m|l|xl)\b/.exec(words);
  if (letter) return YOUTH_CM[letter[1]!]! * MM_PER_CM;
  const numbers = [...words.matchAll(/\d+/g)].map(Number);
  const largest = Math.max(...numbers, 0);
  if (/month|mth|mo\b/.test(words)) return (CM_AT_BIRTH - 21 + Math.min(largest, 24)) * MM_PER_CM;
  if (largest >= 74 && largest <= 176) return largest * MM_PER_CM;
  const isAge =
    /y(?:ea)?rs?\b|\dy\b|age/.test(words) ||
    (youth !== null && largest > 0) ||
    /^\d{1,2}\s*[-–/]\s*\d{1,2}$/.test(words);
  return isAge && largest <= 16 ? (CM_A_YEAR * largest + CM_AT_BIRTH) * MM_PER_CM : null;
}
const MM_PER_CM = 10;
