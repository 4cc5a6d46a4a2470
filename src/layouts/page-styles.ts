// The styles of a page's components stand in its head, each once, so that the first paint has them. Left to itself
// Emotion makes a memory of its own for every field that is drawn on the server, and writes all of its styles before it:
// a page of a hundred fields has each of them a hundred times.

import createCache, { type EmotionCache } from '@emotion/cache';
import { STYLES_KEY, WRITTEN } from '../theme/written-styles';

/** The memory of one page: what its components need is gathered, and nothing written where they stand. */
export function createPageStyles(): EmotionCache {
  const cache = createCache({ key: STYLES_KEY });
  cache.compat = true;
  return cache;
}

/**
 * What was gathered: styles of the whole page by themselves, those of classes together. Not under Emotion's own mark: it
 * would take them out and put them back, and each time the browser would work out the looks of the whole page anew.
 */
export function writePageStyles({ inserted, registered }: EmotionCache): string {
  const names = Object.keys(inserted);
  const isOfClass = (name: string): boolean => registered[`${STYLES_KEY}-${name}`] !== undefined;
  const ofClasses = names.filter(isOfClass);
  const ofPage = names.filter((name) => !isOfClass(name));
  const write = (label: string, of: readonly string[]): string =>
    `<style ${WRITTEN}="${label} ${of.join(' ')}">${of.map((name) => inserted[name]).join('')}</style>`;
  return [
    ...ofPage.map((name) => write(`${STYLES_KEY}-global`, [name])),
    ...(ofClasses.length > 0 ? [write(STYLES_KEY, ofClasses)] : []),
  ].join('');
}
