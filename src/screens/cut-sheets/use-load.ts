// One load while it is worked on: laid out, bettered, filled, changed by hand, saved.

import { useEffect, useMemo, useRef, useState } from 'react';
import {
  checkLayout,
  measureLayout,
  stockOf,
  type CutShape,
  type NestLayout,
  type NestOptions,
  type NestPiece,
  type Placement,
} from '../../core/nesting';
import { listPartIds, type CutSheetPiece, type CutSource } from '../../core/orders';
import type { LotChoice } from '../../core/orders';
import type { CutSheetsView, UsualPiece, WaitingPart } from '../../views/cut-sheets';
import { describeNestProblem } from '../../wording/nesting';
import { fillInWorker, nestInWorkers, stopNesting } from '../../workers/nest-client';
import { wordsOf } from '../shared/api';
import { useSettings } from '../shared/settings';
import { choicesOf, makeJob, marginsOf, placementKey, tagOf, toStock, type CutJob } from '../../core/orders';
import {
  dropGone,
  sourceOf,
  toCutPieces,
  toCutSheet,
  toSpares,
  type Group,
  type SavedSheet,
  type Laid,
  type Setup,
} from './cut-load';
import { useSavedSheet, type SavedSheetId } from './save-sheet';
import { loadShapes } from './load-shapes';

const ENDLESS = 1e9;
/** Improvement that goes on by itself; after it, by a button. */
export const FIRST_SECONDS = 20;
/** So many more of one thing are tried at most to fill what is left. */
const MOST_SPARES = 40;
export const SEED = 0.31;

/** Changes that come sooner after one another are taken back together, ms. */
const ONE_CHANGE_MS = 600;
const MOST_PAST = 60;
type Past = { readonly laid: Laid; readonly locked: ReadonlySet<string>; readonly atMs: number };

type Input = {
  readonly view: CutSheetsView;
  readonly group: Group;
  readonly start: SavedSheet | null;
  readonly onSaved: (saved: SavedSheetId, sheet: ReturnType<typeof toCutSheet>) => void;
  /** What is on it after a change by hand: so much is chosen. */ readonly onParts: (
    partIds: readonly number[],
  ) => void;
};
export type LoadInput = {
  readonly parts: readonly WaitingPart[];
  readonly stock: readonly LotChoice[];
  readonly setup: Setup;
  readonly loose: ReadonlySet<string>;
};

export const isShorter = (a: NestLayout, b: NestLayout): boolean =>
  a.left.length < b.left.length ||
  (a.left.length === b.left.length &&
    (a.sheets.length < b.sheets.length || (a.sheets.length === b.sheets.length && a.usedLengthMm < b.usedLengthMm)));

export function useLoad({ view, group, start, onSaved, onParts }: Input) {
  const settings = useSettings(),
    { figures } = settings.shop;
  const [laid, setLaid] = useState<Laid | null>(null);
  const [running, setRunning] = useState(false);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [chosen, setChosen] = useState<Placement | null>(null);
  const [locked, setLocked] = useState<ReadonlySet<string>>(new Set(start?.sheet.locked));
  const [past, setPast] = useState<readonly Past[]>([]);
  const cache = useRef(new Map<string, CutShape>()),
    serial = useRef(0);
  const saving = useSavedSheet(group.vinyl.id, start, onSaved);
  const turnable = group.vinyl.details.direction === 'none';
  const byPart = useMemo(() => new Map(group.parts.map((part) => [part.partId, part])), [group.parts]);
  useEffect(() => stopNesting, []);
  const faults = useMemo(
    () =>
      laid && !running
        ? checkLayout(laid.job.pieces, laid.stock, laid.layout, laid.options).filter(
            (fault) => fault.kind !== 'missing',
          )
        : [],
    [laid, running],
  );

  const readShapes = (sources: readonly CutSource[]) => loadShapes(view.artworks, sources, cache.current);
  const build = (cut: readonly CutSheetPiece[], { marks, inside }: Setup): CutJob =>
    makeJob(cut, cache.current, {
      turnable,
      marks,
      inside,
      tagLetters: Math.max(
        ...cut.flatMap((piece) => piece.partIds.map((id) => tagOf(id === null ? undefined : byPart.get(id)).length)),
      ),
    });
  const optionsOf = ({ gapMm, hold, inside }: Setup): NestOptions => ({
    gapMm,
    margins: marginsOf('roll', hold, figures),
    inside,
    seed: SEED,
    rounds: ENDLESS,
    timeMs: FIRST_SECONDS * 1000,
  });
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
  const improve = async (from: Omit<Laid, 'layout'>, options: NestOptions) => {
    let best: NestLayout | null = null;
    const results = await nestInWorkers(
      { pieces: from.job.pieces, stock: from.stock, options, count: from.counting },
      (layout) => {
        if (best && !isShorter(layout, best)) return;
        best = layout;
        show({ ...from, layout });
      },
    );
    const failed = results.find((result) => !result.ok);
    if (!best && failed && !failed.ok) setRefusal(describeNestProblem(nameProblem(failed.problem, from.job), settings));
  };
  const layOut = ({ parts, stock, setup, loose }: LoadInput, counting: boolean) =>
    attempt(async () => {
      setChosen(null);
      setLocked(new Set());
      setPast([]);
      await readShapes(parts.map(sourceOf));
      const job = build(toCutPieces(counting ? parts.slice(0, 1) : parts, cache.current, loose), setup);
      if (job.pieces.length === 0) return setRefusal('Choose at least one part whose drawing can be read.');
      const choices = stock.filter((choice) => toStock(choice, setup.hold, figures) !== null),
        options = optionsOf(setup);
      await improve(
        {
          job,
          choices,
          stock: choices.map((choice) => toStock(choice, setup.hold, figures)!),
          shapes: cache.current,
          options,
          setup,
          counting,
        },
        options,
      );
    });
  const improveFurther = () =>
    laid &&
    attempt(async () => {
      setChosen(null);
      remember(laid);
      const isLocked = (placement: Placement) => locked.has(placementKey(placement));
      await improve(laid, {
        ...laid.options,
        start: laid.layout.placements.filter((placement) => !isLocked(placement)),
        locked: laid.layout.placements.filter(isLocked),
      });
    });
  /** Before a change by hand; a drag is one change. */
  const remember = (now: Laid) =>
    setPast((before) => {
      const atMs = performance.now(),
        last = before.at(-1);
      return last && atMs - last.atMs < ONE_CHANGE_MS
        ? [...before.slice(0, -1), { ...last, atMs }]
        : [...before.slice(-MOST_PAST), { laid: now, locked, atMs }];
    });
  const undo = () => {
    const last = past.at(-1);
    if (!last || running) return;
    setPast(past.slice(0, -1));
    setLocked(last.locked);
    setChosen(null);
    show(last.laid, last.locked);
    onParts(listPartIds({ pieces: last.laid.job.cut }));
  };
  const replace = (now: Laid, placements: readonly Placement[], job: CutJob = now.job, left = now.layout.left) => {
    remember(now);
    if (job !== now.job) onParts(listPartIds({ pieces: job.cut }));
    show({ ...now, job, layout: { ...measureLayout(job.pieces, now.stock, placements, now.options.margins), left } });
  };
  const change = (placement: Placement, part: Partial<Placement>) => {
    if (!laid) return;
    const next = { ...placement, ...part };
    replace(
      laid,
      laid.layout.placements.map((one) => (placementKey(one) === placementKey(placement) ? next : one)),
    );
    setChosen(next);
  };
  const lock = () => {
    if (!chosen || !laid) return;
    const key = placementKey(chosen),
      next = new Set(locked);
    if (!next.delete(key)) next.add(key);
    remember(laid);
    setLocked(next);
    show(laid, next);
  };
  /** Adds what finds room, the first of it first; answers how many. */
  const fill = async (cut: readonly CutSheetPiece[], only?: number): Promise<number> => {
    if (!laid || cut.length === 0) return 0;
    await readShapes(cut.map((piece) => piece.source));
    const more = build(cut, laid.setup);
    const found = await fillInWorker(laid.job.pieces, laid.layout, more.pieces, laid.stock, plain(laid.options), only);
    if (!found.ok) {
      setRefusal(describeNestProblem(nameProblem(found.problem, more), settings));
      return 0;
    }
    // Copies that found no room are not on the sheet: those that did are numbered anew.
    const saved = more.cut.flatMap(
      (piece): { readonly piece: CutSheetPiece; readonly placements: readonly Placement[] }[] => {
        const own = found.value.filter((placement) => placement.pieceId === piece.id).sort((a, b) => a.copy - b.copy);
        return own.length > 0
          ? [
              {
                piece: { ...piece, partIds: own.map((placement) => piece.partIds[placement.copy] ?? null) },
                placements: own.map((placement, copy) => ({ ...placement, copy })),
              },
            ]
          : [];
      },
    );
    if (saved.length > 0)
      replace(
        laid,
        [...laid.layout.placements, ...saved.flatMap((entry) => entry.placements)],
        build([...laid.job.cut, ...saved.map((entry) => entry.piece)], laid.setup),
      );
    return found.value.length;
  };
  const fillWithParts = (parts: readonly WaitingPart[], onNone: () => void) =>
    attempt(async () => {
      await readShapes(parts.map(sourceOf));
      if ((await fill(toCutPieces(parts, cache.current, new Set(), `+${++serial.current}`))) === 0) onNone();
    });
  const fillWithSpares = (usual: UsualPiece, onDone: (count: number) => void) =>
    attempt(async () => onDone(await fill([toSpares(usual, MOST_SPARES, `+${++serial.current}`)])));
  /** To another sheet: where there is room on it, else where it lay, with its fault. Answers whether it found room. */
  const moveTo = (placement: Placement, sheet: number, onNone: () => void) =>
    laid &&
    attempt(async () => {
      const piece = laid.job.pieces.find((one) => one.id === placement.pieceId)!,
        others = laid.layout.placements.filter((one) => placementKey(one) !== placementKey(placement));
      const moved: NestPiece = { ...piece, id: `${piece.id}>`, copies: 1 };
      const layout = {
        ...laid.layout,
        placements: others,
        sheets: laid.layout.sheets.some((use) => use.sheet === sheet)
          ? laid.layout.sheets
          : [
              ...laid.layout.sheets,
              { sheet, stockId: '', usedLengthMm: Infinity, usedMm2: 0, piecesMm2: 0, density: 0 },
            ],
      };
      const found = await fillInWorker(laid.job.pieces, layout, [moved], laid.stock, plain(laid.options), sheet);
      const spot = found.ok ? found.value[0] : undefined;
      if (!spot) onNone();
      change(placement, spot ? { sheet, xMm: spot.xMm, yMm: spot.yMm, rotationDeg: spot.rotationDeg } : { sheet });
    });
  const remove = (placement: Placement) => {
    if (!laid) return;
    const piece = laid.job.cut.find((one) => one.id === placement.pieceId)!;
    const cut = laid.job.cut.flatMap((one) =>
      one !== piece
        ? [one]
        : one.partIds.length > 1
          ? [{ ...one, partIds: one.partIds.filter((_, copy) => copy !== placement.copy) }]
          : [],
    );
    const placements = laid.layout.placements
      .filter((one) => placementKey(one) !== placementKey(placement))
      .map((one) =>
        one.pieceId === placement.pieceId && one.copy > placement.copy ? { ...one, copy: one.copy - 1 } : one,
      );
    replace(laid, placements, build(cut, laid.setup));
    setChosen(null);
    setLocked(new Set());
  };
  /** Marks that don't change what is laid out are drawn at once. */
  const mark = (marks: Setup['marks']) =>
    laid && show({ ...laid, setup: { ...laid.setup, marks: { ...marks, tags: laid.setup.marks.tags } } });
  // A saved sheet comes back as it was, without what does not wait any more.
  const restore = async (saved: SavedSheet) => {
    const waiting = new Set(group.parts.map((part) => part.partId)),
      sheet = dropGone(saved.sheet, waiting);
    const { gapMm, hold, marks, inside } = sheet,
      setup = { gapMm, hold, marks, inside };
    await readShapes(sheet.pieces.map((piece) => piece.source));
    const job = build(sheet.pieces, setup),
      choices = choicesOf(sheet, group.stock),
      stock = choices.flatMap((choice) => toStock(choice, hold, figures) ?? []);
    serial.current = saved.version + 1000;
    const next: Omit<Laid, 'layout'> = {
      job,
      shapes: cache.current,
      choices,
      stock,
      options: optionsOf(setup),
      setup,
      counting: false,
    };
    setLaid({
      ...next,
      layout: { ...measureLayout(job.pieces, stock, sheet.placements, next.options.margins), left: [] },
    });
    setLocked(new Set(sheet.locked));
  };
  const restored = useRef(false);
  useEffect(() => {
    // Once: it is this sheet until another is opened.
    if (!start || restored.current) return;
    restored.current = true;
    void attempt(() => restore(start));
  });
  return {
    laid,
    running,
    refusal,
    setRefusal,
    chosen,
    setChosen,
    locked,
    faults,
    byPart,
    saving,
    layOut,
    improveFurther,
    change,
    lock,
    fillWithParts,
    fillWithSpares,
    moveTo,
    remove,
    mark,
    undo: past.length > 0 ? undo : null,
  };
}

export type LoadState = ReturnType<typeof useLoad>;

/** Sheets that a piece can be moved to: those in use, and the next piece of stock that is not. */
export function listTargets({ stock, layout }: Laid): readonly number[] {
  const used = layout.sheets.map((use) => use.sheet);
  const next = Array.from({ length: 200 }, (_, sheet) => sheet).find(
    (sheet) => !used.includes(sheet) && stockOf(stock, { sheets: [] }, sheet) !== null,
  );
  return [...used, ...(next === undefined ? [] : [next])];
}

/** Without what can't be sent to a worker. */
const plain = ({ now: _, pause: __, ...rest }: NestOptions) => rest;

/** A problem names the piece by what it is of, not by its key. */
function nameProblem<T extends { readonly kind: string; readonly pieceId?: string }>(problem: T, job: CutJob): T {
  const piece = job.cut.find((one) => one.id === problem.pieceId);
  return piece ? { ...problem, pieceId: piece.name } : problem;
}

/** Turned where it lies: about the middle of its outline, not about its own corner. */
export function turnAboutMiddle(placement: Placement, job: CutJob, degrees: number): Partial<Placement> {
  const ring = job.pieces.find((piece) => piece.id === placement.pieceId)?.rings[0] ?? [];
  const xs = ring.map((point) => point.x),
    ys = ring.map((point) => point.y);
  const middle = { x: (Math.min(...xs) + Math.max(...xs)) / 2, y: (Math.min(...ys) + Math.max(...ys)) / 2 };
  const at = (rotation: number) => {
    const angle = (rotation * Math.PI) / 180;
    return {
      x: middle.x * Math.cos(angle) - middle.y * Math.sin(angle),
      y: middle.x * Math.sin(angle) + middle.y * Math.cos(angle),
    };
  };
  const rotationDeg = (placement.rotationDeg + degrees) % 360,
    before = at(placement.rotationDeg),
    after = at(rotationDeg);
  return { rotationDeg, xMm: placement.xMm + before.x - after.x, yMm: placement.yMm + before.y - after.y };
}

export const nameOf = (
  { job }: Pick<Laid, 'job'>,
  byPart: ReadonlyMap<number, WaitingPart>,
  placement: Placement,
): string => {
  const piece = job.cut.find((one) => one.id === placement.pieceId),
    id = piece?.partIds[placement.copy] ?? null,
    part = id === null ? undefined : byPart.get(id);
  return part
    ? `${part.orderTitle}, piece ${part.pieceNumber}: ${part.layerName}${piece?.island === null ? '' : `, island ${(piece?.island ?? 0) + 1}`}`
    : `${piece?.name ?? 'piece'}, spare`;
};
