// Reading drawings and measuring them.
export * from './artwork';
export { readSvg } from './read-svg';
export { SEGMENT_LIMIT } from './flat-layers';
export { resolveArtwork, type ArtworkSize, type ResolvedArtwork, type ResolvedLayer, type ResolveOptions } from './resolve-artwork';
export { measureArtwork, measureResolved, scaleMeasurement, countTinyBits, MEASUREMENT_EDITION, type ArtworkMeasurement, type LayerMeasurement, type ColourOverlap } from './measure-artwork';
export { CHIRAL_BELOW, type Chirality } from './chirality';
export { DETAIL_CLASSES, DETAIL_FLOORS, computeSafeWidth, type DetailClass, type DetailFloor } from './detail-floors';
export { drawPicture, type ArtworkPicture } from './picture';
export { MM_PER_PX } from './svg-lengths';
