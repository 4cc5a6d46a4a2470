// One vinyl: which of its waiting parts go together, from which stock, and the load that comes of it.

import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { enqueueSnackbar } from 'notistack';
import { useMemo, useState } from 'react';
import { NO_MARKS } from '../../core/nesting';
import { listPartIds, type CutSheet } from '../../core/orders';
import { formatDay, formatLength } from '../../core/units';
import type { LotChoice } from '../../core/orders';
import type { CutSheetsView } from '../../views/cut-sheets';
import { callApi, wordsOf } from '../shared/api';
import { NumberInput } from '../shared/NumberInput';
import { useSettings } from '../shared/settings';
import { keyOfSource, orderStock } from '../../core/orders';
import { sourceOf, type Group, type SavedSheet, type Setup } from './cut-load';
import type { SavedSheetId } from './save-sheet';
import { LoadPanel } from './LoadPanel';
import { LoadSetup } from './LoadSetup';
import { useLoad } from './use-load';

/** Any stock of the vinyl, some lots of it, one, or a piece that was measured by hand. */
type StockWish = 'shelf' | 'typed' | 'mix' | number;
type Props = {
  readonly view: CutSheetsView;
  readonly group: Group;
  readonly start: SavedSheet | null;
  readonly onSaved: (saved: SavedSheetId, sheet: CutSheet) => void;
  readonly onDone: () => void;
};

export function VinylLoad({ view, group, start, onSaved, onDone }: Props) {
  const settings = useSettings();
  const [ownId, setOwnId] = useState(start?.id ?? null);
  const taken = useMemo(
    () => new Set(group.saved.filter((saved) => saved.id !== ownId).flatMap((saved) => listPartIds(saved.sheet))),
    [group.saved, ownId],
  );
  const parts = useMemo(() => group.parts.filter((part) => !taken.has(part.partId)), [group.parts, taken]);
  const [chosen, setChosen] = useState<ReadonlySet<number>>(
    () => new Set(start ? listPartIds(start.sheet) : parts.map((part) => part.partId)),
  );
  const [wish, setWish] = useState<StockWish>(() => startWish(group, start));
  const [mix, setMix] = useState<ReadonlySet<number>>(
    () => new Set(start ? start.sheet.sheets.map((use) => use.lotId) : group.stock.map((choice) => choice.lotId)),
  );
  const [typed, setTyped] = useState(() => {
    const lot = start?.sheet.lots.find((one) => one.lotId === 0);
    return { widthMm: lot?.widthMm ?? group.vinyl.rollWidthMm, lengthMm: lot?.lengthMm ?? 1000 };
  });
  const [setup, setSetup] = useState<Setup>(() =>
    start
      ? { gapMm: start.sheet.gapMm, hold: start.sheet.hold, marks: start.sheet.marks, inside: start.sheet.inside }
      : { gapMm: view.gapMm, hold: 'suited', marks: NO_MARKS, inside: 'bays' },
  );
  const [loose, setLoose] = useState<ReadonlySet<string>>(
    () => new Set(start?.sheet.pieces.flatMap((piece) => (piece.island === null ? [] : [keyOfSource(piece.source)]))),
  );
  const state = useLoad({
    view,
    group,
    start,
    onSaved: (saved, sheet) => {
      setOwnId(saved.id);
      onSaved(saved, sheet);
    },
    onParts: (ids) => setChosen(new Set(ids)),
  });
  const stock = useMemo((): readonly LotChoice[] => {
    if (wish === 'shelf') return orderStock(group.stock);
    if (wish === 'mix') return orderStock(group.stock.filter((choice) => mix.has(choice.lotId)));
    const lot = group.stock.find((choice) => choice.lotId === wish);
    return lot
      ? [lot]
      : [
          {
            lotId: 0,
            form: 'roll',
            widthMm: typed.widthMm,
            lengthMm: null,
            left: typed.lengthMm,
            shape: null,
            spoiledSpots: [],
            code: null,
          },
        ];
  }, [wish, typed, mix, group.stock]);
  const byItem = useMemo(() => {
    const found = new Map<string, Group['parts'][number][]>();
    for (const part of parts) {
      const key = `${part.orderId} ${part.itemName} ${part.layerName} ${part.widthMm}`;
      found.set(key, [...(found.get(key) ?? []), part]);
    }
    return [...found.values()];
  }, [parts]);
  const toggle = (ids: readonly number[], on: boolean) =>
    setChosen((before) => new Set(on ? [...before, ...ids] : [...before].filter((id) => !ids.includes(id))));
  const toggleLoose = (key: string, on: boolean) =>
    setLoose((before) => new Set(on ? [...before, key] : [...before].filter((one) => one !== key)));
  const nameLot = ({ form, code, lotId, widthMm, lengthMm, left }: LotChoice) =>
    form === 'roll'
      ? `Roll ${lotId}, ${formatLength(widthMm, settings)} wide, ${formatLength(left, settings)} left`
      : `${form === 'offcut' ? `Offcut ${code ?? lotId}` : `${Math.round(left)} × sheet`}, ${formatLength(widthMm, settings)} × ${formatLength(lengthMm ?? 0, settings)}`;
  const changeSetup = (next: Setup) => {
    setSetup(next);
    state.mark(next.marks);
  };
  const throwAway = async () => {
    const id = state.saving.saved()?.id ?? ownId;
    try {
      state.saving.forget();
      if (id !== null) await callApi('DELETE', `/api/cut-sheets/saved/${id}`);
      onDone();
    } catch (error) {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
    }
  };
  return (
    <div className="cols">
      <section className="sheet cols" aria-label="What is laid out">
        <div className="page-head below-0">
          <h2 className="flat">
            {ownId === null ? 'A new cut sheet' : 'A saved cut sheet'}, {group.vinyl.name}
          </h2>
          {ownId !== null && (
            <Button size="small" onClick={() => void throwAway()}>
              Discard it
            </Button>
          )}
        </div>
        <div className="readings">
          {byItem.map((own) => {
            const ids = own.map((part) => part.partId),
              on = ids.filter((id) => chosen.has(id)).length;
            const first = own[0]!,
              key = keyOfSource(sourceOf(first));
            return (
              <span key={ids[0]} className="row wrap middle own-line">
                <FormControlLabel
                  control={
                    <Checkbox
                      size="small"
                      checked={on === ids.length}
                      indeterminate={on > 0 && on < ids.length}
                      onChange={(_, checked) => toggle(ids, checked)}
                    />
                  }
                  label={
                    <span>
                      {own.length} × {first.layerName}, {first.itemName}{' '}
                      <span className="soft">
                        for {first.orderTitle}, {formatDay(first.dueDay, settings)},{' '}
                        {formatLength(first.widthMm, settings)} wide{first.broken ? ', to be cut again' : ''}
                      </span>
                    </span>
                  }
                />
                {on > 0 && (
                  <FormControlLabel
                    control={
                      <Checkbox
                        size="small"
                        checked={loose.has(key)}
                        onChange={(_, checked) => toggleLoose(key, checked)}
                      />
                    }
                    label={<span className="soft">its islands apart</span>}
                  />
                )}
              </span>
            );
          })}
          {parts.length === 0 && <span className="soft">Everything that waits of it lies on saved cut sheets.</span>}
        </div>
        <div className="fields split-2-1-1">
          <TextField
            select
            size="small"
            label="Cut from"
            value={wish}
            onChange={(event) => setWish(event.target.value as StockWish)}
          >
            {group.stock.length > 0 && (
              <MenuItem value="shelf">the shelf: offcuts first, then sheets, then the roll</MenuItem>
            )}
            {orderStock(group.stock).map((choice) => (
              <MenuItem key={choice.lotId} value={choice.lotId}>
                {nameLot(choice)}
              </MenuItem>
            ))}
            {group.stock.length > 2 && <MenuItem value="mix">some of these, chosen below</MenuItem>}
            <MenuItem value="typed">a piece of this size</MenuItem>
          </TextField>
          {wish === 'typed' && (
            <>
              <NumberInput
                shown
                label="As read: width"
                unit="mm"
                value={typed.widthMm}
                least={10}
                onChange={(widthMm) => setTyped({ ...typed, widthMm })}
              />
              <NumberInput
                shown
                label="length"
                unit="mm"
                value={typed.lengthMm}
                least={10}
                onChange={(lengthMm) => setTyped({ ...typed, lengthMm })}
              />
            </>
          )}
        </div>
        {wish === 'mix' && (
          <div className="readings">
            {orderStock(group.stock).map((choice) => (
              <FormControlLabel
                key={choice.lotId}
                control={
                  <Checkbox
                    size="small"
                    checked={mix.has(choice.lotId)}
                    onChange={(_, on) =>
                      setMix(
                        (before) =>
                          new Set(on ? [...before, choice.lotId] : [...before].filter((id) => id !== choice.lotId)),
                      )
                    }
                  />
                }
                label={nameLot(choice)}
              />
            ))}
          </div>
        )}
        <LoadSetup setup={setup} onChange={changeSetup} />
      </section>
      <LoadPanel
        state={state}
        group={group}
        input={{ parts: parts.filter((part) => chosen.has(part.partId)), stock, setup, loose }}
        others={parts.filter((part) => !chosen.has(part.partId))}
        bookable={wish !== 'typed'}
        nameLot={nameLot}
        onCut={onDone}
      />
    </div>
  );
}

/** A saved sheet goes on with the stock that it lies on. */
function startWish(group: Group, start: SavedSheet | null): StockWish {
  if (!start) return group.stock.length > 0 ? 'shelf' : 'typed';
  const lots = [...new Set(start.sheet.sheets.map((use) => use.lotId))],
    [only] = lots;
  if (lots.length === 1 && only !== undefined)
    return only === 0 ? 'typed' : group.stock.some((choice) => choice.lotId === only) ? only : 'shelf';
  return lots.length > 1 &&
    lots.every((id) => group.stock.some((choice) => choice.lotId === id)) &&
    group.stock.length > 2
    ? 'mix'
    : 'shelf';
}
