// Offers, what they really cost, and what to buy.
export * from './offer';
export * from './basket';
export * from './list-columns';
export * from './price-list';
