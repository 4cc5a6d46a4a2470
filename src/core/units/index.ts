// Measures, money, figures and how they are shown.
export * from './quantity';
export * from './result';
export * from './apportion';
export * from './figure';
export * from './format';
export * from './group';
export * from './major';
export * from './day';
export * from './tolerance';
export * from './read-number';
export * from './scale-money';
