// Reading drawings and measuring them.
export * from './artwork';
export { readSvg } from './read-svg';
export { decodeText } from './decode-text';
export { readDrawing } from './read-drawing';
export { countSegments } from './flat-layers';
export { measureOwnWidth, resolveArtwork, type ResolvedArtwork } from './resolve-artwork';
export { measureArtwork, measureResolved, scaleMeasurement, getFineLength, getWornLayers } from './measure-artwork';
export { describeLayerFigures } from './layer-figures';
export { computeMendingWidth } from './finding-figures';
export { classifyDesign, DESIGN_CLASSES, FINE_BELOW_MM, findFinestMm, type DesignClass } from './design-class';
export { DETAIL_FLOORS, computeSafeWidth, judgeDetail, type DetailClass, type DetailFloor } from './detail-floors';
export { countWeeded, listWeedGroups, planWeeding } from './weeding-path';
export { printPicture, type PictureDress } from './print-picture';
export { drawPicture, drawRough, type ArtworkPicture } from './picture';
export { isSeam } from './stacking';
export { inspectArtwork, type Finding, type LayerMaterial, type LayerMaterials } from './inspect-artwork';
export { prepareLayers, START_WIDTH_MM } from './prepare/prepare-layers';
export {
  haveOwnLengths,
  proposeFirstSteps,
  STEP_DEFAULTS,
  STEP_KINDS,
  type PrepStep,
  type StepAction,
} from './prepare/steps';
export type { DotGroup } from './prepare/dots';
export { listCutLines, makeCutLayer, type CutLayer } from './output/cut-sheet';
export { computeTravel, orderContours, type CutPath } from './output/cut-order';
export { readCutLayer, type CutLayerWish } from './output/read-cut-layer';
export { writeSvg } from './output/write-svg';
export { writeDxf } from './output/write-dxf';
export { writeHpgl, STEPS_PER_MM, type HpglOptions } from './output/write-hpgl';
export { TYPEFACES } from './lettering/typefaces';
export { prepareFile, prepareRead, prepareText, type Prepared } from './prepare-file';
export { checkPrepared, type ArtworkChecks, type KeptChecks } from './check-prepared';
export { makePieceMemory } from './measure-thinness';
export {
  MEASUREMENT_EDITION,
  OLDEST_EDITION_SHOWN,
  type ArtworkMeasurement,
  type LayerMeasurement,
} from './measurement';
export type { Typeface } from './lettering/typefaces';
export type { LayerFigures } from './layer-figures';
export {
  keyOfLettering,
  LETTER_CASES,
  LETTERING_KINDS,
  PLAIN_LETTERING,
  type Lettering,
  type LetteringFit,
} from './lettering/lettering';
export type { FitProblem } from './lettering/fit-lettering';
