// What may be entered.
export * from './inputs';
export {
  nameMatch,
  feedColumnsInput,
  askOrderInput,
  customerInput,
  dueDay,
  linesChange,
  moveInput,
  orderChange,
  orderInput,
  ordersMove,
  termsInput,
  paymentInput,
  proofApproval,
  readBackInput,
  stallAsk,
  stallInput,
  textsInput,
} from './order-inputs';
export { itemInput, placingsInput, widthMm } from './item-inputs';
export * from './stock-inputs';
export { planInput, planVersion } from './plan-input';
export { nestInput } from './nest-input';
export { lookInput, presetInput, recipeChange } from './recipes-input';
export {
  floorInput,
  ladderInput,
  ladderKeepInput,
  ladderStepInput,
  laterInput,
  seenInput,
  sideClockInput,
  sideInput,
  sideSheetInput,
} from './trial-input';
export { channelInput } from './channel-input';
export { cutSavedInput, cutSheetInput, cutSheetVersion } from './cut-sheet-input';
export { loadCardInput } from './load-card-input';
export { cutStepInput, cutterInput, handSettingInput, pressInput } from './cutting-input';
