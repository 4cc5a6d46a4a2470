// Points, curves, polygons and boxes.
export * from './matrix';
export * from './contour';
export * from './polygon';
export * from './box';
