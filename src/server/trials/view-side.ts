// Trials side by side as they are shown: one with its candidates and what follows from them, and the list.

import { hasFailed } from '../../core/pressing/index';
import { believeRate, judgeSides, listNamed, tellRate } from '../../core/trials/index';
import { dayOf, groupBy } from '../../core/units/index';
import { findMadeFrom } from '../../data/artwork-store';
import { listLaterOfCandidates } from '../../data/later-look-store';
import { findVinyls } from '../../data/shelf-store';
import {
  listClosedSides,
  listFilledOfLabels,
  listOpenSides,
  loadCandidates,
  type StoredCandidate,
  type StoredSide,
} from '../../data/side-store';
import { findLots } from '../../data/stock-store';
import { findItemIdsUsing } from '../../data/item-store';
import type { LabelRow, LaterSeen, SideRow, SideView } from '../../views/trials';
import { nameLot } from '../../wording/stock';
import { pictureHref } from '../artwork/picture-file';
import { getShop, type ShopContext } from '../context';
import { notFound } from '../errors';
import { toLaterSeen } from './later-looks';
import { requireSide } from './side-by-side';

const LISTED = 20;
const LABELS_LOOKED_THROUGH = 500;

/** What all candidates of some trials need to be named and judged, read at once. */
function readAbout(shop: ShopContext, candidates: readonly StoredCandidate[]) {
  const byId = <Row extends { readonly id: number }>(rows: readonly Row[]) => new Map(rows.map((row) => [row.id, row]));
  const vinyls = byId(findVinyls(shop.db, [...new Set(candidates.map(({ vinylId }) => vinylId))]));
  const lots = byId(findLots(shop.db, [...new Set(candidates.flatMap(({ lotId }) => lotId ?? []))]));
  const later = groupBy(loadLaterSeen(shop, candidates), ({ candidateId }) => candidateId);
  return {
    vinyls,
    lots,
    laterOf: (id: number): readonly LaterSeen[] => later.get(id) ?? [],
    nameOf: ({ vinylId, lotId, label }: StoredCandidate): string => {
      const lot = lotId === null ? undefined : lots.get(lotId);
      const name = vinyls.get(vinylId)?.name ?? '';
      return label || (lot ? `${name}, ${nameLot(lot)}` : name);
    },
  };
}
type About = ReturnType<typeof readAbout>;

function loadLaterSeen(shop: ShopContext, candidates: readonly StoredCandidate[]) {
  const later = listLaterOfCandidates(
    shop.db,
    candidates.map(({ id }) => id),
  );
  return toLaterSeen(shop, later).map((row, at) => ({ ...row, candidateId: later[at]!.candidateId! }));
}

function judge(side: StoredSide, candidates: readonly StoredCandidate[], about: About) {
  return judgeSides(
    candidates.map(({ id, sheet, filledAtMs }) => {
      const seen = about.laterOf(id).filter((one) => one.seen !== null);
      const count = (some: readonly LaterSeen[]) => some.reduce((sum, { pieces }) => sum + pieces, 0);
      const looks = {
        pieces: count(seen),
        failed: count(seen.filter((one) => one.seen !== null && hasFailed(one.seen.kind))),
      };
      return { id, sheet, isFilled: filledAtMs !== null, looks };
    }),
    side.pieces,
  );
}

/** @throws ShopError not-found */
export function loadSide(shop: ShopContext, id: number): SideView {
  const { side, candidates } = requireSide(shop, id);
  const [artwork] = findMadeFrom(shop.db, [side.artworkId]);
  if (!artwork) throw notFound('This drawing');
  const about = readAbout(shop, candidates);
  const { sides, verdict } = judge(side, candidates, about);
  const { name, axis, artworkId, widthMm, design, pieces, fabric, startedAtMs, closedAtMs } = side;
  const nowMs = shop.now();
  return {
    ...{ id, name, axis, artworkId, widthMm, design, pieces, fabric, startedAtMs, closedAtMs, nowMs, verdict },
    artworkName: artwork.name,
    pictureHref: pictureHref(artwork),
    heightMm: (artwork.measurement.heightMm * widthMm) / artwork.measurement.widthMm,
    itemId: findItemIdsUsing(shop.db, { artworkId })[0] ?? null,
    today: dayOf(nowMs, getShop(shop).timeZone),
    candidates: candidates.map((candidate, at) => {
      const { vinylId, lotId, clock, clockAtMs, setting, sheet } = candidate;
      const vinyl = about.vinyls.get(vinylId);
      const lot = lotId === null ? undefined : about.lots.get(lotId);
      return {
        ...{ id: candidate.id, vinylId, setting, sheet },
        name: about.nameOf(candidate),
        vinylName: vinyl?.name ?? '',
        colourHex: vinyl?.colourHex ?? '',
        lot: lot ? { id: lot.id, code: lot.code, remark: lot.remark } : null,
        isFilled: candidate.filledAtMs !== null,
        clock: clock && clockAtMs !== null ? { what: clock, sinceMs: clockAtMs } : null,
        faults: sides[at]!.faults,
        perGood: sides[at]!.perGood,
      };
    }),
  };
}

/** Open ones first. */
export function listSides(shop: ShopContext): readonly SideRow[] {
  const listed = [...listOpenSides(shop.db), ...listClosedSides(shop.db, LISTED, null)];
  const all = loadCandidates(
    shop.db,
    listed.map(({ id }) => id),
  );
  const about = readAbout(shop, all);
  const byTrial = groupBy(all, ({ trialId }) => trialId);
  return listed.map((side) => {
    const candidates = byTrial.get(side.id) ?? [];
    const { verdict } = judge(side, candidates, about);
    const nameOf = new Map(candidates.map((candidate) => [candidate.id, about.nameOf(candidate)]));
    const { id, name, axis, startedAtMs } = side;
    return {
      ...{ id, name, axis, startedAtMs, verdict },
      names: [...nameOf.values()],
      best: listNamed(verdict).map((one) => nameOf.get(one) ?? ''),
    };
  });
}

/** Tapes, mats, tools: the same counts as of vinyls, by how they were called. */
export function listLabels(shop: ShopContext): readonly LabelRow[] {
  const filled = listFilledOfLabels(shop.db, LABELS_LOOKED_THROUGH);
  return [...groupBy(filled, ({ axis, label }) => `${axis} ${label.toLowerCase()}`).values()].map((same) => {
    const { axis, label } = same[0]!;
    const tries = same.reduce((sum, { pieces }) => sum + pieces, 0);
    const failures = same.reduce((sum, { sheet }) => sum + sheet.lost, 0);
    return { axis, label, tries, failures, rate: tellRate({ tries, failures }, believeRate({ tries, failures })) };
  });
}
