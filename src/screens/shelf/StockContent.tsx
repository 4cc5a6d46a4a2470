// Stock: what lies on the shelf, what of it is free, offcuts to scale, and the ledger behind it.

import '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { keepPreviousData, useInfiniteQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { formatInstant } from '../../core/units';
import type { LotView, StockPage, StockRow, ThingView } from '../../views/stock';
import { CAUSE_WORDS } from '../../wording/stock';
import { callApi } from '../shared/api';
import { useKeys } from '../shared/keys';
import { useSettings } from '../shared/settings';
import { VirtualBody } from '../shared/VirtualBody';
import { Why } from '../shared/Why';
import { formatLine } from './measures';
import { ShelfTabs } from './ShelfTabs';
import { StockRows } from './StockRows';
import { OffcutSearch } from './OffcutSearch';
import { NumberHead } from '../shared/NumberHead';
import { MoreRows } from '../shared/MoreRows';
import type { InfiniteData, UseInfiniteQueryResult } from '@tanstack/react-query';
import { late } from '../shared/late';

/** Height of a thing's own line, and of each of its lots. */
const HEAD_PX = 40,
  LOT_PX = 31;
const LotDialog = late(() => import('./LotDialog'));
const MinimumDialog = late(() => import('./MinimumDialog'));
const ReceiveDialog = late(() => import('./ReceiveDialog'));
type Open =
  | { readonly kind: 'lot'; readonly lot: LotView; readonly thing: ThingView }
  | { readonly kind: 'receive' }
  | { readonly kind: 'minimum'; readonly row: StockRow };

export default function StockContent({ view }: { view: StockPage }) {
  return <Stock initial={view} />;
}

function Stock({ initial }: { initial: StockPage }) {
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
  useKeys('Stock', [{ keys: 'n', shown: 'N', does: 'add stock', run: () => setOpen({ kind: 'receive' }) }]);
  const { short } = stock;
  const shown = (found.data?.pages ?? [initial]).flatMap((page) => page.rows);
  const done = () => {
    setOpen(null);
    void client.invalidateQueries({ queryKey: ['stock'] });
    void client.invalidateQueries({ queryKey: ['offcuts'] });
  };
  return (
    <>
      <StockHead stock={stock} short={short} setOpen={setOpen} />
      <ShelfTabs current="/shelf/stock" />
      <div className="cols split-2-1">
        <StockTable search={search} setSearch={setSearch} shown={shown} stock={stock} setOpen={setOpen} found={found} />
        <div className="cols">
          <OffcutSearch count={stock.offcuts} onLot={(lot, thing) => setOpen({ kind: 'lot', lot, thing })} />
          <LastBookings stock={stock} />
        </div>
      </div>
      {open?.kind === 'lot' && (
        <LotDialog lot={open.lot} thing={open.thing} onClose={() => setOpen(null)} onDone={done} />
      )}
      {open?.kind === 'minimum' && <MinimumDialog row={open.row} onClose={() => setOpen(null)} onDone={done} />}
      {open?.kind === 'receive' && <ReceiveDialog onClose={() => setOpen(null)} onDone={done} />}
    </>
  );
}

type StockHeadProps = {
  readonly stock: StockPage;
  readonly short: readonly string[];
  readonly setOpen: React.Dispatch<React.SetStateAction<Open | null>>;
};

function StockHead({ stock, short, setOpen }: StockHeadProps) {
  return (
    <div className="page-head">
      <div>
        <h1 className="flat">
          {stock.empty
            ? 'Nothing on the shelf yet'
            : short.length === 0
              ? 'Enough there for all open orders'
              : describeShortage(short)}
        </h1>
        {!stock.empty && (
          <p className="flat above-1 text-large">
            What is on the shelf cost <Why figure={stock.value} />.
          </p>
        )}
      </div>
      <div className="actions">
        <Button href="/api/stock/csv">CSV</Button>
        <Button href="/api/stock/labels" target="_blank">
          Print offcut labels
        </Button>
        <Button href="/shelf/buy">What to buy</Button>
        <Button variant="contained" onClick={() => setOpen({ kind: 'receive' })}>
          Add stock
        </Button>
      </div>
    </div>
  );
}

type LastBookingsProps = {
  readonly stock: StockPage;
};

function LastBookings({ stock }: LastBookingsProps) {
  const settings = useSettings();
  return (
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
  );
}

type StockTableProps = {
  readonly search: string;
  readonly setSearch: React.Dispatch<React.SetStateAction<string>>;
  readonly shown: StockRow[];
  readonly stock: StockPage;
  readonly setOpen: React.Dispatch<React.SetStateAction<Open | null>>;
  readonly found: UseInfiniteQueryResult<InfiniteData<StockPage>>;
};

function StockTable({ search, setSearch, shown, stock, setOpen, found }: StockTableProps) {
  return (
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
            <NumberHead>on the shelf</NumberHead>
            <NumberHead>for orders</NumberHead>
            <NumberHead>free</NumberHead>
            <NumberHead>lasts</NumberHead>
          </tr>
        </thead>
        <VirtualBody
          count={shown.length}
          columns={5}
          heightOf={(index) => HEAD_PX + (shown[index]?.lots.length ?? 0) * LOT_PX}
          empty={
            stock.empty
              ? 'Add the rolls and blanks that lie there: what is left, and what it cost.'
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
      <MoreRows pages={found} shown={shown.length} total={stock.total} />
    </section>
  );
}

function describeShortage([first, ...others]: readonly string[]): string {
  return others.length === 0 ? `${first} is short` : `${first} and ${others.length} more are short`;
}
