// Screens become HTML in one go, and are put into the page when Astro has written all else of it. Astro's own renderer
// calls each screen twice (once to see whether it is React's) and writes it piece by piece into a stream, to read that
// stream to its end; and what it gets it goes through letter by letter, for a number that nothing here asks for. Nothing
// on a page is waited for, so all of that is time lost: a third of that of a long page.

import { createElement, type ComponentType } from 'react';
import { renderToString } from 'react-dom/server';

/** The page that is written; Astro makes one for each request. */
type Rendering = { readonly result: { readonly request: Request } };

const screensOf = new WeakMap<Request, string[]>();

const placeOf = (number: number): string => `<!--screen ${number}-->`;

/** The page with its screens where Astro left their places. */
export function putScreensIn(page: string, request: Request): string {
  const screens = screensOf.get(request) ?? [];
  return screens.reduce((text, screen, number) => text.replace(placeOf(number), () => screen), page);
}

export default {
  // The name that Astro knows React's islands by.
  name: '@astrojs/react',
  check: (): Promise<boolean> => Promise.resolve(true),
  renderToStaticMarkup(
    this: Rendering,
    screen: ComponentType,
    props: object,
    slots: object,
  ): Promise<{ attrs: { prefix: string }; html: string }> {
    if (Object.keys(slots).length > 0)
      throw new TypeError('An island gets data only: what stands in it is not rendered');
    const { request } = this.result;
    const screens = screensOf.get(request) ?? [];
    screensOf.set(request, screens);
    const number = screens.length;
    // Ids of one island are not those of another; the browser is told, and counts alike.
    const prefix = `r${number}`;
    screens.push(renderToString(createElement(screen, props), { identifierPrefix: prefix }));
    return Promise.resolve({ attrs: { prefix }, html: placeOf(number) });
  },
};
