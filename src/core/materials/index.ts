// Vinyls, blanks and the shop's own figures.
export * from './vinyl';
export * from './blank';
export * from './shop-figures';
