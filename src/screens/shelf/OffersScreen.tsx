// Suppliers and what they offer: side by side by what a usable square metre, a metre or a piece really costs.

import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useVirtualizer } from '@tanstack/react-virtual';
import { lazy, Suspense, useMemo, useRef, useState } from 'react';
import { formatDay, formatMoney } from '../../core/units';
import type { FrameView, OffersView, OfferView, SupplierView } from '../../views/views';
import { callApi } from '../shared/api';
import { Frame } from '../shared/Frame';
import { useKeys } from '../shared/keys';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import { ShelfTabs } from './ShelfTabs';

const SupplierDialog = lazy(() => import('./SupplierDialog'));
const ImportDialog = lazy(() => import('./ImportDialog'));
const OfferDialog = lazy(() => import('./OfferDialog'));
type Open = { readonly kind: 'supplier'; readonly supplier: SupplierView | null } | { readonly kind: 'import'; readonly supplier: SupplierView } | { readonly kind: 'offer'; readonly offer: OfferView };
const SORTS = { unit: 'cheapest by measure', name: 'name', newest: 'newest price' } as const;
const ROW_PX = 46;

export function OffersScreen({ frame, view }: { frame: FrameView; view: OffersView }) {
  return <Frame frame={frame} current="shelf"><Offers initial={view} /></Frame>;
}

function Offers({ initial }: { initial: OffersView }) {
  const settings = useSettings();
  const client = useQueryClient();
  const { data: view } = useQuery({ queryKey: ['offers'], queryFn: ({ signal }) => callApi<OffersView>('GET', '/api/suppliers', undefined, signal), initialData: initial });
  const [open, setOpen] = useState<Open | null>(null);
  const [search, setSearch] = useState('');
  const [supplierId, setSupplierId] = useState(0);
  const [sort, setSort] = useState<keyof typeof SORTS>('unit');
  useKeys('Offers', [{ keys: 'n', shown: 'N', does: 'add a supplier', run: () => setOpen({ kind: 'supplier', supplier: null }) }]);
  const nameOf = useMemo(() => new Map(view.things.map((thing) => [thing.key, thing])), [view.things]);
  const shown = useMemo(() => {
    const words = search.trim().toLowerCase();
    const unit = (offer: OfferView) => offer.unit.perM2?.value ?? offer.unit.perPiece?.value ?? Infinity;
    const order = { unit: (a: OfferView, b: OfferView) => Number(a.unit.perM2 === null) - Number(b.unit.perM2 === null) || unit(a) - unit(b), name: (a: OfferView, b: OfferView) => a.name.localeCompare(b.name), newest: (a: OfferView, b: OfferView) => b.pricedAtMs - a.pricedAtMs }[sort];
    return view.offers.filter((offer) => (supplierId === 0 || offer.supplierId === supplierId) && (words === '' || `${offer.name} ${offer.code} ${offer.parts.map((part) => nameOf.get(part.key ?? '')?.name ?? part.label).join(' ')}`.toLowerCase().includes(words))).sort(order);
  }, [view.offers, search, supplierId, sort, nameOf]);
  const unmatched = view.offers.filter((offer) => offer.parts.some((part) => part.key === null)).length;
  const done = () => {
    setOpen(null);
    void client.invalidateQueries({ queryKey: ['offers'] });
  };
  const supplierNames = new Map(view.suppliers.map((supplier) => [supplier.id, supplier.name]));
  return (
    <>
      <div className="page-head">
        <div><h1 style={{ margin: 0 }}>{view.suppliers.length === 0 ? 'No suppliers yet' : `${view.offers.length} offers from ${view.suppliers.length} ${view.suppliers.length === 1 ? 'supplier' : 'suppliers'}`}{unmatched > 0 && <span className="soft">, {unmatched} not wholly matched to your shelf</span>}</h1></div>
        <div className="actions"><Button href="/shelf/buy">What to buy</Button><Button variant="contained" onClick={() => setOpen({ kind: 'supplier', supplier: null })}>Add a supplier</Button></div>
      </div>
      <ShelfTabs current="/shelf/offers" />
      <div className="suppliers">{view.suppliers.map((supplier) => (
        <section key={supplier.id} className="sheet" aria-label={supplier.name}>
          <div style={{ display: 'flex', justifyContent: 'space-between', gap: 8 }}><strong>{supplier.name}</strong>{supplier.simulated && <span className="tag">simulated</span>}</div>
          <p className="soft" style={{ margin: '2px 0 8px' }}>{supplier.leadDays} {supplier.leadDays === 1 ? 'day' : 'days'}; shipping {formatMoney(supplier.shipping, settings)}{supplier.freeFrom !== null && `, free from ${formatMoney(supplier.freeFrom, settings)}`}{supplier.minimumOrder !== null && `; orders from ${formatMoney(supplier.minimumOrder, settings)}`}</p>
          <div className="actions"><Button size="small" onClick={() => setOpen({ kind: 'import', supplier })}>{supplier.simulated ? 'Fetch or import prices' : 'Import a price list'}</Button><Button size="small" variant="text" aria-label={`Change ${supplier.name}`} onClick={() => setOpen({ kind: 'supplier', supplier })}>Change</Button></div>
        </section>
      ))}</div>
      <section className="sheet flush" aria-label="Offers">
        <div className="fields" style={{ padding: '12px 16px', gridTemplateColumns: 'minmax(0, 2fr) minmax(0, 1fr) minmax(0, 1fr)' }}>
          <TextField size="small" label="Search name, article or colour" value={search} onChange={(event) => setSearch(event.target.value)} />
          <TextField select size="small" label="Supplier" value={supplierId} onChange={(event) => setSupplierId(Number(event.target.value))}><MenuItem value={0}>all</MenuItem>{view.suppliers.map((supplier) => <MenuItem key={supplier.id} value={supplier.id}>{supplier.name}</MenuItem>)}</TextField>
          <TextField select size="small" label="Sorted by" value={sort} onChange={(event) => setSort(event.target.value as keyof typeof SORTS)}>{Object.entries(SORTS).map(([key, name]) => <MenuItem key={key} value={key}>{name}</MenuItem>)}</TextField>
        </div>
        <OfferTable offers={shown} supplierNames={supplierNames} swatchOf={(offer) => offer.parts.map((part) => nameOf.get(part.key ?? '')?.colourHex).filter((hex): hex is string => hex !== undefined).slice(0, 4)} onOpen={(offer) => setOpen({ kind: 'offer', offer })} empty={view.offers.length === 0 ? 'Import a price list of a supplier: its offers stand here, side by side.' : 'Nothing is called that.'} />
      </section>
      <Suspense>
        {open?.kind === 'supplier' && <SupplierDialog supplier={open.supplier} onClose={() => setOpen(null)} onDone={done} />}
        {open?.kind === 'import' && <ImportDialog supplier={open.supplier} onClose={() => setOpen(null)} onDone={done} />}
        {open?.kind === 'offer' && <OfferDialog offer={open.offer} things={view.things} onClose={() => setOpen(null)} onDone={done} />}
      </Suspense>
    </>
  );
}

type TableProps = { readonly offers: readonly OfferView[]; readonly supplierNames: ReadonlyMap<number, string>; readonly swatchOf: (offer: OfferView) => readonly string[]; readonly onOpen: (offer: OfferView) => void; readonly empty: string };

/** Only the rows in sight are drawn: lists of suppliers are long. */
function OfferTable({ offers, supplierNames, swatchOf, onOpen, empty }: TableProps) {
  const settings = useSettings();
  const frame = useRef<HTMLDivElement>(null);
  const rows = useVirtualizer({ count: offers.length, getScrollElement: () => frame.current, estimateSize: () => ROW_PX, overscan: 12, initialRect: { width: 1000, height: 460 } });
  if (offers.length === 0) return <div className="empty"><p>{empty}</p></div>;
  return (
    <div ref={frame} className="offer-frame" role="table" aria-label="Offers" aria-rowcount={offers.length} tabIndex={0}>
      <div style={{ height: rows.getTotalSize(), position: 'relative' }}>
        {rows.getVirtualItems().map((row) => {
          const offer = offers[row.index]!;
          const figure = offer.unit.perM2 ?? offer.unit.perPiece;
          return (
            <div key={offer.id} className="offer-row" role="row" aria-rowindex={row.index + 1} style={{ height: ROW_PX, transform: `translateY(${row.start}px)` }}>
              <span role="cell" className="name">{swatchOf(offer).map((hex, index) => <i key={index} className="swatch" style={{ background: hex }} />)}<button type="button" className="quiet" onClick={() => onOpen(offer)}>{offer.name}</button>{offer.parts.some((part) => part.key === null) && <span className="tag">not matched</span>}</span>
              <span role="cell" className="soft">{supplierNames.get(offer.supplierId)}</span>
              <span role="cell" className="figures right">{formatMoney(offer.price, settings)}{offer.breaks.length > 0 && <span className="soft"> / {formatMoney(offer.breaks[offer.breaks.length - 1]!.price, settings)}</span>}</span>
              <span role="cell" className="figures right">{figure ? <Why figure={figure} /> : '–'}{offer.unit.perPiece && !offer.unit.perM2 && <span className="soft"> a piece</span>}</span>
              <span role="cell" className="soft right hide-small">{formatDay(new Date(offer.pricedAtMs).toISOString().slice(0, 10), settings)}</span>
            </div>
          );
        })}
      </div>
    </div>
  );
}
