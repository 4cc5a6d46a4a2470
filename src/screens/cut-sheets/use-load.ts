// One load while it is worked on: laid out, improved, filled, changed by hand, saved.

import { useEffect, useMemo, useRef, useState } from 'react';
import {
  checkLayout,
  measureLayout,
  type CutShape,
  type NestLayout,
  type NestOptions,
  type Placement,
} from '../../core/nesting';
import { listPartIds, placementKey, type CutSheet, type CutSheetPiece, type LotChoice } from '../../core/orders';
import type { CutSheetsView, UsualPiece, WaitingPart } from '../../views/cut-sheets';
import { describeNestProblem } from '../../wording/nesting';
import { fillInWorker, nestInWorkers, stopNesting } from '../../workers/nest-client';
import { wordsOf } from '../shared/api';
import { useSettings } from '../shared/settings';
import {
  sourceOf,
  toCutPieces,
  toCutSheet,
  toSpares,
  type Group,
  type Laid,
  type SavedSheet,
  type Setup,
} from './cut-load';
import { keepPlaced, nameProblem, removeCopy, toPlainOptions, withoutPiece } from './load-edits';
import { isShorter, makeLoadReading } from './load-reading';
import { useSavedSheet, type SavedSheetId } from './save-sheet';
import { useLoadHistory } from './use-load-history';

/** So many more of one thing are tried at most to fill what is left. */
const MOST_SPARES = 40;
/** Pieces added to a saved sheet are numbered beyond any that it had. */
const SERIAL_STEP = 1000;

type Input = {
  readonly view: CutSheetsView;
  readonly group: Group;
  readonly start: SavedSheet | null;
  readonly onSaved: (saved: SavedSheetId, sheet: CutSheet) => void;
  /** What is on it after a change by hand: so much is chosen. */
  readonly onParts: (partIds: readonly number[]) => void;
};
export type LoadInput = {
  readonly parts: readonly WaitingPart[];
  readonly stock: readonly LotChoice[];
  readonly setup: Setup;
  readonly loose: ReadonlySet<string>;
};

export function useLoad(input: Input) {
  const { start, onParts } = input;
  const core = useLoadCore(input);
  const { laid, running, reading, attempt, show, history, setRefusal } = core;
  const [chosen, setChosen] = useState<Placement | null>(null);
  const edits = useLoadEdits(core, chosen, setChosen, onParts);
  const faults = useMemo(() => (laid && !running ? listFaults(laid) : []), [laid, running]);
  useEffect(() => stopNesting, []);

  const improve = async (from: Omit<Laid, 'layout'>, options: NestOptions) => {
    let best: NestLayout | null = null;
    const task = { pieces: from.job.pieces, stock: from.stock, options, count: from.counting };
    const results = await nestInWorkers(task, (layout) => {
      if (best && !isShorter(layout, best)) return;
      best = layout;
      show({ ...from, layout });
    });
    const failed = results.find((result) => !result.ok);
    if (!best && failed && !failed.ok) core.refuse(nameProblem(failed.problem, from.job));
  };
  const layOut = ({ parts, stock, setup, loose }: LoadInput, counting: boolean) =>
    attempt(async () => {
      setChosen(null);
      core.setLocked(new Set());
      history.forget();
      await reading.readShapes(parts.map(sourceOf));
      const job = reading.build(toCutPieces(counting ? parts.slice(0, 1) : parts, reading.cache, loose), setup);
      if (job.pieces.length === 0) return setRefusal('Choose at least one part whose drawing can be read.');
      const choices = stock.filter((choice) => reading.stockFor([choice], setup).length > 0);
      const options = reading.optionsOf(setup);
      const from = { job, choices, stock: reading.stockFor(choices, setup), shapes: reading.cache };
      await improve({ ...from, options, setup, counting }, options);
    });
  const improveFurther = () =>
    laid &&
    attempt(async () => {
      setChosen(null);
      history.remember(laid, core.locked);
      const isLocked = (placement: Placement) => core.locked.has(placementKey(placement));
      const { placements } = laid.layout;
      await improve(laid, {
        ...laid.options,
        start: placements.filter((placement) => !isLocked(placement)),
        locked: placements.filter(isLocked),
      });
    });

  const restored = useRef(false);
  useEffect(() => {
    // Once: it is this sheet until another is opened.
    if (!start || restored.current) return;
    restored.current = true;
    void attempt(() => core.reopen(start));
  });
  return {
    laid,
    running,
    refusal: core.refusal,
    setRefusal,
    chosen,
    setChosen,
    locked: core.locked,
    faults,
    byPart: reading.byPart,
    saving: core.saving,
    layOut,
    improveFurther,
    ...edits,
    undo: history.last && !running ? edits.undo : null,
  };
}

export type LoadState = ReturnType<typeof useLoad>;

const listFaults = ({ job, stock, layout, options }: Laid) =>
  checkLayout(job.pieces, stock, layout, options).filter((fault) => fault.kind !== 'missing');

/** What is laid out and locked, how it is read, and the task that runs. */
function useLoadCore({ view, group, start, onSaved }: Input) {
  const settings = useSettings();
  const { figures } = settings.shop;
  const [laid, setLaid] = useState<Laid | null>(null);
  const [running, setRunning] = useState(false);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [locked, setLocked] = useState<ReadonlySet<string>>(new Set(start?.sheet.locked));
  const cache = useRef(new Map<string, CutShape>());
  const serial = useRef(0);
  const history = useLoadHistory();
  const saving = useSavedSheet(group.vinyl.id, start, onSaved);
  const byPart = useMemo(() => new Map(group.parts.map((part) => [part.partId, part])), [group.parts]);
  const reading = makeLoadReading({ view, group, figures, cache: cache.current, byPart });
  /** Shown, and saved unless it only counts. */
  const show = (next: Laid, lockedNow: ReadonlySet<string> = locked) => {
    setLaid(next);
    if (!next.counting && next.layout.placements.length > 0) saving.save(toCutSheet(next, lockedNow));
  };
  const attempt = async (task: () => Promise<void>) => {
    setRefusal(null);
    setRunning(true);
    try {
      await task();
    } catch (error) {
      setRefusal(wordsOf(error));
    } finally {
      setRunning(false);
    }
  };
  const reopen = async (saved: SavedSheet) => {
    const next = await reading.reopen(saved);
    serial.current = saved.version + SERIAL_STEP;
    setLaid(next);
    setLocked(new Set(saved.sheet.locked));
  };
  const refuse = (problem: Parameters<typeof describeNestProblem>[0]) =>
    setRefusal(describeNestProblem(problem, settings));
  /** Tells pieces that are added later from others of their kind. */
  const nextSuffix = () => `+${++serial.current}`;
  return {
    laid,
    running,
    refusal,
    setRefusal,
    locked,
    setLocked,
    history,
    saving,
    reading,
    show,
    attempt,
    reopen,
    refuse,
    nextSuffix,
  };
}

type Core = ReturnType<typeof useLoadCore>;

/** Changes by hand: each can be undone. */
function useLoadEdits(
  core: Core,
  chosen: Placement | null,
  setChosen: (placement: Placement | null) => void,
  onParts: Input['onParts'],
) {
  const { laid, locked, running, reading, history, show, attempt } = core;
  const replace = (now: Laid, placements: readonly Placement[], job = now.job) => {
    history.remember(now, locked);
    if (job !== now.job) onParts(listPartIds({ pieces: job.cut }));
    const layout = measureLayout(job.pieces, now.stock, placements, now.options.margins);
    show({ ...now, job, layout: { ...layout, left: now.layout.left } });
  };
  const change = (placement: Placement, part: Partial<Placement>) => {
    if (!laid) return;
    const next = { ...placement, ...part };
    const isOwn = (one: Placement) => placementKey(one) === placementKey(placement);
    replace(
      laid,
      laid.layout.placements.map((one) => (isOwn(one) ? next : one)),
    );
    setChosen(next);
  };
  const lock = () => {
    if (!chosen || !laid) return;
    const key = placementKey(chosen);
    const next = new Set(locked);
    if (!next.delete(key)) next.add(key);
    history.remember(laid, locked);
    core.setLocked(next);
    show(laid, next);
  };
  const remove = (placement: Placement) => {
    if (!laid) return;
    const { cut, placements } = removeCopy(laid, placement);
    replace(laid, placements, reading.build(cut, laid.setup));
    setChosen(null);
    core.setLocked(new Set());
  };
  const undo = () => {
    const { last } = history;
    if (!last || running) return;
    history.stepBack();
    core.setLocked(last.locked);
    setChosen(null);
    show(last.laid, last.locked);
    onParts(listPartIds({ pieces: last.laid.job.cut }));
  };
  /** To another sheet: where there is room on it, else where it lay, with its fault. */
  const moveTo = (placement: Placement, sheet: number, onNone: () => void) =>
    laid &&
    attempt(async () => {
      const piece = laid.job.pieces.find((one) => one.id === placement.pieceId)!;
      const moved = { ...piece, id: `${piece.id}>`, copies: 1 };
      const layout = withoutPiece(laid, placement, sheet);
      const options = toPlainOptions(laid.options);
      const found = await fillInWorker(laid.job.pieces, layout, [moved], laid.stock, options, sheet);
      const place = found.ok ? found.value[0] : undefined;
      if (!place) onNone();
      const { xMm, yMm, rotationDeg } = place ?? placement;
      change(placement, { sheet, xMm, yMm, rotationDeg });
    });
  /** Marks that don't change what is laid out are drawn at once. */
  const mark = (marks: Setup['marks']) =>
    laid && show({ ...laid, setup: { ...laid.setup, marks: { ...marks, tags: laid.setup.marks.tags } } });
  return { change, lock, remove, undo, moveTo, mark, ...useFilling(core, replace) };
}

/** Filling what is left of a sheet: with parts that wait, or with more of a usual piece for the shelf. */
function useFilling(core: Core, replace: (now: Laid, placements: readonly Placement[], job?: Laid['job']) => void) {
  const { laid, reading, attempt } = core;
  /** Adds what finds room, the first of it first; answers how many. */
  const fill = async (cut: readonly CutSheetPiece[]): Promise<number> => {
    if (!laid || cut.length === 0) return 0;
    await reading.readShapes(cut.map((piece) => piece.source));
    const more = reading.build(cut, laid.setup);
    const options = toPlainOptions(laid.options);
    const found = await fillInWorker(laid.job.pieces, laid.layout, more.pieces, laid.stock, options);
    if (!found.ok) {
      core.refuse(nameProblem(found.problem, more));
      return 0;
    }
    const placed = keepPlaced(more.cut, found.value);
    if (placed.length > 0)
      replace(
        laid,
        [...laid.layout.placements, ...placed.flatMap((entry) => entry.placements)],
        reading.build([...laid.job.cut, ...placed.map((entry) => entry.piece)], laid.setup),
      );
    return found.value.length;
  };
  const fillWithParts = (parts: readonly WaitingPart[], onNone: () => void) =>
    attempt(async () => {
      await reading.readShapes(parts.map(sourceOf));
      const added = await fill(toCutPieces(parts, reading.cache, new Set(), core.nextSuffix()));
      if (added === 0) onNone();
    });
  const fillWithSpares = (usual: UsualPiece, onDone: (count: number) => void) =>
    attempt(async () => onDone(await fill([toSpares(usual, MOST_SPARES, core.nextSuffix())])));
  return { fillWithParts, fillWithSpares };
}
