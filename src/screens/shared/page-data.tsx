// What a page hands to its screen goes as one JSON text: read by the browser's own parser, and a third of the size of
// attributes that hold every value by itself.

import { useMemo, type ComponentType } from 'react';

/** The JSON of a screen's props; it knows of which, so that a page can't hand over another's. */
export type PageData<Props> = string & { readonly of?: Props };

export const toPageData = <Props extends object>(props: Props): PageData<Props> => JSON.stringify(props);

/** The screen as an island: `data` in place of its props. */
export function asPage<Props extends object>(Screen: ComponentType<Props>) {
  return function Page({ data }: { readonly data: PageData<Props> }) {
    const props = useMemo(() => JSON.parse(data) as Props, [data]);
    return <Screen {...props} />;
  };
}
