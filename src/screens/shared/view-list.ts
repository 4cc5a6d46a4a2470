// The views in the order of work, each with its digit.

export type ViewName =
  'today' | 'orders' | 'artwork' | 'items' | 'cut-sheets' | 'bench' | 'shelf' | 'trials' | 'books' | 'shop';
export type ViewEntry = {
  readonly name: ViewName;
  readonly label: string;
  readonly href: string;
  readonly digit: number;
  readonly gapBefore: boolean;
};

const view = (name: ViewName, label: string, digit: number, gapBefore = false, href = `/${name}`): ViewEntry => ({
  name,
  label,
  href,
  digit,
  gapBefore,
});

export const VIEWS: readonly ViewEntry[] = [
  view('today', 'Today', 1, false, '/'),
  view('orders', 'Orders', 2, true),
  view('artwork', 'Artwork', 3),
  view('items', 'Items', 4),
  view('cut-sheets', 'Cut sheets', 5),
  view('bench', 'Bench', 6, false, '/bench/cut'),
  view('shelf', 'Shelf', 7, true),
  view('trials', 'Trials', 8),
  view('books', 'Books', 9, true),
  view('shop', 'Shop', 0),
];
