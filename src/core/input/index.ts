// What may be entered.
export * from './inputs';
export { itemDetails, placement, widthMm } from './item-inputs';
export { prepSteps } from './steps-input';
export * from './stock-inputs';
export { planInput, planVersion } from './plan-input';
export { nestInput } from './nest-input';
export { channelInput } from './channel-input';
export { cutSavedInput, cutSheetInput, cutSheetVersion, marksInput } from './cut-sheet-input';
export { loadCardInput } from './load-card-input';
