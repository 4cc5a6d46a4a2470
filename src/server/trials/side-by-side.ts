// Side by side: begun with its candidates, filled in at the bench one by one, and what each of them says of its vinyl.

import type { InferType } from 'yup';
import { classifyDesign, findFinestMm } from '../../core/artwork/index';
import type { sideInput } from '../../core/input/index';
import { keyOf } from '../../core/stock/index';
import { EMPTY_SHEET, type SideClock, type SideSheet } from '../../core/trials/index';
import { findArtwork, type StoredArtwork } from '../../data/artwork-store';
import { inTransaction } from '../../data/database';
import { addToVinyl } from '../../data/evidence-store';
import { deleteLooksOfCandidates } from '../../data/later-look-store';
import { countTries } from '../../data/lot-evidence-store';
import { findVinyl } from '../../data/shelf-store';
import {
  changeCandidate,
  changeSide,
  countCandidate,
  deleteSide,
  findSide,
  insertCandidate,
  insertSide,
  loadCandidates,
  type CandidateChange,
  type StoredCandidate,
  type StoredSide,
} from '../../data/side-store';
import { findLot, loadLotsOnShelf } from '../../data/stock-store';
import type { ShopContext } from '../context';
import { findLatestClean } from '../cutting/begin-load';
import { notFound, ShopError } from '../errors';

export type SideAndCandidates = { readonly side: StoredSide; readonly candidates: readonly StoredCandidate[] };

export function requireSide({ db }: ShopContext, id: number): SideAndCandidates {
  const side = findSide(db, id);
  if (!side) throw notFound('This trial');
  return { side, candidates: loadCandidates(db, [id]) };
}

type Input = InferType<typeof sideInput>;

/** @throws ShopError where a drawing, vinyl or lot is gone, or a lot is of another vinyl */
export function startSide(shop: ShopContext, { candidates, ...input }: Input): { readonly id: number } {
  const artwork = findArtwork(shop.db, input.artworkId);
  if (!artwork) throw notFound('This drawing');
  return inTransaction(shop.db, () => {
    const finestMm = findFinestAt(artwork, input.widthMm);
    const id = insertSide(shop.db, {
      ...input,
      finestMm,
      design: classifyDesign(finestMm),
      startedAtMs: shop.now(),
    });
    const chosen = candidates.map((candidate) => chooseLot(shop, candidate));
    refuseSame(chosen);
    for (const candidate of chosen) addCandidate(shop, id, candidate);
    return { id };
  });
}

/** mm; null where nothing of it is thin enough to be measured. */
function findFinestAt({ measurement }: StoredArtwork, widthMm: number): number | null {
  const kept = findFinestMm(measurement.layers);
  return kept === null ? null : (kept * widthMm) / measurement.widthMm;
}

type Candidate = Input['candidates'][number];

/** Without a lot: of the one in use, where the book has any. */
function chooseLot({ db }: ShopContext, { vinylId, lotId, ...candidate }: Candidate): Candidate {
  const key = keyOf({ kind: 'vinyl', vinylId });
  if (lotId !== null && findLot(db, lotId)?.key !== key)
    throw new ShopError('invalid', { reason: 'lot-of-other' }, 'candidates');
  return { ...candidate, vinylId, lotId: lotId ?? loadLotsOnShelf(db, key)[0]?.id ?? null };
}

function refuseSame(candidates: readonly Candidate[]): void {
  const keys = new Set(candidates.map(({ vinylId, lotId, label }) => `${vinylId} ${lotId} ${label}`));
  if (keys.size < candidates.length) throw new ShopError('invalid', { reason: 'same-twice' }, 'candidates');
}

function addCandidate(shop: ShopContext, trialId: number, { vinylId, lotId, label }: Candidate): void {
  if (!findVinyl(shop.db, vinylId)) throw notFound('This vinyl');
  insertCandidate(shop.db, {
    trialId,
    vinylId,
    lotId,
    label: label?.trim() ?? '',
    setting: findLatestClean(shop, vinylId)?.setting ?? null,
    sheet: EMPTY_SHEET,
  });
}

function requireCandidate(shop: ShopContext, trialId: number, id: number) {
  const { side, candidates } = requireSide(shop, trialId);
  const candidate = candidates.find((one) => one.id === id);
  if (!candidate) throw notFound('This candidate');
  return { side, candidate };
}

const MS = 1000;
const SECONDS_OF = { cut: 'cutSeconds', weed: 'weedSeconds' } as const satisfies Record<SideClock, keyof SideSheet>;

/** The clock stops, and what ran is added to what was timed before. */
function stopClock({ clock, clockAtMs, sheet }: StoredCandidate, nowMs: number): SideSheet {
  if (!clock || clockAtMs === null) return sheet;
  const field = SECONDS_OF[clock];
  return { ...sheet, [field]: (sheet[field] ?? 0) + Math.max(0, nowMs - clockAtMs) / MS };
}

/** One clock runs at a time: two hands weed one thing. Null stops it. */
export function runSideClock(shop: ShopContext, trialId: number, id: number, clock: SideClock | null): void {
  inTransaction(shop.db, () => {
    const { candidates } = requireSide(shop, trialId);
    requireCandidate(shop, trialId, id);
    const nowMs = shop.now();
    for (const running of candidates.filter((one) => one.clock !== null))
      setCandidate(shop, trialId, running.id, { sheet: stopClock(running, nowMs), clock: null, clockAtMs: null });
    if (clock) setCandidate(shop, trialId, id, { clock, clockAtMs: nowMs });
  });
}

/** What a clock that still runs adds; a time that was typed over it stands as it was typed. */
function addRunning(candidate: StoredCandidate, sheet: SideSheet, nowMs: number): SideSheet {
  const field = candidate.clock && SECONDS_OF[candidate.clock];
  const isTyped = field !== null && sheet[field] !== candidate.sheet[field];
  return isTyped ? sheet : stopClock({ ...candidate, sheet }, nowMs);
}

/** The sheet as it is written, closed; its clock is stopped. @throws ShopError */
export function fillSide(shop: ShopContext, trialId: number, id: number, sheet: SideSheet): void {
  inTransaction(shop.db, () => {
    const { side, candidate } = requireCandidate(shop, trialId, id);
    if (sheet.lost > side.pieces) throw new ShopError('invalid', { reason: 'more-lost-than-made' }, 'lost');
    const nowMs = shop.now();
    setCandidate(shop, trialId, id, {
      sheet: addRunning(candidate, sheet, nowMs),
      clock: null,
      clockAtMs: null,
      filledAtMs: nowMs,
    });
  });
}

/** Its sheet is open again, and counts for nothing until it is closed. */
export function reopenSheet(shop: ShopContext, trialId: number, id: number): void {
  inTransaction(shop.db, () => {
    requireCandidate(shop, trialId, id);
    setCandidate(shop, trialId, id, { filledAtMs: null });
  });
}

/** Changes a candidate, and what it says of its vinyl. */
function setCandidate(shop: ShopContext, trialId: number, id: number, change: CandidateChange): void {
  const { side, candidate } = requireCandidate(shop, trialId, id);
  count(shop, side, candidate, -1);
  changeCandidate(shop.db, id, change);
  count(shop, side, { ...candidate, ...change }, 1);
}

/** `sign` -1 takes it back. */
function count({ db }: ShopContext, side: StoredSide, candidate: StoredCandidate, sign: 1 | -1): void {
  const said = countCandidate(side, candidate);
  if (!said) return;
  const [tries, failures] = [sign * said.tries, sign * said.failures];
  addToVinyl(db, { vinylId: said.vinylId, made: tries, spoiled: failures });
  countTries(db, { ...said, tries, failures });
}

/** Over, whether or not all were filled in; or gone on with. */
export const closeSide = (shop: ShopContext, id: number, isOver: boolean): void =>
  changeSide(shop.db, requireSide(shop, id).side.id, { closedAtMs: isOver ? shop.now() : null });

/** What it said of vinyls, and what was seen of its pieces later, counts no longer. */
export function removeSide(shop: ShopContext, id: number): void {
  inTransaction(shop.db, () => {
    const { side, candidates } = requireSide(shop, id);
    for (const candidate of candidates) count(shop, side, candidate, -1);
    deleteLooksOfCandidates(
      shop.db,
      candidates.map((candidate) => candidate.id),
    );
    deleteSide(shop.db, id);
  });
}
