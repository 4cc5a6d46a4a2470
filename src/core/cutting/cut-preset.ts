// Settings kept under a name: which one a load is begun with, and whether the blade has worn past it.

import { FINE_BELOW_MM } from '../artwork';
import type { CutSetting } from './cut-setting';

/** What a setting is good for: all there is, letters and shapes, or lace and thin strokes. */
export const PRESET_USES = ['everything', 'bold', 'fine'] as const;
export type PresetUse = (typeof PRESET_USES)[number];

export type CutPreset = {
  readonly name: string;
  readonly use: PresetUse;
  readonly setting: CutSetting;
  /** What the blade had cut when it was kept. */
  readonly bladeMetres: number;
  readonly savedAtMs: number;
};

/** A blade wears so that its setting is looked at again after so much, metres. */
const RECHECK_METRES = 100;

/**
 * For a load whose finest detail is so thin, mm (null: nobody measured it): the latest for its use, else the latest for
 * everything. None for another use: what is right for letters may tear lace.
 */
export function choosePreset<Preset extends CutPreset>(
  presets: readonly Preset[],
  finestMm: number | null,
): Preset | null {
  const use: PresetUse = finestMm !== null && finestMm < FINE_BELOW_MM ? 'fine' : 'bold';
  const latest = [...presets].sort((a, b) => b.savedAtMs - a.savedAtMs);
  return latest.find((preset) => preset.use === use) ?? latest.find((preset) => preset.use === 'everything') ?? null;
}

/** The blade has cut so much since that the setting is to be looked at again; a fresh blade too. */
export const isWornPast = ({ bladeMetres }: Pick<CutPreset, 'bladeMetres'>, metresNow: number): boolean =>
  metresNow - bladeMetres > RECHECK_METRES || metresNow < bladeMetres;
