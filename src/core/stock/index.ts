// What is on the shelf: things, lots, the ledger, rolls and offcuts.
export * from './things';
export * from './ledger';
export * from './roll-length';
export * from './offcuts';
export * from './supplies';
export * from './use';
export * from './prices';
export { allocate } from './allocate';
