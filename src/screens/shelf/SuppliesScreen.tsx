// Supplies: mats, blades, sheets and tape: how worn the one in use is, how many lie there, and when the next is due.

import Button from '@mui/material/Button';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { getSupplyFacts } from '../../core/stock';
import { formatInstant, formatShare, toPercent } from '../../core/units';
import type { FrameView } from '../../views/frame';
import type { SuppliesView, SupplyView } from '../../views/supplies';
import { callApi } from '../shared/api';
import { Frame } from '../shared/Frame';
import { useKeys } from '../shared/keys';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import { ShelfTabs } from './ShelfTabs';
import { NumberHead } from '../shared/NumberHead';
import { late } from '../shared/late';
import { archiveInList } from '../shared/use-archive';
import { asPage } from '../shared/page-data';

const SupplyDialog = late(() => import('./SupplyDialog'));
const WearDialog = late(() => import('./WearDialog'));
type Open =
  | { readonly kind: 'supply'; readonly supply: SupplyView | null }
  | { readonly kind: 'wear'; readonly supply: SupplyView };

export const SuppliesScreen = asPage(function SuppliesScreen({
  frame,
  view,
}: {
  frame: FrameView;
  view: SuppliesView;
}) {
  return (
    <Frame frame={frame} current="shelf">
      <Supplies initial={view} />
    </Frame>
  );
});

function describe(supplies: readonly SupplyView[]): string {
  const due = supplies.filter((supply) => supply.wear?.due);
  const bare = due.find((supply) => supply.onShelf === 0);
  if (supplies.length === 0) return 'No supplies yet';
  if (bare) return `${bare.name} is nearly worn, and no other lies there`;
  return due.length > 0 ? `${due[0]!.name} is nearly worn: change it soon` : 'Nothing is worn out';
}

function Supplies({ initial }: { initial: SuppliesView }) {
  const client = useQueryClient();
  const {
    data: { supplies },
  } = useQuery({
    queryKey: ['supplies'],
    queryFn: ({ signal }) => callApi<SuppliesView>('GET', '/api/shelf/supplies', undefined, signal),
    initialData: initial,
  });
  const [open, setOpen] = useState<Open | null>(null);
  useKeys('Supplies', [
    { keys: 'n', shown: 'N', does: 'add a supply', run: () => setOpen({ kind: 'supply', supply: null }) },
  ]);
  const refresh = () => client.invalidateQueries({ queryKey: ['supplies'] });
  const done = () => {
    setOpen(null);
    void refresh();
  };
  const archive = ({ id, name }: SupplyView) =>
    archiveInList({ path: `/api/shelf/supplies/${id}`, name, onDone: done });
  return (
    <>
      <div className="page-head">
        <div>
          <h1 className="flat">{describe(supplies)}</h1>
        </div>
        <div className="actions">
          <Button href="/shelf/stock">Add stock</Button>
          <Button variant="contained" onClick={() => setOpen({ kind: 'supply', supply: null })}>
            Add a supply
          </Button>
        </div>
      </div>
      <ShelfTabs current="/shelf/supplies" />
      <SupplyTable supplies={supplies} setOpen={setOpen} />
      {open?.kind === 'supply' && (
        <SupplyDialog
          supply={open.supply}
          onClose={() => setOpen(null)}
          onDone={done}
          onArchive={(supply) => void archive(supply)}
        />
      )}
      {open?.kind === 'wear' && <WearDialog supply={open.supply} onClose={() => setOpen(null)} onDone={done} />}
    </>
  );
}

function SupplyRow({ supply, onChange, onWear }: { supply: SupplyView; onChange: () => void; onWear: () => void }) {
  const { wear } = supply;
  const { label, wears } = getSupplyFacts(supply.kind);
  const facts = [
    label,
    supply.angleDegrees === null ? null : `${supply.angleDegrees}°`,
    supply.tack && `${supply.tack} tack`,
  ]
    .filter(Boolean)
    .join(', ');
  return (
    <tr>
      <td>
        <button type="button" className="quiet thing" onClick={onChange}>
          {supply.name}
        </button>
        {supply.note && <span className="soft block">{supply.note}</span>}
      </td>
      <td>{facts}</td>
      <SupplyWear supply={supply} />
      <td className="num">
        {wear ? (
          <>
            <Why figure={wear.left} /> <span className="soft">{wears}</span>
          </>
        ) : (
          '–'
        )}
        {wear?.due && <span className="tag bad">change it</span>}
      </td>
      <td className="num">{supply.onShelf}</td>
      <td className="right">
        {wears && (
          <Button size="small" onClick={onWear} aria-label={`${wear ? 'Book' : 'Take into use'}: ${supply.name}`}>
            {wear ? 'Book' : 'Take into use'}
          </Button>
        )}
      </td>
    </tr>
  );
}

type SupplyWearProps = { readonly supply: SupplyView };

function SupplyWear({ supply: { wear, kind } }: SupplyWearProps) {
  const settings = useSettings();
  const { wears } = getSupplyFacts(kind);
  return (
    <td>
      {wear ? (
        <div className="wear">
          <div
            className="bar"
            role="img"
            aria-label={`${formatShare(Math.min(1, wear.share), settings, 0)} of its life is spent`}
          >
            <i className={wear.due ? 'due' : ''} style={{ width: `${Math.min(100, toPercent(wear.share))}%` }} />
          </div>
          <span className="soft">since {formatInstant(wear.fittedAtMs, settings)}</span>
        </div>
      ) : (
        <span className="soft">{wears ? 'none in use' : 'simply used up'}</span>
      )}
    </td>
  );
}

type SupplyTableProps = {
  readonly supplies: readonly SupplyView[];
  readonly setOpen: React.Dispatch<React.SetStateAction<Open | null>>;
};

function SupplyTable({ supplies, setOpen }: SupplyTableProps) {
  return (
    <section className="sheet flush" aria-label="Supplies" tabIndex={0}>
      {supplies.length === 0 ? (
        <div className="empty">
          <p>
            Mats, blades, cover sheets, tape and packaging stand here, with how much of their life is left. Blades and
            mats wear as you cut, cover sheets as you press.
          </p>
        </div>
      ) : (
        <table className="plain">
          <thead>
            <tr>
              <th scope="col">name</th>
              <th scope="col">what it is</th>
              <th scope="col" className="wear-column">
                in use
              </th>
              <NumberHead>left</NumberHead>
              <NumberHead>on the shelf</NumberHead>
              <th scope="col" />
            </tr>
          </thead>
          <tbody>
            {supplies.map((supply) => (
              <SupplyRow
                key={supply.id}
                supply={supply}
                onChange={() => setOpen({ kind: 'supply', supply })}
                onWear={() => setOpen({ kind: 'wear', supply })}
              />
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
