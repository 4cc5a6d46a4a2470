// Stock: what lies on the shelf, what of it is free, offcuts to scale, and the ledger behind it.

import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { keepPreviousData, useInfiniteQuery, useQuery, useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useState } from 'react';
import { formatInstant, type Figure, formatShare } from '../../core/units';
import type { FittingOffcut, LotView, StockPage, StockRow, ThingView } from '../../views/stock';
import type { FrameView } from '../../views/frame';
import { CAUSE_WORDS } from '../../wording/stock';
import { callApi, wordsOf } from '../shared/api';
import { Frame } from '../shared/Frame';
import { useKeys } from '../shared/keys';
import { useSettings } from '../shared/settings';
import { VirtualBody } from '../shared/VirtualBody';
import { Why } from '../shared/Why';
import { WidthField } from '../artwork/WidthField';
import { describeLot, formatAmount, formatLine } from './measures';
import { OffcutShapeView } from './OffcutShapeView';
import { ShelfTabs } from './ShelfTabs';
import { useThings } from './use-things';

/** Height of a thing's own line, and of each of its lots. */
const HEAD_PX = 40,
  LOT_PX = 31;
const LotDialog = lazy(() => import('./LotDialog'));
const MinimumDialog = lazy(() => import('./MinimumDialog'));
const ReceiveDialog = lazy(() => import('./ReceiveDialog'));
type Open =
  | { readonly kind: 'lot'; readonly lot: LotView; readonly thing: ThingView }
  | { readonly kind: 'receive' }
  | { readonly kind: 'minimum'; readonly row: StockRow };

export function StockScreen({ frame, view }: { frame: FrameView; view: StockPage }) {
  return (
    <Frame frame={frame} current="shelf">
      <Stock initial={view} />
    </Frame>
  );
}

function Stock({ initial }: { initial: StockPage }) {
  const settings = useSettings();
  const client = useQueryClient();
  const [open, setOpen] = useState<Open | null>(null);
  const [search, setSearch] = useState('');
  const words = search.trim();
  const found = useInfiniteQuery({
    queryKey: ['stock', words],
    initialPageParam: 0,
    placeholderData: keepPreviousData,
    ...(words === '' ? { initialData: { pages: [initial], pageParams: [0] } } : {}),
    queryFn: ({ signal, pageParam }) =>
      callApi<StockPage>(
        'GET',
        `/api/stock?${new URLSearchParams({ words, offset: String(pageParam) }).toString()}`,
        undefined,
        signal,
      ),
    getNextPageParam: (last) =>
      last.offset + last.rows.length < last.total ? last.offset + last.rows.length : undefined,
  });
  const stock = found.data?.pages[0] ?? initial;
  useKeys('Stock', [{ keys: 'n', shown: 'N', does: 'take in a new lot', run: () => setOpen({ kind: 'receive' }) }]);
  const { short } = stock;
  const shown = (found.data?.pages ?? [initial]).flatMap((page) => page.rows);
  const done = () => {
    setOpen(null);
    void client.invalidateQueries({ queryKey: ['stock'] });
    void client.invalidateQueries({ queryKey: ['offcuts'] });
  };
  return (
    <>
      <div className="page-head">
        <div>
          <h1 className="flat">
            {stock.empty
              ? 'Nothing on the shelf yet'
              : short.length === 0
                ? 'Enough there for all open orders'
                : `${short[0]!} is short${short.length > 1 ? `, and ${short.length - 1} more` : ''}`}
            <span className="soft">
              , worth <Why figure={stock.value} />
            </span>
          </h1>
        </div>
        <div className="actions">
          <Button href="/api/stock/csv">CSV</Button>
          <Button href="/api/stock/labels" target="_blank">
            Print offcut labels
          </Button>
          <Button href="/shelf/buy">What to buy</Button>
          <Button variant="contained" onClick={() => setOpen({ kind: 'receive' })}>
            Take in a lot
          </Button>
        </div>
      </div>
      <ShelfTabs current="/shelf/stock" />
      <div className="cols split-2-1">
        <section className="sheet flush" aria-label="Stock" tabIndex={0}>
          <table className="plain">
            <thead>
              <tr>
                <th scope="col">
                  <TextField
                    size="small"
                    variant="standard"
                    placeholder="Search"
                    value={search}
                    onChange={(event) => setSearch(event.target.value)}
                    slotProps={{ htmlInput: { 'aria-label': 'Search the stock' } }}
                  />
                </th>
                <th className="right" scope="col">
                  on the shelf
                </th>
                <th className="right" scope="col">
                  for orders
                </th>
                <th className="right" scope="col">
                  free
                </th>
                <th className="right" scope="col">
                  lasts
                </th>
              </tr>
            </thead>
            <VirtualBody
              count={shown.length}
              columns={5}
              heightOf={(index) => HEAD_PX + (shown[index]?.lots.length ?? 0) * LOT_PX}
              empty={
                stock.empty
                  ? 'Take in the rolls and blanks that lie there: what is left, and what it cost.'
                  : 'Nothing is called that.'
              }
              render={(index) => {
                const row = shown[index]!;
                return (
                  <StockRows
                    key={row.thing.key}
                    row={row}
                    onLot={(lot) => setOpen({ kind: 'lot', lot, thing: row.thing })}
                    onMinimum={() => setOpen({ kind: 'minimum', row })}
                  />
                );
              }}
            />
          </table>
          {found.isError && (
            <div className="notice bad" role="alert">
              {wordsOf(found.error)}
            </div>
          )}
          {found.hasNextPage && (
            <div className="actions pad-4 centred">
              <Button size="small" disabled={found.isFetchingNextPage} onClick={() => void found.fetchNextPage()}>
                Show more: {shown.length} of {stock.total}
              </Button>
            </div>
          )}
        </section>
        <div className="cols">
          <OffcutSearch kept={stock.offcuts} onLot={(lot, thing) => setOpen({ kind: 'lot', lot, thing })} />
          <section className="sheet" aria-label="Ledger">
            <h2 className="flat below-2">Last bookings</h2>
            <ul className="checks">
              {stock.lines.map((line) => (
                <li key={line.id}>
                  <div>
                    <strong>{line.thingName}</strong>
                    <span className="soft">
                      {CAUSE_WORDS[line.cause]}
                      {line.note && `, ${line.note}`}, {formatInstant(line.atMs, settings)}
                    </span>
                  </div>
                  <span className="figures">{formatLine(line, settings)}</span>
                </li>
              ))}
            </ul>
            {stock.lines.length === 0 && <p className="soft flat">Nothing booked yet.</p>}
          </section>
        </div>
      </div>
      <Suspense>
        {open?.kind === 'lot' && (
          <LotDialog lot={open.lot} thing={open.thing} onClose={() => setOpen(null)} onDone={done} />
        )}
        {open?.kind === 'minimum' && <MinimumDialog row={open.row} onClose={() => setOpen(null)} onDone={done} />}
        {open?.kind === 'receive' && <ReceiveDialog onClose={() => setOpen(null)} onDone={done} />}
      </Suspense>
    </>
  );
}

/** In weeks of use; beyond a year nobody plans. */
const formatWeeks = (weeks: number): string =>
  weeks > 52 ? '> 1 yr' : weeks < 1 ? '< 1 wk' : `${Math.floor(weeks)} wk`;

/** What is short, and until when it can still be bought in time. */
function describeShort(within: StockRow['orderWithin']): string {
  if (!within) return 'short';
  if (within.days < 0) return `short, ${-within.days} ${within.days === -1 ? 'day' : 'days'} too late to buy`;
  return within.days === 0
    ? 'short, buy today'
    : `short, buy within ${within.days} ${within.days === 1 ? 'day' : 'days'}`;
}

function StockRows({ row, onLot, onMinimum }: { row: StockRow; onLot: (lot: LotView) => void; onMinimum: () => void }) {
  const settings = useSettings();
  const { unit } = row.thing;
  const shown = (figure: Figure) => <Why figure={figure}>{formatAmount(figure.value, unit, settings)}</Why>;
  const below = row.minimum !== null && row.free.value < row.minimum.value;
  return (
    <>
      <tr className="row-head">
        <td>
          <i className="swatch" style={{ background: row.thing.colourHex }} />
          <button
            type="button"
            className="quiet thing"
            aria-label={`Minimum of ${row.thing.name}`}
            title="Set how much to have always"
            onClick={onMinimum}
          >
            {row.thing.name}
          </button>
          {row.free.value < 0 ? (
            <span className="tag bad">{describeShort(row.orderWithin)}</span>
          ) : below && row.minimum ? (
            <span className="tag">
              under <Why figure={row.minimum}>{formatAmount(row.minimum.value, unit, settings)}</Why>
            </span>
          ) : null}
        </td>
        <td className="num">{shown(row.onShelf)}</td>
        <td className="num">{row.reserved.value > 0 ? shown(row.reserved) : '–'}</td>
        <td className="num">{shown(row.free)}</td>
        <td className="num">{row.cover ? <Why figure={row.cover}>{formatWeeks(row.cover.value)}</Why> : '–'}</td>
      </tr>
      {row.lots.map((lot) => (
        <tr key={lot.id} className="lot">
          <td colSpan={4}>
            <button type="button" className="quiet" onClick={() => onLot(lot)}>
              {describeLot(lot, settings)}
            </button>
            {lot.remark && <span className="soft">, “{lot.remark}”</span>}
          </td>
          <td className="num soft">
            <Why figure={lot.value} />
          </td>
        </tr>
      ))}
    </>
  );
}

function OffcutSearch({ kept, onLot }: { kept: number; onLot: (lot: LotView, thing: ThingView) => void }) {
  const settings = useSettings();
  const [size, setSize] = useState<{ widthMm: number | null; heightMm: number | null; key: string }>({
    widthMm: 120,
    heightMm: 80,
    key: '',
  });
  const ready = (size.widthMm ?? 0) >= 3 && (size.heightMm ?? 0) >= 3;
  const query = new URLSearchParams({
    widthMm: String(size.widthMm),
    heightMm: String(size.heightMm),
    ...(size.key ? { key: size.key } : {}),
  }).toString();
  const found = useQuery({
    queryKey: ['offcuts', query],
    queryFn: ({ signal }) => callApi<readonly FittingOffcut[]>('GET', `/api/stock/offcuts?${query}`, undefined, signal),
    enabled: ready,
    refetchOnMount: true,
  });
  // Asked for once somebody looks.
  const [looking, setLooking] = useState(false);
  const vinyls = useThings(looking).filter((thing) => thing.kind === 'vinyl');
  return (
    <section className="sheet" aria-label="Offcuts">
      <h2 className="flat below-3">Which offcut holds it?</h2>
      <div className="fields">
        <WidthField label="Width" widthMm={size.widthMm} onChange={(widthMm) => setSize({ ...size, widthMm })} />
        <WidthField label="Height" widthMm={size.heightMm} onChange={(heightMm) => setSize({ ...size, heightMm })} />
        <Autocomplete
          options={vinyls}
          onOpen={() => setLooking(true)}
          getOptionLabel={(thing) => thing.name}
          isOptionEqualToValue={(a, b) => a.key === b.key}
          onChange={(_, thing) => setSize({ ...size, key: thing?.key ?? '' })}
          renderInput={(props) => (
            <TextField
              {...props}
              label="Vinyl"
              placeholder="any"
              slotProps={{ ...props.slotProps, inputLabel: { shrink: true } }}
            />
          )}
        />
      </div>
      {found.isError && <p role="alert">{wordsOf(found.error)}</p>}
      {found.data && (
        <ul className="offcuts" aria-label="Offcuts that hold it">
          {found.data.map(({ lot, thing, fit, usedShare }) => (
            <li key={lot.id}>
              <OffcutShapeView
                lot={lot}
                colourHex={thing.colourHex}
                placed={{
                  ...fit,
                  widthMm: fit.turned ? size.heightMm! : size.widthMm!,
                  heightMm: fit.turned ? size.widthMm! : size.heightMm!,
                }}
              />
              <div>
                <button type="button" className="quiet" onClick={() => onLot(lot, thing)}>
                  <strong className="code">{lot.code}</strong>
                </button>{' '}
                {thing.name}
                <br />
                <span className="soft">
                  {describeLot(lot, settings).replace(/^offcut \w+, /, '')}, {formatShare(usedShare, settings, 0)} used
                  {fit.turned ? ', turned' : ''}
                </span>
              </div>
            </li>
          ))}
        </ul>
      )}
      {found.data?.length === 0 && (
        <p className="soft flat above-3">
          {kept === 0
            ? 'No offcuts are kept yet. Open a roll, and set one aside.'
            : `None of the ${kept} kept holds that.`}
        </p>
      )}
    </section>
  );
}
