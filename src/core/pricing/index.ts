// What to ask, and what it leaves.
export * from './price';
