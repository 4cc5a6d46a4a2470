// Reading drawings and measuring them.
export * from './artwork';
export { readSvg } from './read-svg';
export { resolveArtwork, SEGMENT_LIMIT, type ArtworkSize, type ResolvedArtwork } from './resolve-artwork';
export { measureArtwork, measureResolved, scaleMeasurement, countTinyBits, type ArtworkMeasurement, type LayerMeasurement } from './measure-artwork';
export { drawPicture, type ArtworkPicture } from './picture';
export { MM_PER_PX } from './svg-lengths';
