// Whether a test cut comes before a load, and why.

import { isSameSetting, type CutSetting } from './cut-setting';

export type TestReason = 'new-setting' | 'new-lot' | 'other-blade' | 'worn-blade';

/** The blade that is in use, as the book has it. */
export type BladeWear = { readonly supplyId: number; readonly metres: number; readonly lifeMetres: number };
/** The last test cut on this vinyl that came out clean. */
export type CleanTest = {
  readonly setting: CutSetting;
  /** The blade it was cut with; null where none was on the book. */
  readonly bladeId: number | null;
  /** What that had cut by then. */
  readonly bladeMetres: number;
};

/** From this share of its life on a blade is not trusted without a look. */
const WORN_SHARE = 0.9;
/** After so much more of its life the last test says little. */
const WORN_SINCE_SHARE = 0.2;

/** `lastClean`: of this vinyl, whatever lot; `lotTested`: whether one of this lot came out clean. */
export function listTestReasons({
  setting,
  blade,
  lastClean,
  lotTested,
}: {
  readonly setting: CutSetting;
  readonly blade: BladeWear | null;
  readonly lastClean: CleanTest | null;
  readonly lotTested: boolean;
}): readonly TestReason[] {
  const reasons: TestReason[] = [];
  if (!lastClean || !isSameSetting(lastClean.setting, setting)) reasons.push('new-setting');
  if (!lotTested) reasons.push('new-lot');
  if (blade && lastClean && lastClean.bladeId !== null && lastClean.bladeId !== blade.supplyId)
    reasons.push('other-blade');
  if (blade && isWorn(blade, lastClean)) reasons.push('worn-blade');
  return reasons;
}

function isWorn({ supplyId, metres, lifeMetres }: BladeWear, lastClean: CleanTest | null): boolean {
  if (metres >= lifeMetres * WORN_SHARE) return true;
  // One of that kind that has cut less since than then is a new one.
  if (lastClean?.bladeId !== supplyId) return false;
  return Math.abs(metres - lastClean.bladeMetres) >= lifeMetres * WORN_SINCE_SHARE;
}
