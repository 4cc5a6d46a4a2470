// How a saved cut sheet lies, made ready for the cutter in a thread, and kept while it is worked on.

import { getKindFacts } from '../../core/materials/index';
import type { BookingProblem } from '../../core/orders/index';
import type { Result } from '../../core/units/index';
import type { Database } from '../../data/database';
import { findSavedSheet, type StoredCutSheet } from '../../data/cut-sheet-store';
import { findVinyl } from '../../data/shelf-store';
import { loadLots } from '../../data/stock-store';
import { getSettings, type ShopContext } from '../context';
import { toBookTask } from '../cut-sheets/cut-saved-sheet';
import { notFound, ShopError } from '../errors';
import type { CutTask, SheetPlan } from '../heavy/cut-thread';
import { runForNobody } from '../heavy/asking';
import { heavyWork } from '../heavy/heavy-work';

const LIMIT_MS = 30_000;
const WHAT = 'This cut sheet';
/** Loads that are looked at just now. */
const MOST_KEPT = 3;

export type PlanCut = (task: CutTask) => Promise<Result<readonly SheetPlan[], BookingProblem>>;
const planInThread: PlanCut = (task) =>
  heavyWork.run({
    kind: 'cut',
    task,
    limitMs: LIMIT_MS,
    tooMuch: () => new ShopError('busy', { reason: 'booking-too-slow' }),
  });

export type LoadPlan = { readonly saved: StoredCutSheet; readonly sheets: readonly SheetPlan[] };
type Kept = Map<string, Promise<LoadPlan>>;
const keptOf = new WeakMap<Database, Kept>();
function getKept({ db }: ShopContext): Kept {
  const known = keptOf.get(db) ?? new Map<string, Promise<LoadPlan>>();
  keptOf.set(db, known);
  return known;
}

/** @throws ShopError not-found, or conflict with what stands in its way */
export async function planLoad(shop: ShopContext, savedId: number, plan: PlanCut = planInThread): Promise<LoadPlan> {
  const saved = findSavedSheet(shop.db, savedId);
  if (!saved) throw notFound(WHAT);
  const key = keyOfPlan(shop, saved);
  const kept = getKept(shop);
  const known = kept.get(key);
  if (known) return known;
  // For nobody in particular: another window may wait for it when who asked first has left.
  const made = runForNobody(() => makePlan(shop, saved, plan));
  kept.set(key, made);
  // What failed is tried again, and what nobody looks at makes room.
  made.catch(() => kept.delete(key));
  for (const old of [...kept.keys()].slice(0, -MOST_KEPT)) kept.delete(old);
  return made;
}

async function makePlan(shop: ShopContext, saved: StoredCutSheet, plan: PlanCut): Promise<LoadPlan> {
  const vinyl = findVinyl(shop.db, saved.vinylId);
  if (!vinyl) throw notFound('This vinyl');
  const { leftovers: _, ...task } = toBookTask(shop, saved, []);
  const made = await plan({
    ...task,
    vinylName: vinyl.name,
    kind: getKindFacts(vinyl.kind).label,
    thicknessUm: vinyl.details.thicknessUm,
  });
  if (!made.ok)
    throw new ShopError('conflict', {
      reason: 'load-not-booked',
      problem: made.problem,
      settings: getSettings(shop),
    });
  return { saved, sheets: made.value };
}

/** Another width of a lot, or a change of the sheet, is another plan. */
function keyOfPlan({ db }: ShopContext, { id, version, sheet }: StoredCutSheet): string {
  const lots = loadLots(
    db,
    sheet.lots.map(({ lotId }) => lotId),
  );
  return [id, version, ...lots.map((lot) => `${lot.id}:${lot.widthMm}:${lot.left}`)].join(' ');
}
