// The body of a long table: only the rows in sight are drawn, with room kept above and below for the rest. Short ones
// are drawn whole.

import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useRef, useState, type ReactNode } from 'react';

/** Tables of no more rows than this are drawn whole: searching in the page finds all of them. */
const WHOLE_ROWS = 150;
/** What the server draws of a longer one, before anybody has scrolled. */
const FIRST_SIGHT = { width: 1280, height: 1000 } as const;

type Props = {
  readonly count: number;
  readonly columns: number;
  /** Height of the row, px, as near as it can be told. */
  readonly heightOf: (index: number) => number;
  readonly render: (index: number) => ReactNode;
  /** Shown where there are no rows. */
  readonly empty: ReactNode;
};

export function VirtualBody(props: Props) {
  const { count, columns, render, empty } = props;
  if (count === 0)
    return (
      <tbody>
        <tr>
          <td colSpan={columns} className="soft">
            {empty}
          </td>
        </tr>
      </tbody>
    );
  return count <= WHOLE_ROWS ? (
    <tbody>{Array.from({ length: count }, (_, index) => render(index))}</tbody>
  ) : (
    <LongBody {...props} />
  );
}

function LongBody({ count, columns, heightOf, render }: Props) {
  const body = useRef<HTMLTableSectionElement>(null);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => {
    const box = body.current?.getBoundingClientRect();
    if (box) setTop(box.top + window.scrollY);
  }, []);
  const rows = useWindowVirtualizer({
    count,
    estimateSize: heightOf,
    overscan: 10,
    scrollMargin: top,
    initialRect: FIRST_SIGHT,
  });
  const seen = rows.getVirtualItems();
  const above = (seen[0]?.start ?? top) - top,
    below = rows.getTotalSize() - ((seen[seen.length - 1]?.end ?? top) - top);
  const room = (height: number) =>
    height > 0 && (
      <tr aria-hidden style={{ height }}>
        <td colSpan={columns} className="pad-0 bare" />
      </tr>
    );
  return (
    <tbody ref={body}>
      {room(above)}
      {seen.map((row) => render(row.index))}
      {room(below)}
    </tbody>
  );
}
