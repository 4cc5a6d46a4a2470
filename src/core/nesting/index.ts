// Laying pieces out on stock.
export * from './nesting';
export { nest } from './nest';
export { checkLayout, place, type LayoutFault, type CheckOptions } from './check-layout';
export { fitCount, MOST_FITTING } from './fit-count';
export { outlineTogether } from './prepare-pieces';
export { fitLargestRest, measureShares } from './rest';
