// Vinyls, blanks and the shop's own figures.
export * from './vinyl-kinds';
export * from './vinyl-details';
export * from './vinyl';
export * from './blank';
export * from './blank-shape';
export * from './size-names';
export * from './print-area';
export * from './wrap-wall';
export * from './shop-figures';
export * from './filter-vinyls';
export * from './price-level';
