// The fine design that confirms a setting: a vinyl can pass the figure and fail the lace.

import { SETTING_RANGE, type CutSetting, type PresetUse } from '../cutting';

/** Clean; still hanging somewhere; threads torn when it was weeded; come off its backing while it was cut. */
export const FINE_RESULTS = ['clean', 'hangs', 'tears', 'lifts'] as const;
export type FineResult = (typeof FINE_RESULTS)[number];

/** What a kept setting is good for, by how the fine design came out; null before it was cut. */
export const suggestUse = (fine: FineResult | null): PresetUse => (fine === 'clean' ? 'everything' : 'bold');

const SLOWER = 0.6;
/** What is tried where the fine design failed: slower for what tears, lifts or hangs; null at the slowest. */
export function proposeForFine(setting: CutSetting, fine: FineResult): CutSetting | null {
  if (fine === 'clean') return null;
  const { least, step } = SETTING_RANGE.speedMmPerS;
  const speedMmPerS = Math.max(least, Math.round((setting.speedMmPerS * SLOWER) / step) * step);
  return speedMmPerS < setting.speedMmPerS ? { ...setting, speedMmPerS } : null;
}
