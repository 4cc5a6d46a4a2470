// Laying pieces out on stock.
export * from './nesting';
export { nest } from './nest';
export { listSheets } from './bins';
export { checkLayout, place, type LayoutFault } from './check-layout';
export { fitCount } from './fit-count';
export { listIslands, outlineTogether } from './prepare-pieces';
export { findLeftovers, fitLargestLeftover, measureShares, type Leftover, type LeftoverKind } from './leftovers';
export { fillSheet, stockOf } from './fill-sheet';
export { attachTag, drawMarks, NO_MARKS, type DrawnMarks, type Marks, type WeedLines } from './marks';
export { chooseStock, type ChosenStock } from './choose-stock';
export { orderCutting } from './cut-order';
export { readCutShape, sortIslands, type CutOutline, type CutShape, type ShapeWish } from './cut-shape';
export { layOutStandard } from './standard-layout';
export { measureLayout } from './measure-layout';
export { makeLoadLayer, placePoints, type LoadPart } from './load-file';
