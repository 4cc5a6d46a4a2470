// What a piece costs.
export * from './item-cost';
export * from './layer-areas';
