// Points, curves, polygons and boxes.
export * from './matrix';
export * from './contour';
export * from './polygon';
export * from './box';
export { findThinGaps, findThinStrokes, type ThinPlace, type Thinness } from './thin-places';
