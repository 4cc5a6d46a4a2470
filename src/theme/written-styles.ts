// Styles that the server wrote into the head, and the browser need not make again.

import createCache, { type EmotionCache } from '@emotion/cache';

/** Emotion's name for it, before the name of each class. */
export const STYLES_KEY = 'css';
/** Of a style element that the server wrote: its key and the names of what stands in it. */
export const WRITTEN = 'data-written';

/** In the browser: a memory of styles that knows those of the page as made. What comes new stands after them. */
export function takeWrittenStyles(): EmotionCache {
  const cache = createCache({ key: STYLES_KEY });
  cache.compat = true;
  for (const element of document.querySelectorAll(`style[${WRITTEN}^="${STYLES_KEY} "]`))
    for (const name of element.getAttribute(WRITTEN)!.split(' ').slice(1)) cache.inserted[name] = true;
  return cache;
}
