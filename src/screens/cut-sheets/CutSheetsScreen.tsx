// Cut sheets: what waits of each vinyl, laid out on the stock in hand so that least is wasted; then cut, booked, and
// the rest saved.

import Button from '@mui/material/Button';
import { enqueueSnackbar } from 'notistack';
import { useRef, useState } from 'react';
import { listPartIds, type CutSheet } from '../../core/orders';
import { formatDay, formatInstant, formatLength } from '../../core/units';
import type { CutSheetsView } from '../../views/cut-sheets';
import type { FrameView } from '../../views/frame';
import { callApi, wordsOf } from '../shared/api';
import { Frame } from '../shared/Frame';
import { useSettings } from '../shared/settings';
import type { Group, SavedSheet } from './cut-load';
import { DayLoads } from './DayLoads';
import type { SavedSheetId } from './save-sheet';
import { VinylLoad } from './VinylLoad';
import { plural } from '../../wording/plural';

export function CutSheetsScreen({ frame, view }: { frame: FrameView; view: CutSheetsView }) {
  return (
    <Frame frame={frame} current="cut-sheets">
      <CutSheets initial={view} />
    </Frame>
  );
}

const dueOf = (group: Group) =>
  group.parts.reduce((first, part) => (part.dueDay < first ? part.dueDay : first), group.parts[0]!.dueDay);
/** What is worked on: a new sheet of a vinyl, or a saved one. `serial` begins anew. */
type Open = { readonly vinylId: number; readonly saved: SavedSheet | null; readonly serial: number };

/** A new one where something waits that lies on no sheet, else the first saved one. */
function openFirst(group: Group | undefined, serial: number): Open {
  const taken = new Set(group?.saved.flatMap((saved) => listPartIds(saved.sheet)));
  return {
    vinylId: group?.vinyl.id ?? 0,
    saved: group?.parts.some((part) => !taken.has(part.partId)) ? null : (group?.saved[0] ?? null),
    serial,
  };
}

function CutSheets({ initial }: { initial: CutSheetsView }) {
  const settings = useSettings();
  const [view, setView] = useState(initial);
  const [open, setOpen] = useState<Open>(() => openFirst(initial.groups[0], 0));
  /** The sheet that is worked on, once it is saved. */
  const [ownId, setOwnId] = useState(open.saved?.id ?? null);
  const [planning, setPlanning] = useState(false);
  const group = view.groups.find((candidate) => candidate.vinyl.id === open.vinylId) ?? view.groups[0];
  const reload = async (): Promise<CutSheetsView | null> => {
    try {
      const fresh = await callApi<CutSheetsView>('GET', '/api/cut-sheets');
      setView(fresh);
      return fresh;
    } catch (error) {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
      return null;
    }
  };
  const serial = useRef(0);
  const show = (next: Open) => {
    serial.current = next.serial;
    setOpen(next);
    setOwnId(next.saved?.id ?? null);
  };
  const go = (vinylId: number, saved: SavedSheet | null) => show({ vinylId, saved, serial: open.serial + 1 });
  const afterCut = async () => {
    const fresh = await reload();
    if (fresh)
      show(openFirst(fresh.groups.find((one) => one.vinyl.id === open.vinylId) ?? fresh.groups[0], open.serial + 1));
  };
  /** A sheet that was left may be saved only after another was opened. */
  const takeSaved =
    (from: Open) =>
    ({ id, version }: SavedSheetId, sheet: CutSheet) => {
      if (from.serial === serial.current) setOwnId(id);
      setView((before) => ({
        ...before,
        groups: before.groups.map((one) =>
          one.vinyl.id === from.vinylId
            ? {
                ...one,
                saved: [
                  ...one.saved.filter((saved) => saved.id !== id),
                  { id, version, savedAtMs: Date.now(), sheet },
                ].sort((a, b) => a.id - b.id),
              }
            : one,
        ),
      }));
    };
  if (!group)
    return (
      <>
        <div className="page-head">
          <h1 className="flat">Nothing waits to be cut</h1>
        </div>
        <div className="sheet empty">
          <p>Parts come here with the orders they are of, by vinyl.</p>
          <Button variant="contained" href="/orders/new">
            Take an order
          </Button>
        </div>
      </>
    );
  return (
    <>
      <div className="page-head">
        <div>
          <h1 className="flat">
            {plural(
              view.groups.reduce((sum, one) => sum + one.parts.length, 0),
              'part',
            )}{' '}
            wait to be cut from {plural(view.groups.length, 'vinyl')}
          </h1>
          <p className="soft flat above-1">
            The first is due on {formatDay(dueOf(view.groups[0]!), settings)}: {view.groups[0]!.vinyl.name}.
          </p>
        </div>
        {!planning && (
          <div className="actions">
            <Button onClick={() => setPlanning(true)}>Propose the day’s loads</Button>
          </div>
        )}
      </div>
      {planning && (
        <DayLoads
          view={view}
          onSaved={async () => {
            const fresh = await reload();
            if (fresh)
              show(
                openFirst(
                  fresh.groups.find((one) => one.vinyl.id === open.vinylId) ?? fresh.groups[0],
                  open.serial + 1,
                ),
              );
          }}
          onClose={() => setPlanning(false)}
        />
      )}
      <div className="cols top list-detail">
        <nav className="sheet flush queue-nav" aria-label="Vinyls">
          <ul className="queue">
            {view.groups.flatMap((one) => [
              <li key={one.vinyl.id}>
                <button
                  type="button"
                  aria-pressed={one === group && ownId === null}
                  onClick={() => go(one.vinyl.id, null)}
                >
                  <i className="swatch" style={{ background: one.vinyl.colourHex }} />
                  {one.vinyl.name}
                  <small>
                    {plural(one.parts.length, 'part')}, due {formatDay(dueOf(one), settings)};{' '}
                    {one.stock.length === 0 ? 'nothing on the shelf' : plural(one.stock.length, 'lot')}
                  </small>
                </button>
              </li>,
              ...one.saved.map((saved) => (
                <li key={`saved ${saved.id}`}>
                  <button
                    type="button"
                    className="saved indented-more"
                    aria-pressed={saved.id === ownId}
                    onClick={() => go(one.vinyl.id, saved)}
                  >
                    {plural(saved.sheet.placements.length, 'part')} on{' '}
                    {saved.sheet.sheets.length === 1
                      ? formatLength(saved.sheet.sheets[0]!.usedLengthMm, settings)
                      : plural(saved.sheet.sheets.length, 'sheet')}
                    <small>cut sheet, saved {formatInstant(saved.savedAtMs, settings)}</small>
                  </button>
                </li>
              )),
            ])}
          </ul>
        </nav>
        <VinylLoad
          key={open.serial}
          view={view}
          group={group}
          start={open.saved}
          onSaved={takeSaved(open)}
          onDone={() => void afterCut()}
        />
      </div>
    </>
  );
}
