// Offers side by side. Lists of suppliers are long: only the rows in sight are drawn, and only their pages asked for.

import { keepPreviousData, useQueries } from '@tanstack/react-query';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, useState } from 'react';
import { dayOf, formatDay, formatMoney } from '../../core/units';
import type { OfferPage, OfferView } from '../../views/offers';
import { callApi, wordsOf } from '../shared/api';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import { Failure } from '../shared/Failure';
import type { DefinedUseQueryResult } from '@tanstack/react-query';
import type { ReactVirtualizer, VirtualItem } from '@tanstack/react-virtual';

export type OfferWish = { readonly words: string; readonly supplierId: number; readonly sort: string };
const ROW_PX = 46;
const PAGE = 60;

export function OfferTable({
  wish,
  first,
  supplierNames,
  onOpen,
  empty,
}: {
  wish: OfferWish;
  first: OfferPage | undefined;
  supplierNames: ReadonlyMap<number, string>;
  onOpen: (offer: OfferView) => void;
  empty: string;
}) {
  const frame = useRef<HTMLDivElement>(null);
  const [total, setTotal] = useState(first?.total ?? 1);
  const rows = useVirtualizer({
    count: total,
    getScrollElement: () => frame.current,
    estimateSize: () => ROW_PX,
    overscan: 12,
    initialRect: { width: 1000, height: 460 },
  });
  const seen = rows.getVirtualItems();
  const numbers = [...new Set([0, ...seen.map((row) => Math.floor(row.index / PAGE))])];
  const pages = useQueries({
    queries: numbers.map((number) => ({
      queryKey: ['offer-page', wish, number],
      placeholderData: keepPreviousData,
      ...(number === 0 && first ? { initialData: first } : {}),
      queryFn: ({ signal }: { signal: AbortSignal }) =>
        callApi<OfferPage>(
          'GET',
          `/api/offers?${new URLSearchParams({ ...wish, supplierId: String(wish.supplierId), offset: String(number * PAGE) }).toString()}`,
          undefined,
          signal,
        ),
    })),
  });
  const asked = JSON.stringify(wish);
  useEffect(() => {
    if (frame.current) frame.current.scrollTop = 0;
  }, [asked]);
  const failed = pages.find((page) => page.isError);
  const known = pages[0]?.data?.total;
  if (known !== undefined && known !== total) setTotal(known);
  const offerAt = (index: number) => pages[numbers.indexOf(Math.floor(index / PAGE))]?.data?.offers[index % PAGE];
  if (failed) return <Failure>{wordsOf(failed.error)}</Failure>;
  if (known === 0)
    return (
      <div className="empty">
        <p>{empty}</p>
      </div>
    );
  return (
    <OfferRows
      frame={frame}
      total={total}
      pages={pages}
      rows={rows}
      seen={seen}
      offerAt={offerAt}
      supplierNames={supplierNames}
      onOpen={onOpen}
    />
  );
}

function OfferCells({ offer, supplierName, onOpen }: { offer: OfferView; supplierName: string; onOpen: () => void }) {
  const settings = useSettings();
  const figure = offer.unit.perM2 ?? offer.unit.perPiece;
  const swatches = offer.parts.flatMap((part) => part.thing?.colourHex ?? []).slice(0, 4);
  return (
    <>
      <span role="cell" className="name">
        {swatches.map((hex, index) => (
          <i key={index} className="swatch" style={{ background: hex }} />
        ))}
        <button type="button" className="quiet" onClick={onOpen}>
          {offer.name}
        </button>
        {offer.parts.some((part) => part.key === null) && <span className="tag">not matched</span>}
      </span>
      <span role="cell" className="soft">
        {supplierName}
      </span>
      <span role="cell" className="figures right">
        {formatMoney(offer.price, settings)}
        {offer.breaks.length > 0 && (
          <span className="soft"> / {formatMoney(offer.breaks[offer.breaks.length - 1]!.price, settings)}</span>
        )}
      </span>
      <span role="cell" className="figures right">
        {figure ? <Why figure={figure} /> : '–'}
        {offer.unit.perPiece && !offer.unit.perM2 && <span className="soft"> a piece</span>}
      </span>
      <span role="cell" className="soft right hide-small">
        {formatDay(dayOf(offer.pricedAtMs, settings.timeZone), settings)}
      </span>
    </>
  );
}

type OfferRowsProps = {
  readonly frame: React.RefObject<HTMLDivElement | null>;
  readonly total: number;
  readonly pages: DefinedUseQueryResult<OfferPage, Error>[];
  readonly rows: ReactVirtualizer<HTMLDivElement, Element>;
  readonly seen: VirtualItem[];
  readonly offerAt: (index: number) => OfferView | undefined;
  readonly supplierNames: ReadonlyMap<number, string>;
  readonly onOpen: (offer: OfferView) => void;
};

function OfferRows({ frame, total, pages, rows, seen, offerAt, supplierNames, onOpen }: OfferRowsProps) {
  return (
    <div
      ref={frame}
      className="offer-frame"
      role="table"
      aria-label="Offers"
      aria-rowcount={total}
      aria-busy={pages.some((page) => page.isPending)}
      tabIndex={0}
    >
      <div style={{ height: rows.getTotalSize() }} className="relative">
        {seen.map((row) => {
          const offer = offerAt(row.index);
          return (
            <div
              key={row.index}
              className="offer-row"
              role="row"
              aria-rowindex={row.index + 1}
              style={{ height: ROW_PX, transform: `translateY(${row.start}px)` }}
            >
              {offer ? (
                <OfferCells
                  offer={offer}
                  supplierName={supplierNames.get(offer.supplierId) ?? ''}
                  onOpen={() => onOpen(offer)}
                />
              ) : (
                <span role="cell" className="soft">
                  …
                </span>
              )}
            </div>
          );
        })}
      </div>
    </div>
  );
}
