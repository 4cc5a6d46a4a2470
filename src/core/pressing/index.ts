// How a piece is pressed or applied.
export * from './press-plan';
export * from './press-run';
