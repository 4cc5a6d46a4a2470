// How hard, how fast and how often the knife goes over a vinyl, and what is tried next after a test cut.

import type { ShopFigures, Vinyl, VinylKind } from '../materials';

export type BladeAngle = 30 | 45 | 60;
export const BLADE_ANGLES: readonly BladeAngle[] = [30, 45, 60];
/** For one cutter with one blade on one vinyl. */
export type CutSetting = {
  readonly forceGrams: number;
  readonly speedMmPerS: number;
  readonly passes: number;
  readonly bladeDegrees: BladeAngle;
};

/** Cable or power gone; vinyl caught; vinyl off its backing; run off its line. */
export type CutterFault = 'unplugged' | 'jammed' | 'lifted' | 'skewed';

/** What a small cutter can be set to. */
export const SETTING_RANGE = {
  forceGrams: { least: 10, most: 500, step: 5 },
  speedMmPerS: { least: 10, most: 800, step: 10 },
  passes: { least: 1, most: 3, step: 1 },
} as const;

/** Where a search begins: ordinary force by kind, grams, and the steeper blade for what is thick. */
const ORDINARY: Readonly<Record<VinylKind, readonly [forceGrams: number, bladeDegrees: BladeAngle]>> = {
  smooth: [90, 45],
  stretch: [95, 45],
  'low-heat': [80, 45],
  glitter: [170, 60],
  holographic: [110, 45],
  flock: [140, 60],
  puff: [150, 60],
  reflective: [140, 45],
  'printed-pattern': [100, 45],
  permanent: [85, 45],
  removable: [70, 45],
  stencil: [75, 45],
};
/** Thick vinyl is cut slower: it tears at corners. */
const SLOW_SHARE = 0.6;

/** What is tried first on a vinyl that nobody has cut yet. */
export function getOrdinarySetting(
  { kind }: Pick<Vinyl, 'kind'>,
  { cutterSpeed }: Pick<ShopFigures, 'cutterSpeed'>,
): CutSetting {
  const [forceGrams, bladeDegrees] = ORDINARY[kind];
  const speed = bladeDegrees === 60 ? cutterSpeed * SLOW_SHARE : cutterSpeed;
  return { forceGrams, speedMmPerS: hold('speedMmPerS', speed), passes: 1, bladeDegrees };
}

/** From too little to too much. */
export const TEST_RESULTS = ['shallow', 'hangs', 'clean', 'marks', 'through'] as const;
/**
 * How a test figure came out: not through the vinyl, hanging at its corners, a clean kiss, marking the backing, or
 * through it.
 */
export type TestResult = (typeof TEST_RESULTS)[number];
export type TestCut = { readonly setting: CutSetting; readonly result: TestResult };

/** Without a bound on the other side, how much harder or softer is tried. */
const STEP_FACTOR: Readonly<Record<TestResult, number>> = {
  shallow: 1.3,
  hangs: 1.12,
  clean: 1,
  marks: 0.88,
  through: 0.7,
};
const isTooLittle = (result: TestResult): boolean => result === 'shallow' || result === 'hangs';

export type NextTry =
  | { readonly kind: 'keep'; readonly setting: CutSetting }
  | { readonly kind: 'try'; readonly setting: CutSetting }
  /** The machine gives no more, or there is nothing between too little and too much. */
  | { readonly kind: 'no-room'; readonly remedy: 'second-pass' | 'new-blade' | 'lower-blade' };

/**
 * What follows from the test cuts so far, the last one last: the force half-way between what was too little and what
 * was too much, once there are both; else a step by what came out. Only tries at the last one's speed, passes and blade
 * bound it.
 */
export function proposeSetting(tries: readonly TestCut[]): NextTry | null {
  const last = tries.at(-1);
  if (!last) return null;
  const { setting, result } = last;
  if (result === 'clean') return { kind: 'keep', setting };
  const alike = tries.filter((one) => isAlikeButForce(one.setting, setting));
  const forces = (wanted: (result: TestResult) => boolean) =>
    alike.filter((one) => wanted(one.result)).map((one) => one.setting.forceGrams);
  const tooLittle = Math.max(-Infinity, ...forces(isTooLittle));
  const tooMuch = Math.min(Infinity, ...forces((one) => one === 'marks' || one === 'through'));
  const isBound = Number.isFinite(tooLittle) && Number.isFinite(tooMuch) && tooLittle < tooMuch;
  const wished = isBound ? (tooLittle + tooMuch) / 2 : setting.forceGrams * STEP_FACTOR[result];
  const forceGrams = stepAway(hold('forceGrams', wished), setting.forceGrams, isTooLittle(result));
  if (forceGrams !== null && !alike.some((one) => one.setting.forceGrams === forceGrams))
    return { kind: 'try', setting: { ...setting, forceGrams } };
  if (!isTooLittle(result)) return { kind: 'no-room', remedy: 'lower-blade' };
  return { kind: 'no-room', remedy: setting.passes < SETTING_RANGE.passes.most ? 'second-pass' : 'new-blade' };
}

const isAlikeButForce = (a: CutSetting, b: CutSetting): boolean =>
  a.speedMmPerS === b.speedMmPerS && a.passes === b.passes && a.bladeDegrees === b.bladeDegrees;

export const isSameSetting = (a: CutSetting, b: CutSetting): boolean =>
  isAlikeButForce(a, b) && a.forceGrams === b.forceGrams;

/** At least one step on from where it was; null where the machine's range ends. */
function stepAway(forceGrams: number, was: number, up: boolean): number | null {
  const { step, least, most } = SETTING_RANGE.forceGrams;
  const next = forceGrams === was ? was + (up ? step : -step) : forceGrams;
  const isOn = up ? next > was : next < was;
  return isOn && next >= least && next <= most ? next : null;
}

/** Within the machine's range, in its steps. */
function hold(key: keyof typeof SETTING_RANGE, value: number): number {
  const { least, most, step } = SETTING_RANGE[key];
  return Math.min(most, Math.max(least, Math.round(value / step) * step));
}
