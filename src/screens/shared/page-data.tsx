// What a page hands to its screen stands beside it as one JSON text, in a script element that is data: read by the
// browser's own parser. In an attribute, as Astro hands it over, every quote of it would be escaped, and all of it gone
// through letter by letter three times.

import { useMemo, type ComponentType } from 'react';

/** A name that Astro does not see, so that it writes nothing of it. */
const TEXT = Symbol('JSON of the props');

/** The JSON of a screen's props; it knows of which, so that a page can't hand over another's. */
export type PageData<Props> = { readonly [TEXT]?: string; readonly of?: Props };

export const toPageData = <Props extends object>(props: Props): PageData<Props> => ({ [TEXT]: JSON.stringify(props) });

const ELEMENT_ID = 'page-data';
let textOfPage: string | null = null;

/** In the browser; kept, as what React writes anew of the element is empty. */
const readPage = (): string => (textOfPage ??= document.getElementById(ELEMENT_ID)?.textContent ?? 'null');

/** Nothing in it ends the element. */
const toScriptText = (json: string): string => json.replaceAll('<', '\\u003c');

/** The screen as an island, one a page: `data` in place of its props. */
export function asPage<Props extends object>(Screen: ComponentType<Props>) {
  return function Page({ data }: { readonly data: PageData<Props> }) {
    const given = data[TEXT];
    const props = useMemo(() => JSON.parse(given ?? readPage()) as Props, [given]);
    return (
      <>
        <Screen {...props} />
        <script
          id={ELEMENT_ID}
          type="application/json"
          suppressHydrationWarning
          dangerouslySetInnerHTML={{ __html: given === undefined ? '' : toScriptText(given) }}
        />
      </>
    );
  };
}
