// Offers, what they really cost, and what to buy.
export * from './offer';
export * from './basket';
export * from './list-columns';
export * from './price-list';
export type { BasketOrder } from './basket-types';
export type { Basket } from './basket-types';
