// Cutting and weeding times.
export * from './cut-and-weed-time';
export * from './learn-cutting';
