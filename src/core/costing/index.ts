// What a piece costs.
export * from './item-cost';
export * from './layer-areas';
export * from './quantity-ladder';
export * from './strip-need';
export * from './packing';
export { measurePacking } from './measure-packing';
export * from './item-plan';
export * from './extra-lines';
export * from './own-minutes';
export * from './joint-products';
export * from './cost-change';
export { believeFailure, type Evidence } from './failure';
export { findMaterials, type MaterialLists } from './find-materials';
export { getBladeMetre, getMatLoad, getPressWear, type WearPrices } from './wear-line';
export { computePressSecond } from './work-lines';
export { computeTapeCost } from './material-lines';
export * from './made-layers';
