// One job: laid out, bettered, filled, changed by hand, given out, and cut.

import Button from '@mui/material/Button';
import { enqueueSnackbar } from 'notistack';
import { useMemo, useState } from 'react';
import { getKindFacts } from '../../core/materials';
import { listSheets, type LayoutFault, type Placement, type Leftover } from '../../core/nesting';
import { formatLength, formatShare } from '../../core/units';
import type { StockChoice, WaitingPart } from '../../views/cut-sheets';
import { describeFault, describeLayout, describeLoading } from '../../wording/nesting';
import type { CutFormat } from '../../workers/artwork-client';
import { stopNesting } from '../../workers/nest-client';
import { callApi, fetchFile, wordsOf } from '../shared/api';
import { useKeys } from '../shared/keys';
import { saveFile } from '../shared/save-file';
import { useSettings } from '../shared/settings';
import { choiceOf, keyOfSource, listLeftovers, partIdOf, placementKey, toCutLoad, type Group } from './cut-load';
import { FillSheet } from './FillSheet';
import { drawSheetMarks, placementsOn, toLoadCard, toLoadFacts, writeSheet } from './export-load';
import { SheetLeftovers, type LeftoverChoice } from './SheetLeftovers';
import { SheetView } from './SheetView';
import { listTargets, nameOf, turnAboutMiddle, type LoadInput, type LoadState } from './use-load';

type Props = {
  readonly state: LoadState;
  readonly group: Group;
  readonly input: LoadInput;
  /** The stock is on the book. */
  readonly bookable: boolean;
  readonly nameLot: (lot: StockChoice) => string;
  /** Parts that wait and are neither chosen nor on another sheet. */
  readonly others: readonly WaitingPart[];
  readonly onCut: () => void;
};
type Cut = {
  readonly eventIds: readonly number[];
  readonly partIds: readonly number[];
  readonly offcuts: readonly string[];
};

export function LoadPanel({ state, group, input, bookable, nameLot, others, onCut }: Props) {
  const settings = useSettings(),
    { figures } = settings.shop;
  const { laid, running, chosen, locked, faults, byPart, saving } = state;
  const [sending, setSending] = useState(false);
  const [leftoverKinds, setLeftoverKinds] = useState<ReadonlyMap<number, LeftoverChoice>>(new Map());
  const faulty = useMemo(() => new Set(faults.flatMap(keysOf)), [faults]);
  const leftovers = useMemo(
    () =>
      new Map<number, readonly Leftover[]>(
        laid && !running && !laid.counting
          ? laid.layout.sheets.map((use) => [use.sheet, listLeftovers(laid, use.sheet)])
          : [],
      ),
    [laid, running],
  );
  const leftoverOf = (sheet: number): Leftover | null => {
    const own = leftovers.get(sheet) ?? [],
      kind = leftoverKinds.get(sheet) ?? own[0]?.kind;
    return own.find((leftover) => leftover.kind === kind) ?? null;
  };
  const nudge = (dxMm: number, dyMm: number) =>
    chosen && state.change(chosen, { xMm: chosen.xMm + dxMm, yMm: chosen.yMm + dyMm });
  const turn = (degrees: number) => chosen && laid && state.change(chosen, turnAboutMiddle(chosen, laid.job, degrees));
  const none = (what: string) => enqueueSnackbar(what, { variant: 'warning' });
  const takeOff = (placement: Placement) =>
    laid && laid.layout.placements.length > 1
      ? state.remove(placement)
      : none('It is the last piece on it: throw the whole sheet away instead.');
  const targets = chosen && laid && !running ? listTargets(laid).filter((sheet) => sheet !== chosen.sheet) : [];
  useKeys('cut-sheet', [
    { keys: 'r', shown: 'R', does: 'turn the chosen part by 15°', run: () => turn(15) },
    { keys: 'Shift+R', shown: 'Shift R', does: 'turn it by 1°', run: () => turn(1) },
    { keys: 'l', shown: 'L', does: 'lock it, or let it go', run: state.lock },
    {
      keys: 'm',
      shown: 'M',
      does: 'move it to the next sheet',
      run: () =>
        chosen &&
        targets[0] !== undefined &&
        void state.moveTo(chosen, targets[0], () =>
          none('There is no room for it on that sheet: it lies there with its fault.'),
        ),
    },
    { keys: '$mod+z', shown: 'Ctrl Z', does: 'take back the last change', run: () => state.undo?.() },
    {
      keys: 'Delete',
      shown: 'Del',
      does: 'take it off the sheet: it waits again',
      run: () => chosen && takeOff(chosen),
    },
    { keys: 'ArrowRight', shown: 'arrows', does: 'move it by 1 mm, with Shift by 0.1 mm', run: () => nudge(0, 1) },
    { keys: 'ArrowLeft', shown: '', does: '', run: () => nudge(0, -1) },
    { keys: 'ArrowUp', shown: '', does: '', run: () => nudge(1, 0) },
    { keys: 'ArrowDown', shown: '', does: '', run: () => nudge(-1, 0) },
    { keys: 'Shift+ArrowRight', shown: '', does: '', run: () => nudge(0, 0.1) },
    { keys: 'Shift+ArrowLeft', shown: '', does: '', run: () => nudge(0, -0.1) },
    { keys: 'Shift+ArrowUp', shown: '', does: '', run: () => nudge(0.1, 0) },
    { keys: 'Shift+ArrowDown', shown: '', does: '', run: () => nudge(-0.1, 0) },
  ]);
  const nameStock = (stockId: string) => {
    const lot = laid ? choiceOf(laid, stockId) : undefined;
    return lot && lot.lotId > 0 ? nameLot(lot) : 'a piece of its own';
  };
  const tell = async (task: () => Promise<void>) => {
    setSending(true);
    try {
      await task();
    } catch (error) {
      state.setRefusal(wordsOf(error));
    } finally {
      setSending(false);
    }
  };
  const give = (format: CutFormat) =>
    tell(async () => {
      for (const use of laid?.layout.sheets ?? [])
        saveFile(
          await writeSheet(laid!, use, group.vinyl, byPart, format),
          `${group.vinyl.name} sheet ${use.sheet + 1}.${format === 'hpgl' ? 'plt' : format}`,
        );
    });
  const printCard = () =>
    tell(async () => {
      if (laid)
        saveFile(
          await fetchFile(
            '/api/cut-sheets/card',
            new Blob([JSON.stringify(toLoadCard(laid, group.vinyl, byPart, figures, nameStock))]),
          ),
          `${group.vinyl.name} loading card.pdf`,
        );
    });
  const undoCut = (cut: Cut) =>
    tell(async () => {
      await callApi('POST', '/api/parts/undo', { partIds: cut.partIds, eventIds: cut.eventIds });
      onCut();
    });
  const book = () =>
    tell(async () => {
      if (!laid) return;
      await saving.settle();
      const cut = await callApi<Cut>(
        'POST',
        '/api/cut-sheets/cut',
        toCutLoad(laid, saving.saved()?.id ?? null, leftoverOf),
      );
      saving.forget();
      enqueueSnackbar(
        `Booked: ${cut.partIds.length} ${cut.partIds.length === 1 ? 'part is' : 'parts are'} cut${cut.offcuts.length > 0 ? `; write ${cut.offcuts.join(', ')} on what is left` : ''}.`,
        {
          action: (
            <Button color="inherit" variant="text" onClick={() => void undoCut(cut)}>
              Undo
            </Button>
          ),
        },
      );
      onCut();
    });
  const stale = laid !== null && isStale(laid, input);
  const count = input.parts.length;
  return (
    <section className="sheet cols" aria-label="Load">
      <div className="page-head">
        <h2 style={{ margin: 0 }} aria-live="polite">
          {laid
            ? laid.counting
              ? `${laid.layout.placements.length} of it fit on this`
              : describeLayout(laid.layout, group.vinyl.name, settings)
            : `${count} ${count === 1 ? 'part' : 'parts'} to lay out`}
        </h2>
        <div className="actions">
          {running ? (
            <Button onClick={stopNesting}>Stop here</Button>
          ) : (
            <>
              <Button
                variant={laid && !stale ? 'outlined' : 'contained'}
                disabled={count === 0}
                onClick={() => void state.layOut(input, false)}
              >
                Lay out
              </Button>
              {laid && !stale && !laid.counting && (
                <Button onClick={() => void state.improveFurther()}>
                  {locked.size > 0 ? 'Improve around the locked' : 'Improve further'}
                </Button>
              )}
              {laid && !stale && !laid.counting && faults.length === 0 && (
                <FillSheet
                  waiting={others}
                  usual={group.usual}
                  onParts={() => void state.fillWithParts(others, () => none('None of them fits into what is left.'))}
                  onUsual={(piece) =>
                    void state.fillWithSpares(piece, (added) =>
                      added === 0
                        ? none(`Not even one ${piece.name} fits into what is left.`)
                        : enqueueSnackbar(`${added} more of ${piece.name} on it, for the shelf.`),
                    )
                  }
                />
              )}
              <Button disabled={count === 0} onClick={() => void state.layOut(input, true)}>
                How many fit?
              </Button>
            </>
          )}
        </div>
      </div>
      {running && (
        <p className="soft" role="status" style={{ margin: 0 }}>
          {laid ? 'Looking for a shorter strip; the best so far is shown and saved.' : 'Reading the outlines.'}
        </p>
      )}
      {state.refusal && (
        <div className="notice bad" role="alert">
          {state.refusal}
        </div>
      )}
      {saving.problem && (
        <div className="notice bad" role="alert">
          <strong>This is not saved</strong>
          {saving.problem}
        </div>
      )}
      {stale && !running && (
        <div className="notice" role="status">
          Parts, stock or what is drawn beside them have changed since: lay out anew.
        </div>
      )}
      {faults.length > 0 && (
        <div className="notice bad" role="alert">
          <strong>This can’t be cut so</strong>
          {[...new Set(faults.map((fault) => describeFault(fault, settings)))].slice(0, 3).join(' ')}
        </div>
      )}
      {laid?.layout.sheets.map((use) => {
        const kind = listSheets(laid.stock)[use.sheet];
        const facts = toLoadFacts(
          laid,
          use,
          figures,
          getKindFacts(group.vinyl.kind).label,
          group.vinyl.details.thicknessUm,
        );
        return (
          kind && (
            <div key={use.sheet} className="cols" style={{ gap: 4 }}>
              <div className="readings soft">
                <span>
                  {laid.layout.sheets.length > 1 ? `${use.sheet + 1}: ` : ''}
                  {nameStock(use.stockId)}
                </span>
                <span>
                  cut off <b>{formatLength(use.usedLengthMm, settings)}</b>
                </span>
                <span>
                  used <b>{formatShare(use.density, settings, 0)}</b>
                </span>
              </div>
              <SheetView
                use={use}
                stock={kind}
                placements={placementsOn(laid, use.sheet)}
                laid={laid}
                marks={drawSheetMarks(laid, use)}
                byPart={byPart}
                leftover={leftoverOf(use.sheet)}
                colour={group.vinyl.colourHex}
                nameOf={(placement) => nameOf(laid, byPart, placement)}
                chosen={chosen}
                locked={locked}
                faulty={faulty}
                onChoose={(placement) => !running && state.setChosen(placement)}
                onMove={(placement, dxMm, dyMm) => {
                  const now = laid.layout.placements.find((one) => placementKey(one) === placementKey(placement));
                  if (now && !running) state.change(now, { xMm: now.xMm + dxMm, yMm: now.yMm + dyMm });
                }}
              />
              {!running && !laid.counting && !facts.isRoll && bookable && (
                <SheetLeftovers
                  leftovers={leftovers.get(use.sheet) ?? []}
                  chosen={leftoverKinds.get(use.sheet) ?? leftovers.get(use.sheet)?.[0]?.kind ?? 'nothing'}
                  onChoose={(choice) => setLeftoverKinds(new Map([...leftoverKinds, [use.sheet, choice]]))}
                />
              )}
              {!running && !laid.counting && !stale && (
                <details>
                  <summary className="soft">
                    Load it{' '}
                    {facts.mirrored === 'all'
                      ? 'carrier down, mirrored'
                      : facts.mirrored === 'none'
                        ? 'face up'
                        : 'in two loads'}
                    , {facts.onMat ? 'on a mat' : 'without a mat'}
                  </summary>
                  <dl className="pairs">
                    {describeLoading(facts, settings).map(({ label, text }) => (
                      <div key={label} style={{ display: 'flex', gap: 8 }}>
                        <dt className="soft" style={{ minWidth: 70 }}>
                          {label}
                        </dt>
                        <dd style={{ margin: 0 }}>{text}</dd>
                      </div>
                    ))}
                  </dl>
                </details>
              )}
            </div>
          )
        );
      })}
      {chosen && laid && (
        <div className="actions" style={{ maxWidth: 'none', justifyContent: 'flex-start', alignItems: 'center' }}>
          <span className="soft">
            {nameOf(laid, byPart, chosen)}: drag it, <kbd>R</kbd> turns it, arrows move it, <kbd>L</kbd>{' '}
            {locked.has(placementKey(chosen)) ? 'lets it go' : 'locks it'}.
          </span>
          {targets.map((sheet) => (
            <Button
              key={sheet}
              size="small"
              onClick={() =>
                void state.moveTo(chosen, sheet, () =>
                  none('There is no room for it on that sheet: it lies there with its fault.'),
                )
              }
            >
              To sheet {sheet + 1}
            </Button>
          ))}
          {!running && (
            <Button size="small" onClick={() => takeOff(chosen)}>
              Take it off
            </Button>
          )}
        </div>
      )}
      {laid && !laid.counting && !running && !stale && (
        <div className="actions" style={{ maxWidth: 'none' }}>
          {state.undo && (
            <Button size="small" onClick={state.undo}>
              Take back
            </Button>
          )}
          <Button size="small" disabled={sending || faults.length > 0} onClick={() => void printCard()}>
            Loading card
          </Button>
          {(['svg', 'dxf', 'hpgl'] as const).map((format) => (
            <Button key={format} size="small" disabled={sending || faults.length > 0} onClick={() => void give(format)}>
              {format.toUpperCase()}
            </Button>
          ))}
          {bookable && (
            <Button
              variant="contained"
              disabled={
                faults.length > 0 ||
                sending ||
                laid.layout.placements.every((placement) => partIdOf(laid.job, placement) === null)
              }
              onClick={() => void book()}
            >
              It is cut: book it
            </Button>
          )}
        </div>
      )}
    </section>
  );
}

function keysOf(fault: LayoutFault): readonly string[] {
  return fault.kind === 'overlap'
    ? [placementKey(fault.first), placementKey(fault.second)]
    : fault.kind === 'missing'
      ? []
      : [placementKey(fault.placement)];
}

/** Whether something else is asked for than what is laid out. Marks that need no room are drawn as they are asked for. */
function isStale(laid: NonNullable<LoadState['laid']>, { parts, stock, setup, loose }: LoadInput): boolean {
  if (
    laid.setup.gapMm !== setup.gapMm ||
    laid.setup.hold !== setup.hold ||
    laid.setup.inside !== setup.inside ||
    laid.setup.marks.tags !== setup.marks.tags
  )
    return true;
  const isOffered = (stockId: string) => {
    const choice = choiceOf(laid, stockId);
    return (
      choice !== undefined &&
      stock.some(
        (lot) =>
          lot.lotId === choice.lotId && (lot.lotId > 0 || (lot.widthMm === choice.widthMm && lot.left === choice.left)),
      )
    );
  };
  if (!laid.layout.sheets.every((use) => isOffered(use.stockId))) return true;
  if (laid.counting) return false;
  const parted = new Set(laid.job.cut.flatMap((piece) => (piece.island === null ? [] : [keyOfSource(piece.source)])));
  if (
    [...parted].some((key) => !loose.has(key)) ||
    [...loose].some((key) => !parted.has(key) && (laid.shapes.get(key)?.islands.length ?? 0) > 1)
  )
    return true;
  const own = new Set(laid.job.cut.flatMap((piece) => piece.partIds.flatMap((id) => id ?? []))),
    asked = new Set(parts.map((part) => part.partId));
  return own.size !== asked.size || [...asked].some((id) => !own.has(id));
}
