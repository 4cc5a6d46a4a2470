// Shelf: the vinyls and blanks, what they cost by area and by piece, and how they are pressed.

import Button from '@mui/material/Button';
import { keepPreviousData, useInfiniteQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { NO_FILTER } from '../../core/materials';
import { formatMoney } from '../../core/units';
import type { ShelfPage } from '../../views/shelf';
import { callApi } from '../shared/api';
import { useKeys } from '../shared/keys';
import { useSettings } from '../shared/settings';
import { ShelfTabs } from './ShelfTabs';
import { plural } from '../../wording/plural';
import { VinylList } from './VinylList';
import { Blanks } from './BlankList';
import type { Editing } from './shelf-editing';
import { late } from '../shared/late';
import { archiveInList } from '../shared/use-archive';
import { enqueueSnackbar } from '../shared/snackbar';

const VinylForm = late(() => import('./VinylForm'));
const BlankForm = late(() => import('./BlankForm'));

export default function ShelfContent({ view, openBlank }: { view: ShelfPage; openBlank: number | null }) {
  return <Shelf initial={view} openBlank={openBlank} />;
}

/** The vinyls that the filter leaves, a page at a time. */
function useShelfPages(initial: ShelfPage) {
  const [filter, setFilter] = useState(NO_FILTER);
  const found = useInfiniteQuery({
    queryKey: ['shelf', filter],
    initialPageParam: 0,
    placeholderData: keepPreviousData,
    ...(filter === NO_FILTER ? { initialData: { pages: [initial], pageParams: [0] } } : {}),
    queryFn: ({ signal, pageParam }) =>
      callApi<ShelfPage>(
        'GET',
        `/api/shelf?${new URLSearchParams({ ...filter, inStock: String(filter.inStock), offset: String(pageParam) }).toString()}`,
        undefined,
        signal,
      ),
    getNextPageParam: (last) =>
      last.offset + last.vinyls.length < last.total ? last.offset + last.vinyls.length : undefined,
  });
  return { filter, setFilter, found };
}

function Shelf({ initial, openBlank }: { initial: ShelfPage; openBlank: number | null }) {
  const client = useQueryClient();
  const { filter, setFilter, found } = useShelfPages(initial);
  const shelf = found.data?.pages[0] ?? initial;
  const [editing, setEditing] = useState<Editing | null>(null);
  // Once the page runs: a dialog has no place in what the server draws.
  useEffect(() => {
    const vinyl = initial.open;
    const blank = initial.blanks.find((candidate) => candidate.id === openBlank);
    if (vinyl) setEditing({ kind: 'vinyl', vinyl });
    else if (blank) setEditing({ kind: 'blank', blank });
  }, [initial, openBlank]);
  useKeys('Shelf', [
    { keys: 'n', shown: 'N', does: 'add a vinyl', run: () => setEditing({ kind: 'vinyl', vinyl: null }) },
    { keys: 'b', shown: 'B', does: 'add a blank', run: () => setEditing({ kind: 'blank', blank: null }) },
  ]);
  const done = () => {
    setEditing(null);
    return client.invalidateQueries({ queryKey: ['shelf'] });
  };
  const saved = () => {
    enqueueSnackbar('Saved. Items and quotes to come are calculated with it.');
    void done();
  };
  const archive = (path: string, name: string) =>
    archiveInList({ path, name, note: ' Items that use it keep it.', onDone: () => void done() });
  const shown = (found.data?.pages ?? [initial]).flatMap((page) => page.vinyls);
  return (
    <>
      <ShelfHead shelf={shelf} setEditing={setEditing} />
      <ShelfTabs current="/shelf" />
      <VinylList
        shelf={shelf}
        filter={filter}
        setFilter={setFilter}
        shown={shown}
        setEditing={setEditing}
        found={found}
      />
      <Blanks shelf={shelf} setEditing={setEditing} />
      {editing?.kind === 'vinyl' && (
        <VinylForm
          vinyl={editing.vinyl}
          onClose={() => setEditing(null)}
          onSaved={saved}
          onArchive={(vinyl) => void archive(`/api/shelf/vinyls/${vinyl.id}`, vinyl.name)}
        />
      )}
      {editing?.kind === 'blank' && (
        <BlankForm
          blank={editing.blank}
          onClose={() => setEditing(null)}
          onSaved={saved}
          onArchive={(blank) => void archive(`/api/shelf/blanks/${blank.id}`, blank.name)}
        />
      )}
    </>
  );
}

type ShelfHeadProps = {
  readonly shelf: ShelfPage;
  readonly setEditing: React.Dispatch<React.SetStateAction<Editing | null>>;
};

function ShelfHead({ shelf, setEditing }: ShelfHeadProps) {
  const settings = useSettings();
  return (
    <div className="page-head">
      <div>
        <h1 className="flat">
          {plural(shelf.vinylCount, 'vinyl')} and {plural(shelf.blanks.length, 'blank')}
          {shelf.cheapest && shelf.dearest ? (
            <span className="soft">
              , from {formatMoney(Math.round(shelf.cheapest.value), settings)} to{' '}
              {formatMoney(Math.round(shelf.dearest.value), settings)} a square metre
            </span>
          ) : (
            ''
          )}
        </h1>
      </div>
      <div className="actions">
        <Button onClick={() => setEditing({ kind: 'blank', blank: null })}>Add a blank</Button>
        <Button variant="contained" onClick={() => setEditing({ kind: 'vinyl', vinyl: null })}>
          Add a vinyl
        </Button>
      </div>
    </div>
  );
}
