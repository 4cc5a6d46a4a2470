// Reading drawings and measuring them.
export * from './artwork';
export { readSvg, type ReadOptions } from './read-svg';
export { decodeText } from './decode-text';
export { readDrawing } from './read-drawing';
export { countSegments, SEGMENT_LIMIT } from './flat-layers';
export {
  resolveArtwork,
  type ArtworkSize,
  type ResolvedArtwork,
  type ResolvedLayer,
  type ResolveOptions,
} from './resolve-artwork';
export {
  measureArtwork,
  measureResolved,
  scaleMeasurement,
  countTinyBits,
  getFineLength,
  getWornLayers,
  MEASUREMENT_EDITION,
  type ArtworkMeasurement,
  type LayerMeasurement,
  type ColourOverlap,
} from './measure-artwork';
export { describeLayerFigures, type LayerFigures } from './layer-figures';
export { computeMendingWidth } from './finding-figures';
export { CHIRAL_BELOW, type Chirality } from './chirality';
export { DETAIL_CLASSES, DETAIL_FLOORS, computeSafeWidth, type DetailClass, type DetailFloor } from './detail-floors';
export { drawPicture, drawRough, type ArtworkPicture } from './picture';
export { MM_PER_PX } from './svg-lengths';
export {
  inspectArtwork,
  MOST_LAYERS_THICK,
  type Finding,
  type LayerMaterial,
  type LayerMaterials,
} from './inspect-artwork';
export { prepareLayers } from './prepare/prepare-layers';
export {
  haveOwnLengths,
  proposeFirstSteps,
  STEP_DEFAULTS,
  STEP_KINDS,
  type PrepStep,
  type StepAction,
} from './prepare/steps';
export { findDots, type DotGroup } from './prepare/dots';
export { makeCutLayer, type CutLayer, type CutOptions } from './output/cut-sheet';
export { computeTravel, orderContours, type CutPath } from './output/cut-order';
export { writeSvg } from './output/write-svg';
export { writeDxf } from './output/write-dxf';
export { writeHpgl, STEPS_PER_MM, type HpglOptions } from './output/write-hpgl';
export { TYPEFACES, type Typeface } from './lettering/typefaces';
export { prepareFile, prepareRead, type Prepared, type PreparedFacts } from './prepare-file';
