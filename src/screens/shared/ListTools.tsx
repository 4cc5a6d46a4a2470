// A long list: its heads sort it, words narrow it, and it comes a page at a time. All of it stands in the address.

import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useRef, type ReactNode } from 'react';
import type { ListPage, ListQuery } from '../../views/list';

type AnyQuery = ListQuery<string>;
/** Besides the query: what else the address says, such as which half of the orders is shown. */
type Others = Readonly<Record<string, string>>;

/** Where the list stands when it is asked for otherwise; what is usual is left out. */
function toHref(query: AnyQuery, others: Others = {}): string {
  const params = new URLSearchParams({
    ...others,
    ...(query.words ? { q: query.words } : {}),
    ...(query.sort ? { sort: query.sort } : {}),
    ...(query.down ? { down: '1' } : {}),
    ...(query.page > 1 ? { page: String(query.page) } : {}),
  });
  return `?${params}`;
}

type SortHeadProps<Sort extends string> = {
  readonly sort: Sort;
  readonly query: ListQuery<Sort>;
  readonly others?: Others;
  readonly right?: boolean;
  readonly children: ReactNode;
};

/** The head of a column that the list can be sorted by: once more turns it round. */
export function SortHead<Sort extends string>({ sort, query, others, right, children }: SortHeadProps<Sort>) {
  const isSorted = query.sort === sort;
  const turned = { ...query, sort, down: isSorted && !query.down, page: 1 };
  return (
    <th
      scope="col"
      className={right ? 'right' : undefined}
      aria-sort={isSorted ? (query.down ? 'descending' : 'ascending') : undefined}
    >
      <a className="sort" href={toHref(turned, others)}>
        {children}
        {isSorted && <span aria-hidden="true">{query.down ? ' ↓' : ' ↑'}</span>}
      </a>
    </th>
  );
}

type ListSearchProps = {
  readonly label: string;
  readonly query: AnyQuery;
  readonly others?: Others;
  /** The list looks as it is typed; see `useListView`. */
  readonly onTyped?: (href: string) => void;
};

const TYPED_PAUSE_MS = 200;

/** Enter looks: a form, so that it works before the page runs. */
export function ListSearch({ label, query, others = {}, onTyped }: ListSearchProps) {
  const pause = useRef<ReturnType<typeof setTimeout>>(undefined);
  const type = (words: string) => {
    clearTimeout(pause.current);
    pause.current = setTimeout(
      () => onTyped?.(toHref({ ...query, words: words.trim(), page: 1 }, others)),
      TYPED_PAUSE_MS,
    );
  };
  const kept = { ...others, ...(query.sort ? { sort: query.sort } : {}), ...(query.down ? { down: '1' } : {}) };
  return (
    <form method="get" role="search" className="list-search">
      <TextField
        size="small"
        type="search"
        name="q"
        label={label}
        defaultValue={query.words}
        onChange={onTyped && ((event) => type(event.target.value))}
        slotProps={{ htmlInput: { maxLength: 80 } }}
      />
      {Object.entries(kept).map(([name, value]) => (
        <input key={name} type="hidden" name={name} value={value} />
      ))}
      <Button type="submit">Find</Button>
      {query.words && <Button href={toHref({ ...query, words: '', page: 1 }, others)}>Show all</Button>}
    </form>
  );
}

type PagerProps = { readonly at: ListPage; readonly query: AnyQuery; readonly others?: Others };

/** Nothing where all fits on one page. */
export function Pager({ at, query, others }: PagerProps) {
  if (at.pages === 1) return null;
  const to = (page: number) => toHref({ ...query, page }, others);
  return (
    <nav className="pager" aria-label="Pages">
      {at.page > 1 && (
        <Button href={to(at.page - 1)} rel="prev">
          Back
        </Button>
      )}
      <span className="soft figures">
        {at.page} of {at.pages}
      </span>
      {at.page < at.pages && (
        <Button href={to(at.page + 1)} rel="next">
          On
        </Button>
      )}
    </nav>
  );
}
