// What was typed before the page ran: the server's form stands there at once, and a quick hand does not wait for it to
// answer.

/**
 * Tells React's forms what was typed, chosen and ticked in the server's fields before they were taken over. Called once,
 * when the page starts to run and before anything is drawn again: a field drawn from its form's first value would lose
 * it.
 */
export function takeTypedEarly(root: ParentNode): void {
  for (const field of root.querySelectorAll<HTMLInputElement | HTMLTextAreaElement>(
    'input:not([type=checkbox], [type=radio], [type=file]), textarea',
  ))
    typeAgain(field);
  for (const choice of root.querySelectorAll('select')) if (isChosenEarly(choice)) tellChange(choice);
  for (const field of root.querySelectorAll<HTMLInputElement>('input[type=file]'))
    if (field.files?.length) tellChange(field);
  for (const box of root.querySelectorAll<HTMLInputElement>('input[type=checkbox], input[type=radio]')) tickAgain(box);
}

/**
 * React ignores a value it already saw, so the field goes back to its first value before the typed one is put in past
 * React, as a key press would.
 */
function typeAgain(field: HTMLInputElement | HTMLTextAreaElement): void {
  const typed = field.value;
  if (typed === field.defaultValue) return;
  field.value = field.defaultValue;
  const kind = field instanceof HTMLTextAreaElement ? HTMLTextAreaElement : HTMLInputElement;
  Object.getOwnPropertyDescriptor(kind.prototype, 'value')!.set!.call(field, typed);
  field.dispatchEvent(new Event('input', { bubbles: true }));
}

/** Of radios the one that was chosen tells of the other too. */
function tickAgain(box: HTMLInputElement): void {
  if (box.checked === box.defaultChecked || (box.type === 'radio' && !box.checked)) return;
  box.checked = box.defaultChecked;
  box.click();
}

function isChosenEarly({ options, selectedIndex }: HTMLSelectElement): boolean {
  const first = [...options].findIndex((option) => option.defaultSelected);
  return selectedIndex !== Math.max(0, first);
}

const tellChange = (field: Element) => field.dispatchEvent(new Event('change', { bubbles: true }));
