// How far the vinyls that were worked on last can be trusted, by lot and by how fine the work was.

import { DESIGN_CLASSES, type DesignClass } from '../../core/artwork/index';
import { sumLooks } from '../../core/pressing/index';
import { believeRate, judgeTrust, poolLots, tellRate } from '../../core/trials/index';
import { keyOf } from '../../core/stock/index';
import { groupBy } from '../../core/units/index';
import { listLatestLotEvidence, loadLotEvidence, type LotEvidence } from '../../data/lot-evidence-store';
import { loadLooksOf } from '../../data/press-look-store';
import { findVinyls, type StoredVinyl } from '../../data/shelf-store';
import { findLots, loadLotsOnShelf, type StoredLot } from '../../data/stock-store';
import type { TrustRow } from '../../views/trials';
import type { ShopContext } from '../context';

/** Vinyls that are shown, and lots that are looked through for them. */
const MOST_VINYLS = 20;
const LOOKED_THROUGH = 120;
/** Of a vinyl so many lots say enough of it: the latest. */
const MOST_LOTS = 8;
const MOST_LOOKS = 1000;

export const loadTrust = (shop: ShopContext): readonly TrustRow[] => loadTrustOf(shop, listVinylsTried(shop));

/** Those that were cut last, the latest first. */
export function listVinylsTried({ db }: ShopContext): readonly number[] {
  const latest = listLatestLotEvidence(db, LOOKED_THROUGH).map(({ vinylId }) => vinylId);
  return [...new Set(latest)].slice(0, MOST_VINYLS);
}

/** Of these vinyls, in this order. */
export function loadTrustOf({ db }: ShopContext, vinylIds: readonly number[]): readonly TrustRow[] {
  const evidence = groupBy(loadLotEvidence(db, vinylIds), ({ vinylId }) => vinylId);
  const lots = new Map(
    findLots(
      db,
      [...evidence.values()].flat().map(({ lotId }) => lotId),
    ).map((lot) => [lot.id, lot]),
  );
  const looks = groupBy(loadLooksOf(db, vinylIds, MOST_LOOKS), ({ vinylId }) => vinylId);
  const vinyls = new Map(findVinyls(db, vinylIds).map((vinyl) => [vinyl.id, vinyl]));
  return vinylIds.flatMap((id) => {
    const vinyl = vinyls.get(id);
    if (!vinyl) return [];
    const own = evidence.get(id) ?? [];
    const onShelf = loadLotsOnShelf(db, keyOf({ kind: 'vinyl', vinylId: id })).filter((lot) => lot.fromLotId === null);
    const known = {
      vinyl,
      evidence: own,
      lots,
      looks: sumLooks(looks.get(id) ?? []),
      nextLotId: onShelf[0]?.id ?? null,
    };
    return [{ ...toRow(known), untried: listUntried(onShelf, own) }];
  });
}

/** Lots on the shelf of which nothing was cut. */
function listUntried(onShelf: readonly StoredLot[], evidence: readonly LotEvidence[]): TrustRow['untried'] {
  const tried = new Set(evidence.flatMap(({ lotId, tries }) => (tries > 0 ? [lotId] : [])));
  return onShelf.filter(({ id }) => !tried.has(id)).map(nameable);
}

const nameable = ({ id, code, remark }: StoredLot) => ({ id, code, remark });

const NO_TRIES = { tries: 0, failures: 0 } as const;

type Known = {
  readonly vinyl: StoredVinyl;
  readonly evidence: readonly LotEvidence[];
  readonly lots: ReadonlyMap<number, StoredLot>;
  readonly looks: { readonly pieces: number; readonly failed: number };
  /** The lot that is cut from next; null where none is on the shelf. */
  readonly nextLotId: number | null;
};

function toRow({ vinyl, ...known }: Known): Omit<TrustRow, 'untried'> {
  const { id, name, colourHex, details } = vinyl;
  return {
    vinylId: id,
    vinylName: name,
    colourHex,
    grade: details.grade,
    gradeNote: details.gradeNote,
    classes: DESIGN_CLASSES.flatMap((design) => toClass(design, known) ?? []),
  };
}

function toClass(
  design: DesignClass,
  { evidence, lots, looks, nextLotId }: Omit<Known, 'vinyl'>,
): TrustRow['classes'][number] | null {
  const own = evidence
    .filter((one) => one.design === design && one.tries > 0)
    .sort((a, b) => b.lastAtMs - a.lastAtMs)
    .slice(0, MOST_LOTS);
  const pooled = poolLots(own.map(({ lotId, tries, failures }) => ({ lotId, tries, failures })));
  if (own.length === 0) return null;
  // What is cut from next, where the shelf says; else what was cut from last.
  const judged = nextLotId === null ? pooled.lots[0] : pooled.lots.find(({ lotId }) => lotId === nextLotId);
  const range = judged?.range ?? pooled.next;
  const all = {
    tries: own.reduce((sum, { tries }) => sum + tries, 0),
    failures: own.reduce((sum, { failures }) => sum + failures, 0),
  };
  return {
    design,
    ...all,
    rate: tellRate(judged ?? NO_TRIES, range),
    verdict: judgeTrust({ all, range, lotTries: judged?.tries ?? 0, looks }),
    asBought: judgeTrust({ all, range: believeRate(all), lotTries: all.tries, looks }),
    lots: pooled.lots.map(({ lotId, tries, failures, range }) => {
      const lot = lots.get(lotId);
      return { lot: lot ? nameable(lot) : null, tries, failures, rate: tellRate({ tries, failures }, range) };
    }),
    next: tellRate(NO_TRIES, pooled.next),
    spread: pooled.spread,
  };
}
