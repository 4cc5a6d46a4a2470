// One load of the day laid out: its shapes fetched, the stock chosen that wastes least, bettered for a while.

import type { ChosenStock, CutShape, NestLayout, NestOptions, NestProblem } from '../../core/nesting';
import { NO_MARKS } from '../../core/nesting';
import { makeJob, marginsOf, orderStock, toStock, type CutSheet } from '../../core/orders';
import type { ShopFigures } from '../../core/materials';
import type { CutSheetsView, WaitingPart } from '../../views/cut-sheets';
import { chooseInWorker, nestInWorkers } from '../../workers/nest-client';
import { sourceOf, toCutPieces, toCutSheet, type Group, type Laid, type Setup } from './cut-load';
import { isShorter, SEED } from './load-reading';
import { loadShapes } from './load-shapes';

/** Each load is bettered for so long before the next is begun. */
const EACH_SECONDS = 8;

type DayLoadResult =
  | { readonly kind: 'laid'; readonly layout: NestLayout; readonly sheet: CutSheet }
  | { readonly kind: 'unreadable' }
  | { readonly kind: 'refused'; readonly problem: NestProblem };

/**
 * Lays the parts out on the group's stock. Shapes that are fetched go into the cache. When the workers are stopped
 * meanwhile, what there is by then is the result.
 */
export async function layOutDayLoad(
  view: CutSheetsView,
  group: Group,
  parts: readonly WaitingPart[],
  cache: Map<string, CutShape>,
  figures: ShopFigures,
): Promise<DayLoadResult> {
  const setup: Setup = { gapMm: view.gapMm, hold: 'suited', marks: NO_MARKS, inside: 'bays' };
  await loadShapes(view.artworks, parts.map(sourceOf), cache);
  const job = makeJob(toCutPieces(parts, cache, new Set()), cache, {
    turnable: group.vinyl.details.direction === 'none',
    marks: setup.marks,
    inside: setup.inside,
    tagLetters: 0,
  });
  if (job.pieces.length === 0) return { kind: 'unreadable' };
  const offered = orderStock(group.stock).flatMap((choice) => {
    const kind = toStock(choice, setup.hold, figures);
    return kind ? [{ choice, kind }] : [];
  });
  const options = toOptions(setup, figures);
  const found = await chooseInWorker(
    job.pieces,
    offered.map((entry) => entry.kind),
    options,
  );
  if (!found.ok) return { kind: 'refused', problem: found.problem };
  const { stock } = found.value;
  const layout = await better(found.value, job.pieces, options);
  const choices = stock.map((kind) => offered.find((entry) => entry.kind.id === kind.id)!.choice);
  const laid: Laid = { layout, job, shapes: cache, stock, choices, options, setup, counting: false };
  return { kind: 'laid', layout, sheet: toCutSheet(laid, new Set()) };
}

const toOptions = (setup: Setup, figures: ShopFigures): NestOptions => ({
  gapMm: setup.gapMm,
  margins: marginsOf('roll', setup.hold, figures),
  inside: setup.inside,
  seed: SEED,
  rounds: 1e9,
  timeMs: EACH_SECONDS * 1000,
});

async function better(
  { stock, layout }: ChosenStock,
  pieces: Laid['job']['pieces'],
  options: NestOptions,
): Promise<NestLayout> {
  let best = layout;
  await nestInWorkers({ pieces, stock, options, count: false }, (next) => {
    if (isShorter(next, best)) best = next;
  });
  return best;
}
