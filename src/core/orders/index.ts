// Parts, pieces, orders, and what they really took.
export * from './part';
export * from './order';
export * from './quoted-and-real';
export * from './quote';
export * from './order-sums';
export * from './cut-sheet';
export * from './cut-job';
export * from './load-stock';
export * from './book-load';
export * from './order-stage';
export * from './payments';
export * from './read-back';
export * from './proof';
export * from './change-lines';
export * from './runs';
export * from './part-groups';
export * from './terms';
export { sumSpoilage } from './spoilage-cost';
