// Suppliers and what they offer: side by side by what a usable square metre, a metre or a piece really costs.

import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { formatMoney } from '../../core/units';
import type { OffersView, OfferView, SupplierView } from '../../views/offers';
import { callApi } from '../shared/api';
import { useKeys } from '../shared/keys';
import { useSettings } from '../shared/settings';
import { OfferTable } from './OfferTable';
import { ShelfTabs } from './ShelfTabs';
import { plural } from '../../wording/plural';
import { late } from '../shared/late';
import { archiveInList } from '../shared/use-archive';

const SupplierDialog = late(() => import('./SupplierDialog'));
const ImportDialog = late(() => import('./ImportDialog'));
const OfferDialog = late(() => import('./OfferDialog'));
const OfferForm = late(() => import('./OfferForm'));
type Open =
  | { readonly kind: 'supplier'; readonly supplier: SupplierView | null }
  | { readonly kind: 'import'; readonly supplier: SupplierView }
  | { readonly kind: 'offer'; readonly offer: OfferView }
  | { readonly kind: 'edit'; readonly offer: OfferView | null };
const SORTS = { unit: 'cheapest by measure', name: 'name', newest: 'newest price' } as const;

export default function OffersContent({ view }: { view: OffersView }) {
  return <Offers initial={view} />;
}

function Offers({ initial }: { initial: OffersView }) {
  const client = useQueryClient();
  const { data: view } = useQuery({
    queryKey: ['offers'],
    queryFn: ({ signal }) => callApi<OffersView>('GET', '/api/suppliers', undefined, signal),
    initialData: initial,
  });
  const [open, setOpen] = useState<Open | null>(null);
  const [words, setWords] = useState(initial.words);
  const [supplierId, setSupplierId] = useState(0);
  const [sort, setSort] = useState<keyof typeof SORTS>('unit');
  useKeys('Offers', [
    { keys: 'n', shown: 'N', does: 'add an offer', run: () => setOpen({ kind: 'edit', offer: null }) },
  ]);
  const done = () => {
    setOpen(null);
    void client.invalidateQueries({ queryKey: ['offers'] });
    void client.invalidateQueries({ queryKey: ['offer-page'] });
  };
  const archive = ({ id, name }: OfferView) => archiveInList({ path: `/api/offers/${id}`, name, onDone: done });
  return (
    <>
      <OffersHead view={view} setOpen={setOpen} />
      <ShelfTabs current="/shelf/offers" />
      <SupplierCards view={view} setOpen={setOpen} />
      <OfferRows
        words={words}
        setWords={setWords}
        supplierId={supplierId}
        setSupplierId={setSupplierId}
        view={view}
        sort={sort}
        setSort={setSort}
        initial={initial}
        setOpen={setOpen}
      />
      {open?.kind === 'supplier' && (
        <SupplierDialog supplier={open.supplier} onClose={() => setOpen(null)} onDone={done} />
      )}
      {open?.kind === 'import' && <ImportDialog supplier={open.supplier} onClose={() => setOpen(null)} onDone={done} />}
      {open?.kind === 'offer' && (
        <OfferDialog
          offer={open.offer}
          onClose={() => setOpen(null)}
          onDone={done}
          onChange={() => setOpen({ kind: 'edit', offer: open.offer })}
        />
      )}
      {open?.kind === 'edit' && (
        <OfferForm
          offer={open.offer}
          suppliers={view.suppliers}
          onClose={() => setOpen(null)}
          onDone={done}
          onArchive={(offer) => void archive(offer)}
        />
      )}
    </>
  );
}

type OffersHeadProps = {
  readonly view: OffersView;
  readonly setOpen: React.Dispatch<React.SetStateAction<Open | null>>;
};

function OffersHead({ view, setOpen }: OffersHeadProps) {
  return (
    <div className="page-head">
      <div>
        <h1 className="flat">
          {view.suppliers.length === 0
            ? 'No suppliers yet'
            : `${plural(view.total, 'offer')} from ${plural(view.suppliers.length, 'supplier')}`}
          {view.unmatched > 0 && <span className="soft">, {view.unmatched} not wholly matched to your shelf</span>}
        </h1>
      </div>
      <div className="actions">
        <Button href="/shelf/buy">What to buy</Button>
        <Button disabled={view.suppliers.length === 0} onClick={() => setOpen({ kind: 'edit', offer: null })}>
          Add an offer
        </Button>
        <Button variant="contained" onClick={() => setOpen({ kind: 'supplier', supplier: null })}>
          Add a supplier
        </Button>
      </div>
    </div>
  );
}

type OfferRowsProps = {
  readonly words: string;
  readonly setWords: React.Dispatch<React.SetStateAction<string>>;
  readonly supplierId: number;
  readonly setSupplierId: React.Dispatch<React.SetStateAction<number>>;
  readonly view: OffersView;
  readonly sort: 'name' | 'unit' | 'newest';
  readonly setSort: React.Dispatch<React.SetStateAction<'name' | 'unit' | 'newest'>>;
  readonly initial: OffersView;
  readonly setOpen: React.Dispatch<React.SetStateAction<Open | null>>;
};

function OfferRows({
  words,
  setWords,
  supplierId,
  setSupplierId,
  view,
  sort,
  setSort,
  initial,
  setOpen,
}: OfferRowsProps) {
  return (
    <section className="sheet flush" aria-label="Offers">
      <div className="fields pad-top-4 pad-right-5 pad-bottom-4 pad-left-5 split-2-1-1">
        <TextField
          size="small"
          label="Search name, article or colour"
          value={words}
          onChange={(event) => setWords(event.target.value)}
        />
        <TextField
          select
          size="small"
          label="Supplier"
          value={supplierId}
          onChange={(event) => setSupplierId(Number(event.target.value))}
        >
          <MenuItem value={0}>all</MenuItem>
          {view.suppliers.map((supplier) => (
            <MenuItem key={supplier.id} value={supplier.id}>
              {supplier.name}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          size="small"
          label="Sorted by"
          value={sort}
          onChange={(event) => setSort(event.target.value as keyof typeof SORTS)}
        >
          {Object.entries(SORTS).map(([key, name]) => (
            <MenuItem key={key} value={key}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      </div>
      <OfferTable
        wish={{ words, supplierId, sort }}
        first={words === initial.words && supplierId === 0 && sort === 'unit' ? initial.first : undefined}
        supplierNames={new Map(view.suppliers.map((supplier) => [supplier.id, supplier.name]))}
        onOpen={(offer) => setOpen({ kind: 'offer', offer })}
        empty={
          view.total === 0
            ? 'Import a price list of a supplier, or add an offer: they stand here, side by side.'
            : 'Nothing is called that.'
        }
      />
    </section>
  );
}

type SupplierCardsProps = {
  readonly view: OffersView;
  readonly setOpen: React.Dispatch<React.SetStateAction<Open | null>>;
};

function SupplierCards({ view, setOpen }: SupplierCardsProps) {
  const settings = useSettings();
  return (
    <div className="suppliers">
      {view.suppliers.map((supplier) => (
        <section key={supplier.id} className="sheet" aria-label={supplier.name}>
          <div className="row apart gap-3">
            <strong>{supplier.name}</strong>
            {supplier.simulated && <span className="tag">simulated</span>}
          </div>
          <p className="soft flat above-1 below-3">
            {plural(supplier.leadDays, 'day')}; shipping {formatMoney(supplier.shipping, settings)}
            {supplier.freeFrom !== null && `, free from ${formatMoney(supplier.freeFrom, settings)}`}
            {supplier.minimumOrder !== null && `; orders from ${formatMoney(supplier.minimumOrder, settings)}`}
          </p>
          <div className="actions">
            <Button size="small" onClick={() => setOpen({ kind: 'import', supplier })}>
              {supplier.simulated ? 'Fetch or import prices' : 'Import a price list'}
            </Button>
            <Button
              size="small"
              variant="text"
              aria-label={`Change ${supplier.name}`}
              onClick={() => setOpen({ kind: 'supplier', supplier })}
            >
              Change
            </Button>
          </div>
        </section>
      ))}
    </div>
  );
}
