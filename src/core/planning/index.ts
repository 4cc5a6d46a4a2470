// Whether and when it pays: to begin with, and to buy more.
export * from './kit';
export * from './break-even';
export * from './worth-it';
export * from './compare-candidates';
export * from './compare-item';
