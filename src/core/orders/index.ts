// Parts, pieces, orders, and what they really took.
export * from './part';
export * from './order';
export * from './quote';
export * from './cut-sheet';
