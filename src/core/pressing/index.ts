// Press plans.
export { planPressing, labelStep, toPressInput, type PressPlan } from './press-plan';
export { listPressAmounts, PRESS_FIGURES, type PressAmounts } from './press-amounts';
export { findStepCautions, type PressCaution } from './press-cautions';
export { listFittingVinyls, type PressProblem } from './safe-window';
export * from './press-recipe';
export { compareSchools, SCHOOL_OPTIONS, type SchoolChange, type SchoolSwitch } from './compare-schools';
export type { StonesToSet } from './set-stones';
export { orderPressRun, tellPace, type PressRun } from './press-run';
export { chooseOwnTemperature } from './own-press';
export { hasFailed, LOOK_KINDS, sumLooks, type LookKind, type LooksSum, type PressLook } from './press-looks';
export { compareRuns, planHotterPeel } from './hotter-peel';
export { listApplyParts, type ApplyPart, type PressStep } from './press-step';
