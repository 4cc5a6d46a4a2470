// What may be entered.
export * from './inputs';
export { prepSteps } from './steps-input';
