// Offers, what they really cost, and what to buy.
export * from './offer';
export * from './basket';
export * from './price-list';
