// What may be entered.
export * from './inputs';
