// Where on a blank an artwork lies: how wide on each size, how far from what, drawn to scale, and how to find it by hand.
export type { BlankOutline } from './blank-outline';
export {
  findClear,
  findOverlapping,
  placeArtwork,
  type ArtworkToPlace,
  type PlacedArtwork,
  type Placing,
  type PlacingBlank,
  type PlacingFault,
  type Shift,
} from './place-artwork';
export { listPlacingSteps, type PlacingStep } from './placing-steps';
export { proposeWidths, shareWidths, type ProposedWidth, type WantedWidth } from './propose-widths';
export { measureSize, shapeOf } from './size-measures';
export { SPOTS, type Spot } from './spot-names';
export { guessSpot, SPOTS_OF } from './spots';
export { listGlueMarks, tileGuide, TILE_OVERLAP_MM, type GuideTile } from './tile-guide';
export { bendLayer, bendPoint, planBend, planBendOf, spaceSlits, tellSag, type Bend } from './wrap';
