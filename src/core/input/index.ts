// What may be entered.
export * from './inputs';
export { prepSteps } from './steps-input';
export * from './stock-inputs';
export { channelInput } from './channel-input';
