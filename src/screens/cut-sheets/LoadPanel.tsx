// One load: laid out, bettered, changed by hand, given out, and cut.

import Button from '@mui/material/Button';
import { enqueueSnackbar } from 'notistack';
import { useEffect, useMemo, useRef, useState } from 'react';
import { checkLayout, type LayoutFault, type NestLayout, type NestOptions, type NestStock, type Placement } from '../../core/nesting';
import { formatLength, formatShare } from '../../core/units';
import type { CutSheetsView, StockChoice, WaitingPart } from '../../views/views';
import { describeFault, describeLayout, describeNestProblem } from '../../wording/nesting';
import type { CutFormat } from '../../workers/artwork-client';
import { nestInWorkers, shapeInWorker, stopNesting, type CutShape } from '../../workers/nest-client';
import { callApi, fetchFile, wordsOf } from '../shared/api';
import { useKeys } from '../shared/keys';
import { saveFile } from '../shared/save-file';
import { useSettings } from '../shared/settings';
import { getShapeKey, makeLoad, partOf, toCutLoad, toStock, type Group, type Load } from './cut-load';
import { placementKey, SheetView } from './SheetView';
import { writeLoad } from './write-load';

type Props = { readonly view: CutSheetsView; readonly group: Group; readonly parts: readonly WaitingPart[]; readonly stock: readonly StockChoice[]; readonly gapMm: number; /** The stock is on the book. */ readonly bookable: boolean; readonly nameLot: (lot: StockChoice) => string; readonly onCut: () => void };
type Laid = { readonly layout: NestLayout; readonly load: Load; readonly shapes: ReadonlyMap<string, CutShape>; readonly stock: readonly NestStock[]; readonly choices: readonly StockChoice[]; readonly options: NestOptions; /** To see how many go on it: parts that nobody ordered. */ readonly counting: boolean };
type Cut = { readonly eventIds: readonly number[]; readonly partIds: readonly number[]; readonly offcuts: readonly string[] };

const ENDLESS = 1e9;
/** Improvement that goes on by itself; after it, by a button. */
const FIRST_SECONDS = 20;

export function LoadPanel({ view, group, parts, stock, gapMm, bookable, nameLot, onCut }: Props) {
  const settings = useSettings();
  const { figures } = settings.shop;
  const [laid, setLaid] = useState<Laid | null>(null);
  const [running, setRunning] = useState(false);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [chosen, setChosen] = useState<Placement | null>(null);
  const [locked, setLocked] = useState<ReadonlySet<string>>(new Set());
  const [sending, setSending] = useState(false);
  const cache = useRef(new Map<string, CutShape>());
  useEffect(() => stopNesting, []);
  const faults = useMemo(() => (laid && !running ? checkLayout(laid.load.pieces, laid.stock, laid.layout, laid.options).filter((fault) => fault.kind !== 'missing') : []), [laid, running]);
  const faulty = useMemo(() => new Set(faults.flatMap(keysOf)), [faults]);

  const loadShapes = async (): Promise<ReadonlyMap<string, CutShape>> => {
    for (const part of parts) {
      const key = getShapeKey(part), artwork = view.artworks.find((candidate) => candidate.id === part.artworkId);
      if (cache.current.has(key) || !artwork) continue;
      const bytes = await (await fetchFile(`/api/artwork/${artwork.id}/original`)).arrayBuffer();
      const shape = await shapeInWorker({ bytes, steps: artwork.steps, keptWidthMm: artwork.widthMm, widthMm: part.widthMm, layerIndex: part.layerIndex, mirrored: part.mirrored });
      if (shape) cache.current.set(key, shape);
    }
    return cache.current;
  };
  const run = async (from: Laid | null, keepLocked: boolean, counting: boolean) => {
    setRefusal(null);
    setRunning(true);
    setChosen(null);
    try {
      const shapes = await loadShapes();
      const load = from?.load ?? makeLoad(parts, shapes, group.vinyl.details.direction === 'none');
      const choices = from?.choices ?? stock.filter((choice) => toStock(choice) !== null), kinds = choices.map((choice) => toStock(choice)!);
      if (load.pieces.length === 0) return setRefusal('Choose at least one part whose drawing can be read.');
      const isLocked = (placement: Placement) => locked.has(placementKey(placement));
      const options: NestOptions = {
        gapMm, margins: { sideMm: figures.cutterEdgeMm, endMm: figures.weedMarginMm }, inside: 'bays', seed: 0.31, rounds: ENDLESS, timeMs: FIRST_SECONDS * 1000,
        ...(from ? { start: from.layout.placements.filter((placement) => !keepLocked || !isLocked(placement)), ...(keepLocked ? { locked: from.layout.placements.filter(isLocked) } : {}) } : {}),
      };
      let best: NestLayout | null = null;
      const take = (layout: NestLayout) => {
        if (best && !isShorter(layout, best)) return;
        best = layout;
        setLaid({ layout, load, shapes, stock: kinds, choices, options, counting });
      };
      const results = await nestInWorkers({ pieces: load.pieces, stock: kinds, options, count: counting }, take);
      const failed = results.find((result) => !result.ok);
      if (!best && failed && !failed.ok) setRefusal(describeNestProblem(renamePiece(failed.problem, load), settings));
    } catch (error) {
      setRefusal(wordsOf(error));
    } finally {
      setRunning(false);
    }
  };
  const change = (placement: Placement, part: Partial<Placement>) => {
    const next = { ...placement, ...part };
    setLaid((before) => before && { ...before, layout: { ...before.layout, placements: before.layout.placements.map((one) => (placementKey(one) === placementKey(placement) ? next : one)) } });
    setChosen(next);
  };
  const nudge = (dxMm: number, dyMm: number) => chosen && change(chosen, { xMm: chosen.xMm + dxMm, yMm: chosen.yMm + dyMm });
  const turn = (degrees: number) => chosen && laid && change(chosen, turnAboutMiddle(chosen, laid.load, degrees));
  const lock = () => chosen && setLocked((before) => {
    const key = placementKey(chosen), next = new Set(before);
    if (!next.delete(key)) next.add(key);
    return next;
  });
  useKeys('cut-sheet', [
    { keys: 'r', shown: 'R', does: 'turn the chosen part by 15°', run: () => turn(15) }, { keys: 'Shift+R', shown: 'Shift R', does: 'turn it by 1°', run: () => turn(1) }, { keys: 'l', shown: 'L', does: 'lock it, or let it go', run: lock },
    { keys: 'ArrowRight', shown: 'arrows', does: 'move it by 1 mm, with Shift by 0.1 mm', run: () => nudge(0, 1) }, { keys: 'ArrowLeft', shown: '', does: '', run: () => nudge(0, -1) }, { keys: 'ArrowUp', shown: '', does: '', run: () => nudge(1, 0) }, { keys: 'ArrowDown', shown: '', does: '', run: () => nudge(-1, 0) },
    { keys: 'Shift+ArrowRight', shown: '', does: '', run: () => nudge(0, 0.1) }, { keys: 'Shift+ArrowLeft', shown: '', does: '', run: () => nudge(0, -0.1) }, { keys: 'Shift+ArrowUp', shown: '', does: '', run: () => nudge(0.1, 0) }, { keys: 'Shift+ArrowDown', shown: '', does: '', run: () => nudge(-0.1, 0) },
  ]);
  const nameOf = (placement: Placement) => {
    const part = laid ? partOf(laid.load, placement) : undefined;
    return part ? `${part.orderTitle}, piece ${part.unitNumber}: ${part.layerName}` : 'part';
  };
  const give = (format: CutFormat) => laid?.layout.sheets.forEach((use) => {
    const kind = sheetStock(laid.stock, use.sheet), placements = laid.layout.placements.filter((placement) => placement.sheet === use.sheet);
    if (!kind) return;
    const widthMm = kind.kind === 'offcut' ? Math.max(...kind.shape.map((point) => point.x)) : kind.widthMm;
    const mirrored = placements.some((placement) => partOf(laid.load, placement)?.mirrored);
    saveFile(writeLoad(placements, laid.shapes, { name: `${group.vinyl.name}, sheet ${use.sheet + 1}`, widthMm, lengthMm: use.usedLengthMm, mirrored, colour: group.vinyl.colourHex }, format), `${group.vinyl.name} sheet ${use.sheet + 1}.${format === 'hpgl' ? 'plt' : format}`);
  });
  const undo = async (cut: Cut) => {
    try {
      await callApi('POST', '/api/parts/undo', { partIds: cut.partIds, eventIds: cut.eventIds });
      onCut();
    } catch (error) {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
    }
  };
  const book = async () => {
    if (!laid) return;
    setSending(true);
    try {
      const cut = await callApi<Cut>('POST', '/api/cut-sheets/cut', toCutLoad(laid.layout, laid.load, laid.choices, laid.options.gapMm));
      enqueueSnackbar(`Booked: ${cut.partIds.length} parts are cut${cut.offcuts.length > 0 ? `; write ${cut.offcuts.join(', ')} on what is left` : ''}.`, { action: <Button color="inherit" variant="text" onClick={() => void undo(cut)}>Undo</Button> });
      onCut();
    } catch (error) {
      setRefusal(wordsOf(error));
    } finally {
      setSending(false);
    }
  };
  const stale = laid !== null && (laid.options.gapMm !== gapMm || laid.choices.map((choice) => choice.lotId).join() !== stock.map((choice) => choice.lotId).join() || (!laid.counting && laid.load.pieces.reduce((sum, piece) => sum + piece.copies, 0) !== parts.length));
  return (
    <section className="sheet cols" aria-label="Load">
      <div className="page-head"><h2 style={{ margin: 0 }} aria-live="polite">{laid ? laid.counting ? `${laid.layout.placements.length} of it fit on this` : describeLayout(laid.layout, group.vinyl.name, settings) : `${parts.length} ${parts.length === 1 ? 'part' : 'parts'} to lay out`}</h2>
        <div className="actions">
          {running ? <Button onClick={stopNesting}>Stop here</Button> : <><Button variant={laid && !stale ? 'outlined' : 'contained'} disabled={parts.length === 0} onClick={() => void run(null, false, false)}>Lay out</Button>
            {laid && !stale && !laid.counting && <Button onClick={() => void run(laid, locked.size > 0, false)}>{locked.size > 0 ? 'Improve around the locked' : 'Improve further'}</Button>}
            <Button disabled={parts.length === 0} onClick={() => void run(null, false, true)}>How many fit?</Button></>}
        </div></div>
      {running && <p className="soft" role="status" style={{ margin: 0 }}>{laid ? 'Looking for a shorter strip; the best so far is shown.' : 'Reading the outlines.'}</p>}
      {refusal && <div className="notice bad" role="alert">{refusal}</div>}
      {stale && !running && <div className="notice" role="status">Parts, stock or gap have changed since: lay out anew.</div>}
      {faults.length > 0 && <div className="notice bad" role="alert"><strong>This can’t be cut so</strong>{[...new Set(faults.map((fault) => describeFault(fault, settings)))].slice(0, 3).join(' ')}</div>}
      {laid?.layout.sheets.map((use) => {
        const kind = sheetStock(laid.stock, use.sheet), lot = laid.choices.find((choice) => String(choice.lotId) === use.stockId);
        return kind && (
          <div key={use.sheet} className="cols" style={{ gap: 4 }}>
            <div className="readings soft"><span>{lot && lot.lotId > 0 ? nameLot(lot) : 'this piece'}</span><span>cut off <b>{formatLength(use.usedLengthMm, settings)}</b></span><span>used <b>{formatShare(use.density, settings, 0)}</b></span></div>
            <SheetView use={use} stock={kind} placements={laid.layout.placements.filter((placement) => placement.sheet === use.sheet)} shapes={laid.shapes} colour={group.vinyl.colourHex} nameOf={nameOf} chosen={chosen} locked={locked} faulty={faulty} onChoose={(placement) => !running && setChosen(placement)} onMove={(placement, dxMm, dyMm) => { const now = laid.layout.placements.find((one) => placementKey(one) === placementKey(placement)); if (now && !running) change(now, { xMm: now.xMm + dxMm, yMm: now.yMm + dyMm }); }} />
          </div>
        );
      })}
      {chosen && <p className="soft" style={{ margin: 0 }}>{nameOf(chosen)}: drag it, <kbd>R</kbd> turns it, arrows move it, <kbd>L</kbd> {locked.has(placementKey(chosen)) ? 'lets it go' : 'locks it'}.</p>}
      {laid && !laid.counting && !running && !stale && (
        <div className="actions" style={{ maxWidth: 'none' }}>
          <span className="soft" style={{ alignSelf: 'center' }}>{describeSides(laid)}</span>
          {(['svg', 'dxf', 'hpgl'] as const).map((format) => <Button key={format} size="small" disabled={faults.length > 0} onClick={() => give(format)}>{format.toUpperCase()}</Button>)}
          {bookable && <Button variant="contained" disabled={faults.length > 0 || sending || laid.layout.placements.length === 0} onClick={() => void book()}>It is cut: book it</Button>}
        </div>
      )}
    </section>
  );
}

const isShorter = (a: NestLayout, b: NestLayout): boolean => a.left.length < b.left.length || (a.left.length === b.left.length && (a.sheets.length < b.sheets.length || (a.sheets.length === b.sheets.length && a.usedLengthMm < b.usedLengthMm)));

function keysOf(fault: LayoutFault): readonly string[] {
  return fault.kind === 'overlap' ? [placementKey(fault.first), placementKey(fault.second)] : fault.kind === 'missing' ? [] : [placementKey(fault.placement)];
}

/** Sheets of one lot are counted one by one. */
const sheetStock = (stock: readonly NestStock[], sheet: number): NestStock | undefined => stock.flatMap((kind) => (kind.kind === 'sheet' ? Array<NestStock>(kind.count).fill(kind) : [kind]))[sheet];

function describeSides({ layout, load }: Laid): string {
  const mirrored = layout.placements.map((placement) => partOf(load, placement)?.mirrored ?? false);
  const side = mirrored.every(Boolean) ? 'carrier down, cut mirrored' : mirrored.some(Boolean) ? 'some parts mirrored' : 'face up, not mirrored';
  return `Load it ${side}; origin at the left, where the strip begins. Test cut first.`;
}

/** A problem names the piece by what it is of, not by its key. */
function renamePiece<T extends { readonly kind: string; readonly pieceId?: string }>(problem: T, load: Load): T {
  const [part] = load.parts.get(problem.pieceId ?? '') ?? [];
  return part ? { ...problem, pieceId: `${part.layerName} of ${part.itemName}` } : problem;
}

/** Turned where it lies: about the middle of its outline, not about its own corner. */
function turnAboutMiddle(placement: Placement, load: Load, degrees: number): Partial<Placement> {
  const ring = load.pieces.find((piece) => piece.id === placement.pieceId)?.rings[0] ?? [];
  const xs = ring.map((point) => point.x), ys = ring.map((point) => point.y);
  const middle = { x: (Math.min(...xs) + Math.max(...xs)) / 2, y: (Math.min(...ys) + Math.max(...ys)) / 2 };
  const at = (rotation: number) => {
    const angle = (rotation * Math.PI) / 180;
    return { x: middle.x * Math.cos(angle) - middle.y * Math.sin(angle), y: middle.x * Math.sin(angle) + middle.y * Math.cos(angle) };
  };
  const rotationDeg = (placement.rotationDeg + degrees) % 360, before = at(placement.rotationDeg), after = at(rotationDeg);
  return { rotationDeg, xMm: placement.xMm + before.x - after.x, yMm: placement.yMm + before.y - after.y };
}
