// This window of the shop, as the server and the browser's other windows know it.

const NAME = 'window';
const CHANGED = 'chiral-changed';

/** A key for one thing that is to be created, or a window. */
export const makeKey = (): string =>
  Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) => byte.toString(16).padStart(2, '0')).join('');

/** Goes with every request: the server takes turns between windows. */
export function windowHeaders(): Readonly<Record<string, string>> {
  let name = sessionStorage.getItem(NAME);
  if (!name) sessionStorage.setItem(NAME, (name = makeKey()));
  return { 'Chiral-Window': name };
}

/** After each change that went through: other windows are told. */
export const tellChange = (): void => void window.dispatchEvent(new Event(CHANGED));

/** @returns ends it */
export function onOwnChange(run: () => void): () => void {
  window.addEventListener(CHANGED, run);
  return () => window.removeEventListener(CHANGED, run);
}
