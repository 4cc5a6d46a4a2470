// What a piece costs.
export * from './item-cost';
export * from './layer-areas';
export * from './quantity-ladder';
export * from './strip-need';
export type { ArtworkCost } from './cost-lines';
