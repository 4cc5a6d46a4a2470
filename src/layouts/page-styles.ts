// The styles of a page's components stand in its head, each once, so that the first paint has them. Left to itself
// Emotion makes a memory of its own for every field that is drawn on the server, and writes all of its styles before it:
// a page of a hundred fields has each of them a hundred times.

import createCache, { type EmotionCache } from '@emotion/cache';

/** Emotion's own name for it: its memory in the browser takes up what stands under this one. */
const KEY = 'css';

/** The memory of one page: what its components need is gathered, and nothing written where they stand. */
export function createPageStyles(): EmotionCache {
  const cache = createCache({ key: KEY });
  cache.compat = true;
  return cache;
}

/** What was gathered, as Emotion in the browser finds it again: styles of the whole page by themselves, those of classes together. */
export function writePageStyles({ inserted, registered }: EmotionCache): string {
  const names = Object.keys(inserted);
  const isOfClass = (name: string): boolean => registered[`${KEY}-${name}`] !== undefined;
  const ofClasses = names.filter(isOfClass);
  const ofPage = names.filter((name) => !isOfClass(name));
  const write = (label: string, of: readonly string[]): string =>
    `<style data-emotion="${label} ${of.join(' ')}">${of.map((name) => inserted[name]).join('')}</style>`;
  return [
    ...ofPage.map((name) => write(`${KEY}-global`, [name])),
    ...(ofClasses.length > 0 ? [write(KEY, ofClasses)] : []),
  ].join('');
}
