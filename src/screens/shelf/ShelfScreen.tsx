// Shelf: the vinyls and blanks, what they cost by area and by piece, and how they are pressed.

import Button from '@mui/material/Button';
import { keepPreviousData, useInfiniteQuery, useQueryClient } from '@tanstack/react-query';
import { enqueueSnackbar } from 'notistack';
import { lazy, Suspense, useEffect, useState } from 'react';
import { computePricePerM2, FABRICS, getKindFacts, NO_FILTER } from '../../core/materials';
import { formatLength, formatMoney, formatTemperature } from '../../core/units';
import type { BlankView, ShelfPage, VinylView } from '../../views/shelf';
import type { FrameView } from '../../views/frame';
import { callApi, wordsOf } from '../shared/api';
import { Frame } from '../shared/Frame';
import { useKeys } from '../shared/keys';
import { useSettings } from '../shared/settings';
import { VirtualBody } from '../shared/VirtualBody';
import { Why } from '../shared/Why';
import { ShelfTabs } from './ShelfTabs';
import { VinylFilterFields } from './VinylFilterFields';
import { plural } from '../../wording/plural';

/** Two lines of text. */
const VINYL_ROW_PX = 52;
const VinylForm = lazy(() => import('./VinylForm'));
const BlankForm = lazy(() => import('./BlankForm'));
type Editing =
  | { readonly kind: 'vinyl'; readonly vinyl: VinylView | null }
  | { readonly kind: 'blank'; readonly blank: BlankView | null };

export function ShelfScreen({
  frame,
  view,
  openBlank,
}: {
  frame: FrameView;
  view: ShelfPage;
  openBlank: number | null;
}) {
  return (
    <Frame frame={frame} current="shelf">
      <Shelf initial={view} openBlank={openBlank} />
    </Frame>
  );
}

function Shelf({ initial, openBlank }: { initial: ShelfPage; openBlank: number | null }) {
  const settings = useSettings();
  const client = useQueryClient();
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
  const refresh = () => client.invalidateQueries({ queryKey: ['shelf'] });
  const saved = () => {
    setEditing(null);
    enqueueSnackbar('Saved. Items and quotes to come are calculated with it.');
    void refresh();
  };
  const archive = async (path: string, name: string, on: boolean) => {
    try {
      await callApi(on ? 'DELETE' : 'POST', path);
      setEditing(null);
      enqueueSnackbar(on ? `${name} is archived. Items that use it keep it.` : `${name} is restored.`, {
        action: on ? (
          <Button color="inherit" variant="text" onClick={() => void archive(path, name, false)}>
            Undo
          </Button>
        ) : undefined,
      });
      await refresh();
    } catch (error) {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
    }
  };
  const shown = (found.data?.pages ?? [initial]).flatMap((page) => page.vinyls);
  return (
    <>
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
      <ShelfTabs current="/shelf" />
      <section className="sheet flush" aria-label="Vinyls" tabIndex={0}>
        {shelf.vinylCount > 0 && <VinylFilterFields filter={filter} onChange={setFilter} />}
        <table className="plain">
          <thead>
            <tr>
              <th scope="col">vinyl</th>
              <th scope="col">kind</th>
              <th className="hide-small" scope="col">
                from
              </th>
              <th className="right" scope="col">
                roll
              </th>
              <th className="right" scope="col">
                price
              </th>
              <th className="right" scope="col">
                a m²
              </th>
              <th className="right hide-small" scope="col">
                weeding
              </th>
              <th className="hide-small" scope="col">
                press
              </th>
              <th scope="col" />
            </tr>
          </thead>
          <VirtualBody
            count={shown.length}
            columns={9}
            heightOf={() => VINYL_ROW_PX}
            empty={
              shelf.vinylCount === 0
                ? 'No vinyl yet. Add the roll you use most.'
                : 'No vinyl on the shelf does for that. Ask for less, or look through the offers.'
            }
            render={(index) => {
              const vinyl = shown[index]!;
              return (
                <tr key={vinyl.id}>
                  <td>
                    <i className="swatch" style={{ background: vinyl.colourHex }} />
                    <strong>{vinyl.name}</strong>
                  </td>
                  <td>{getKindFacts(vinyl.kind).label}</td>
                  <td className="soft hide-small">{vinyl.supplier}</td>
                  <td className="num">
                    {formatLength(vinyl.rollWidthMm, settings)} × {formatLength(vinyl.rollLengthMm, settings)}
                  </td>
                  <td className="num">{formatMoney(vinyl.rollPrice, settings)}</td>
                  <td className="num">
                    <Why figure={computePricePerM2(vinyl)}>
                      {formatMoney(Math.round(computePricePerM2(vinyl).value), settings)}
                    </Why>
                  </td>
                  <td className="num hide-small">× {vinyl.weedingFactor}</td>
                  <td className="hide-small">
                    {vinyl.press
                      ? `${formatTemperature(vinyl.press.lowC, settings).replace(/ .*/, '')}–${formatTemperature(vinyl.press.highC, settings)}, ${vinyl.press.seconds} s, ${vinyl.press.peel}`
                      : 'stuck on with tape'}
                  </td>
                  <td className="right">
                    <Button
                      size="small"
                      variant="text"
                      onClick={() => setEditing({ kind: 'vinyl', vinyl })}
                      aria-label={`Change ${vinyl.name}`}
                    >
                      Change
                    </Button>
                  </td>
                </tr>
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
              Show more: {shown.length} of {shelf.total}
            </Button>
          </div>
        )}
      </section>
      <section className="sheet flush" aria-label="Blanks" tabIndex={0}>
        <table className="plain">
          <thead>
            <tr>
              <th scope="col">blank</th>
              <th scope="col">surface</th>
              <th className="hide-small" scope="col">
                from
              </th>
              <th scope="col">sizes and prices</th>
              <th scope="col">colours</th>
              <th scope="col" />
            </tr>
          </thead>
          <tbody>
            {shelf.blanks.map((blank) => (
              <tr key={blank.id}>
                <td>
                  <strong>{blank.name}</strong>
                </td>
                <td>
                  {FABRICS[blank.fabric].label}
                  {FABRICS[blank.fabric].ceilingC && blank.heating !== 'none'
                    ? `, to ${formatTemperature(FABRICS[blank.fabric].ceilingC ?? 0, settings)}`
                    : ', no heat'}
                </td>
                <td className="soft hide-small">{blank.supplier}</td>
                <td>
                  {blank.sizes.map((size) => (
                    <span key={size.name} className="after-4 nowrap">
                      {size.name} <span className="figures">{formatMoney(size.price, settings)}</span>
                    </span>
                  ))}
                </td>
                <td>
                  {blank.colours.map((colour) => (
                    <span key={colour.name} className="after-4 nowrap">
                      <i className="swatch" style={{ background: colour.hex }} />
                      {colour.name}
                    </span>
                  ))}
                </td>
                <td className="right">
                  <Button
                    size="small"
                    variant="text"
                    onClick={() => setEditing({ kind: 'blank', blank })}
                    aria-label={`Change ${blank.name}`}
                  >
                    Change
                  </Button>
                </td>
              </tr>
            ))}
            {shelf.blanks.length === 0 && (
              <tr>
                <td colSpan={6} className="soft">
                  No blank yet. Add what you decorate most.
                </td>
              </tr>
            )}
          </tbody>
        </table>
      </section>
      <Suspense>
        {editing?.kind === 'vinyl' && (
          <VinylForm
            vinyl={editing.vinyl}
            onClose={() => setEditing(null)}
            onSaved={saved}
            onArchive={(vinyl) => void archive(`/api/shelf/vinyls/${vinyl.id}`, vinyl.name, true)}
          />
        )}
        {editing?.kind === 'blank' && (
          <BlankForm
            blank={editing.blank}
            onClose={() => setEditing(null)}
            onSaved={saved}
            onArchive={(blank) => void archive(`/api/shelf/blanks/${blank.id}`, blank.name, true)}
          />
        )}
      </Suspense>
    </>
  );
}
