// What to ask, and what it leaves.
export * from './price';
export * from './channel';
export * from './channel-price';
