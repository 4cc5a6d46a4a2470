// What a step of a load is shown from. Types only.

import type { CutSetting } from '../../../core/cutting';
import type { CutterView, LoadSheetView, SheetCutView } from '../../../views/load';
import type { LoadAtCutter } from './use-load';

/** All that a step's panel is made from. */
export type StepProps = {
  readonly at: LoadAtCutter;
  readonly plan: LoadSheetView;
  readonly now: SheetCutView;
  readonly cutter: CutterView | null;
  /** What is tried or cut with next. */
  readonly setting: CutSetting;
  readonly onSetting: (setting: CutSetting) => void;
  /** What is cut. */
  readonly vinyl: { readonly id: number; readonly name: string };
};
