// What was typed before the page ran: the server's form stands there at once, and a quick hand does not wait for it to
// answer.

/**
 * Tells React's forms what was typed into the server's fields before they were taken over. Called once, when the page
 * starts to run and before anything is drawn again: a field drawn from its form's first value would lose it. React
 * ignores a value it already saw, so the field goes back to its first value before the typed one is put in past React,
 * as a key press would.
 */
export function takeTypedEarly(root: ParentNode): void {
  for (const field of root.querySelectorAll<HTMLInputElement | HTMLTextAreaElement>(
    'input:not([type=checkbox], [type=radio], [type=file]), textarea',
  )) {
    const typed = field.value;
    if (typed === field.defaultValue) continue;
    field.value = field.defaultValue;
    const kind = field instanceof HTMLTextAreaElement ? HTMLTextAreaElement : HTMLInputElement;
    Object.getOwnPropertyDescriptor(kind.prototype, 'value')!.set!.call(field, typed);
    field.dispatchEvent(new Event('input', { bubbles: true }));
  }
}
