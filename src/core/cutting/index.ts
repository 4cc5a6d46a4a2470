// The cutter: its settings and test cuts, what it reads, and how its knife runs.
export * from './cut-setting';
export * from './test-reasons';
export * from './judge-width';
export * from './place-test';
export { FIGURE_CHOICES, FIGURE_RANGE, makeTestFigure, TEST_FIGURES, type FigureChoice } from './test-figure';
export { fitOwnFigure, type OwnFigureProblem } from './own-figure';
export { readHpgl } from './read-hpgl';
export { locateKnife, planKnifeRun, type KnifeRun } from './knife-run';
export { choosePreset, isWornPast, PRESET_USES, type CutPreset, type PresetUse } from './cut-preset';
export { tellCutOff, tellTensCut } from './cut-off';
