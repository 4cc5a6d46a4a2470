// A saved load is taken to the cutter: each of its sheets waits to be loaded, with a setting, and whether a test cut
// comes first.

import { findFinestMm } from '../../core/artwork/index';
import {
  choosePreset,
  getOrdinarySetting,
  listTestReasons,
  type BladeWear,
  type CutSetting,
} from '../../core/cutting/index';
import { listPartIds } from '../../core/orders/index';
import { computeWear, getSupplyFacts } from '../../core/stock/index';
import { findSavedSheet, type StoredCutSheet } from '../../data/cut-sheet-store';
import { findCleanOfLadders, isLotOnLadder } from '../../data/ladder-store';
import { loadPresetsOf } from '../../data/preset-store';
import { findVinyl } from '../../data/shelf-store';
import {
  findLastClean,
  insertSheetCut,
  isLotTested,
  loadCutsOfSaved,
  type LatestClean,
  type NewSheetCut,
  type StoredSheetCut,
} from '../../data/sheet-cut-store';
import { findFitted, findSupply, loadWearInUse } from '../../data/supply-store';
import { readStandingOf, requireParts } from '../bench/bench-parts';
import { getShop, type ShopContext } from '../context';
import { notFound, ShopError } from '../errors';
import { readMadeLines } from '../items/materials';
import type { WaitingOrder, WaitingPart } from '../orders/read-orders';

/** Call it inside the transaction that starts the clock. @throws ShopError where it is not this load */
export function beginLoad(
  shop: ShopContext,
  {
    sessionId,
    savedId,
    partIds,
  }: { readonly sessionId: number; readonly savedId: number; readonly partIds: readonly number[] },
): void {
  const saved = findSavedSheet(shop.db, savedId);
  if (!saved) throw notFound('This cut sheet');
  const own = new Set(listPartIds(saved.sheet));
  if (own.size !== partIds.length || partIds.some((id) => !own.has(id)))
    throw new ShopError('conflict', { reason: 'load-changed' });
  if (saved.sheet.sheets.some(({ lotId }) => lotId === 0)) throw new ShopError('conflict', { reason: 'load-no-stock' });
  const before = loadCutsOfSaved(shop.db, savedId).filter(({ savedVersion }) => savedVersion === saved.version);
  const orders = readStandingOf(shop, partIds);
  const finestMm = findFinest(shop, orders, requireParts(orders, partIds));
  for (const row of planRows(shop, saved, finestMm)) {
    const last = before.find(({ sheet }) => sheet === row.sheet);
    insertSheetCut(shop.db, { ...row, sessionId, ...(last ? goOnFrom(last) : {}) });
  }
}

/** Work that was stopped goes on where it was: what is cut stays cut, and what was tested stays tested. */
function goOnFrom(last: StoredSheetCut): Partial<NewSheetCut> {
  const { setting, tests, testReasons, cleanAtMs, shiftMm, lines, linesDone, expectedWidthMm, readWidthMm } = last;
  const state = last.state === 'sent' ? 'stopped' : last.state;
  return { state, setting, tests, testReasons, cleanAtMs, shiftMm, lines, linesDone, expectedWidthMm, readWidthMm };
}

/** The thinnest stroke or gap of all that is cut, mm; null where none was measured. */
export function findFinest(shop: ShopContext, orders: readonly WaitingOrder[], parts: readonly Cut[]): number | null {
  const { lines } = readMadeLines(shop, orders);
  return findFinestMm(
    parts.flatMap(({ lineId, layerIndex }) => {
      const layer = lines.get(lineId)?.layers[layerIndex];
      return layer ? [layer.measurement] : [];
    }),
  );
}
type Cut = Pick<WaitingPart, 'lineId' | 'layerIndex'>;

function planRows(
  shop: ShopContext,
  saved: StoredCutSheet,
  finestMm: number | null,
): readonly Omit<NewSheetCut, 'sessionId'>[] {
  const setting = findSetting(shop, saved.vinylId, () => finestMm);
  const blade = findBlade(shop);
  const lastClean = findLatestClean(shop, saved.vinylId);
  const seen = new Set<number>();
  return saved.sheet.sheets.map(({ sheet, lotId }) => {
    // Of several sheets of one lot the first one tells of all.
    const isFirst = !seen.has(lotId) && (seen.size === 0 || !isTested(shop, lotId));
    seen.add(lotId);
    return {
      savedSheetId: saved.id,
      savedVersion: saved.version,
      sheet,
      lotId,
      vinylId: saved.vinylId,
      state: 'waiting',
      setting,
      tests: [],
      testReasons: isFirst ? listTestReasons({ setting, blade, lastClean, lotTested: isTested(shop, lotId) }) : [],
      bladeId: blade?.supplyId ?? null,
      bladeMetres: blade?.metres ?? 0,
    };
  });
}

/**
 * The one kept under a name for such work, else the last one of which a test cut came out clean, else what is ordinary
 * for its kind.
 */
export function findSetting(shop: ShopContext, vinylId: number, readFinest: () => number | null): CutSetting {
  const presets = loadPresetsOf(shop.db, vinylId);
  const preset = presets.length > 0 ? choosePreset(presets, readFinest()) : null;
  if (preset) return preset.setting;
  const known = findLatestClean(shop, vinylId);
  if (known) return known.setting;
  const vinyl = findVinyl(shop.db, vinylId);
  if (!vinyl) throw notFound('This vinyl');
  return getOrdinarySetting(vinyl, getShop(shop).figures);
}

/** The last test cut or ladder that came out clean; null where none did. */
export function findLatestClean({ db }: ShopContext, vinylId: number): LatestClean | null {
  const [cut, ladder] = [findLastClean(db, vinylId), findCleanOfLadders(db, vinylId)];
  if (!cut || !ladder) return cut ?? ladder;
  return cut.atMs > ladder.atMs ? cut : ladder;
}
const isTested = ({ db }: ShopContext, lotId: number): boolean => isLotTested(db, lotId) || isLotOnLadder(db, lotId);

/** The one in use; null where none is on the book. */
export function findBlade({ db }: ShopContext): BladeWear | null {
  const supplyId = findFitted(db, ['blade']).get('blade');
  const supply = supplyId === undefined ? null : findSupply(db, supplyId);
  if (!supply) return null;
  const wear = computeWear(supply, loadWearInUse(db).get(supply.id) ?? []);
  const lifeMetres = supply.life ?? getSupplyFacts('blade').life;
  return wear && lifeMetres ? { supplyId: supply.id, metres: wear.worn.value, lifeMetres } : null;
}
