// Screens become HTML in one go, and are put into the page when Astro has written all else of it. Astro's own renderer
// calls each screen twice (once to see whether it is React's) and writes it piece by piece into a stream, to read that
// stream to its end; and what it gets it goes through letter by letter, for a number that nothing here asks for. Nothing
// on a page is waited for, so all of that is time lost: a third of that of a long page.

import { CacheProvider } from '@emotion/react';
import { createElement, type ComponentType } from 'react';
import { renderToString } from 'react-dom/server';
import { drawOrKeep, type DrawnScreen } from './kept-screens';
import { createPageStyles, writePageStyles } from './page-styles';

/** The page that is written; Astro makes one for each request. */
type Rendering = { readonly result: { readonly request: Request } };

/** A screen that knows what it is drawn from, and has its data beside it, in a script element that is its last. */
export type PageScreen<Props> = ComponentType<Props> & {
  /** All that its looks rest on; null where that is another each time. */
  readonly drawnFrom: (props: Props) => string | null;
  /** What stands in that element. */
  readonly writeData: (props: Props) => string;
};

const drawnFor = new WeakMap<Request, DrawnScreen[]>();

const placeOf = (number: number): string => `<!--screen ${number}-->`;

/** The page with its screens where Astro left their places, and their styles in its head. */
export function putScreensIn(page: string, request: Request): string {
  const screens = drawnFor.get(request) ?? [];
  const styles = [...new Set(screens.map((screen) => screen.styles))].join('');
  return screens
    .reduce((text, { html }, number) => text.replace(placeOf(number), () => html), page)
    .replace('</head>', () => `${styles}</head>`);
}

function draw(screen: ComponentType<object>, props: object, prefix: string): DrawnScreen {
  const styles = createPageStyles();
  const drawing = createElement(CacheProvider, { value: styles }, createElement(screen, props));
  return { html: renderToString(drawing, { identifierPrefix: prefix }), styles: writePageStyles(styles) };
}

function putDataIn(html: string, data: string): string {
  const end = html.lastIndexOf('</script>');
  return html.slice(0, end) + data + html.slice(end);
}

export default {
  // The name that Astro knows React's islands by.
  name: '@astrojs/react',
  check: (): Promise<boolean> => Promise.resolve(true),
  renderToStaticMarkup(
    this: Rendering,
    screen: PageScreen<object>,
    props: object,
    slots: object,
  ): Promise<{ attrs: { prefix: string }; html: string }> {
    if (Object.keys(slots).length > 0)
      throw new TypeError('An island gets data only: what stands in it is not rendered');
    const { request } = this.result;
    const screens = drawnFor.get(request) ?? [];
    drawnFor.set(request, screens);
    const number = screens.length;
    // Ids of one island are not those of another; the browser is told, and counts alike.
    const prefix = `r${number}`;
    const from = screen.drawnFrom(props);
    const { html, styles } = drawOrKeep(screen, from === null ? null : `${prefix} ${from}`, () =>
      draw(screen, props, prefix),
    );
    screens.push({ html: putDataIn(html, screen.writeData(props)), styles });
    return Promise.resolve({ attrs: { prefix }, html: placeOf(number) });
  },
};
