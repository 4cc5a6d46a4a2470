// Points, curves, polygons and boxes.
export * from './matrix';
export * from './contour';
export * from './flatten';
export * from './polygon';
export * from './polyline';
export * from './box';
export * from './scan-lines';
export { Calliper, callipersOf, findThinGaps, findThinStrokes } from './thin-places';
export type { ThinPlace } from './thin-place';
export { ShapeMemory, type Shift } from './shape-memory';
