// What a page hands to its screen stands beside it as one JSON text, in a script element that is data: read by the
// browser's own parser. In an attribute, as Astro hands it over, every quote of it would be escaped, and all of it gone
// through letter by letter three times.

import { useMemo, type ComponentType } from 'react';
import type { FrameView } from '../../views/frame';

/** Names that Astro does not see, so that it writes nothing of them. */
const TEXT = Symbol('JSON of the props');
const DRAWN_FROM = Symbol('what the screen’s looks rest on');

/** The JSON of a screen's props; it knows of which, so that a page can't hand over another's. */
export type PageData<Props> = {
  readonly [TEXT]?: string;
  readonly [DRAWN_FROM]?: string | null;
  readonly of?: Props;
};

export function toPageData<Props extends object>(props: Props): PageData<Props> {
  const { frame, ...rest } = props as { readonly frame?: FrameView };
  const text = JSON.stringify(rest);
  if (!frame) return { [TEXT]: text, [DRAWN_FROM]: null };
  const others = text === '{}' ? '}' : `,${text.slice(1)}`;
  return { [TEXT]: `{"frame":${JSON.stringify(frame)}${others}`, [DRAWN_FROM]: tellLooks(frame, text) };
}

/** What only timers count from: without one that runs, nothing that is drawn rests on it. */
const COUNTED_FROM = /"readAtMs":\d+/g;

/** Null where the server draws the time: of a timer, of the day, at a first start. The clock on the wall only the browser draws. */
const tellLooks = (
  { running, nowMs: _nowMs, nowText: _nowText, stamp: _stamp, ...still }: FrameView,
  rest: string,
): string | null =>
  running.length > 0 || !still.shop.confirmed || rest.includes('"nowMs":')
    ? null
    : JSON.stringify(still) + rest.replaceAll(COUNTED_FROM, '');

const ELEMENT_ID = 'page-data';
let textOfPage: string | null = null;

/** In the browser; kept, as what React writes anew of the element is empty. */
const readPage = (): string => (textOfPage ??= document.getElementById(ELEMENT_ID)?.textContent ?? 'null');

/** Nothing in it ends the element. */
const toScriptText = (json: string): string => json.replaceAll('<', '\\u003c');

type PageProps<Props> = { readonly data: PageData<Props> };

/** The screen as an island, one a page: `data` in place of its props. What draws it fills the element for its data. */
export function asPage<Props extends object>(Screen: ComponentType<Props>) {
  function Page({ data }: PageProps<Props>) {
    const given = data[TEXT];
    const props = useMemo(() => JSON.parse(given ?? readPage()) as Props, [given]);
    return (
      <>
        <Screen {...props} />
        <script
          id={ELEMENT_ID}
          type="application/json"
          suppressHydrationWarning
          dangerouslySetInnerHTML={{ __html: '' }}
        />
      </>
    );
  }
  return Object.assign(Page, {
    drawnFrom: ({ data }: PageProps<Props>): string | null => data[DRAWN_FROM] ?? null,
    writeData: ({ data }: PageProps<Props>): string => toScriptText(data[TEXT] ?? 'null'),
  });
}
