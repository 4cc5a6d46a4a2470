// Trials: which setting cuts a vinyl clean, and how far it can be trusted.
export * from './believe-force';
export * from './detail-floor';
export * from './figure-row';
export * from './fine-design';
export * from './ladder';
export * from './side-by-side';
export * from './trust';
