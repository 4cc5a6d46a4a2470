// The first thing that somebody does on a page: what only answers to somebody is fetched with it, or when a hand comes
// near.

/** Something is pressed, typed or reached with Tab. */
export const DEEDS = ['pointerdown', 'keydown', 'focusin'] as const;
/** A hand comes near: it moves the pointer, scrolls, brings a file. */
export const NEARINGS = [
  ...DEEDS,
  'pointermove',
  'touchstart',
  'input',
  'wheel',
  'scroll',
  'dragenter',
  'paste',
] as const;

/**
 * @param run called once, with the first of them
 * @returns stops waiting
 */
export function onFirst(events: readonly string[], run: () => void): () => void {
  const options = { capture: true, passive: true } as const;
  const stop = () => events.forEach((event) => removeEventListener(event, go, options));
  const go = () => {
    stop();
    run();
  };
  events.forEach((event) => addEventListener(event, go, options));
  return stop;
}
