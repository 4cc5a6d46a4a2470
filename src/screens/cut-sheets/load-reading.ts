// Loads as they are built: pieces from their drawings, stock as the cutter reaches it, and the options of laying out.

import { measureLayout, type CutShape, type NestLayout, type NestOptions, type NestStock } from '../../core/nesting';
import {
  choicesOf,
  countTagLetters,
  makeJob,
  marginsOf,
  toStock,
  type CutJob,
  type CutSheetPiece,
  type CutSource,
  type HoldFigures,
  type LotChoice,
} from '../../core/orders';
import type { CutSheetsView, WaitingPart } from '../../views/cut-sheets';
import { dropGone, type Group, type Laid, type SavedSheet, type Setup } from './cut-load';
import { loadShapes } from './load-shapes';

const ENDLESS_ROUNDS = 1e9;
/** Improvement that goes on by itself; after it, by a button. */
const FIRST_SECONDS = 20;
export const SEED = 0.31;

/** Fewer that found no room, then fewer sheets, then a shorter strip. */
export const isShorter = (a: NestLayout, b: NestLayout): boolean =>
  a.left.length !== b.left.length
    ? a.left.length < b.left.length
    : a.sheets.length !== b.sheets.length
      ? a.sheets.length < b.sheets.length
      : a.usedLengthMm < b.usedLengthMm;

export type LoadReading = {
  readonly cache: Map<string, CutShape>;
  readonly byPart: ReadonlyMap<number, WaitingPart>;
  readonly readShapes: (sources: readonly CutSource[]) => Promise<ReadonlyMap<string, CutShape>>;
  readonly build: (cut: readonly CutSheetPiece[], setup: Setup) => CutJob;
  readonly optionsOf: (setup: Setup) => NestOptions;
  readonly stockFor: (choices: readonly LotChoice[], setup: Setup) => readonly NestStock[];
  readonly reopen: (saved: SavedSheet) => Promise<Laid>;
};

type Input = {
  readonly view: CutSheetsView;
  readonly group: Group;
  readonly figures: HoldFigures;
  readonly cache: Map<string, CutShape>;
  readonly byPart: ReadonlyMap<number, WaitingPart>;
};

export function makeLoadReading({ view, group, figures, cache, byPart }: Input): LoadReading {
  const turnable = group.vinyl.details.direction === 'none';
  const readShapes = (sources: readonly CutSource[]) => loadShapes(view.artworks, sources, cache);
  const build = (cut: readonly CutSheetPiece[], { marks, inside }: Setup) =>
    makeJob(cut, cache, { turnable, marks, inside, tagLetters: countTagLetters(cut, (id) => byPart.get(id)) });
  const optionsOf = ({ gapMm, hold, inside }: Setup): NestOptions => ({
    gapMm,
    margins: marginsOf('roll', hold, figures),
    inside,
    seed: SEED,
    rounds: ENDLESS_ROUNDS,
    timeMs: FIRST_SECONDS * 1000,
  });
  const stockFor = (choices: readonly LotChoice[], { hold }: Setup) =>
    choices.flatMap((choice): readonly NestStock[] => {
      const stock = toStock(choice, hold, figures);
      return stock ? [stock] : [];
    });
  /** A saved sheet comes back as it was, without what does not wait any more. */
  const reopen = async (saved: SavedSheet): Promise<Laid> => {
    const sheet = dropGone(saved.sheet, new Set(group.parts.map((part) => part.partId)));
    const { gapMm, hold, marks, inside } = sheet;
    const setup = { gapMm, hold, marks, inside };
    await readShapes(sheet.pieces.map((piece) => piece.source));
    const job = build(sheet.pieces, setup);
    const choices = choicesOf(sheet, group.stock);
    const stock = stockFor(choices, setup);
    const options = optionsOf(setup);
    const layout = { ...measureLayout(job.pieces, stock, sheet.placements, options.margins), left: [] };
    return { job, layout, shapes: cache, choices, stock, options, setup, counting: false };
  };
  return { cache, byPart, readShapes, build, optionsOf, stockFor, reopen };
}
