// What stands around every screen: the shop, the clock, the running timers.

import type { MeasureSystem } from '../../core/units/index';
import { formatInstant } from '../../core/units/index';
import { readHandCuts, type StoredHandCut } from '../../data/hand-cut-store';
import { loadSheetCuts } from '../../data/sheet-cut-store';
import { namePartsOf } from '../../data/part-names';
import { listEverybody, listPeople } from '../../data/people-store';
import { loadRunningSessions, type StoredSession } from '../../data/work-store';
import type { FrameView, RunningSession, ShopView } from '../../views/frame';
import { STATION_NAMES } from '../../wording/stations';
import { getShop, type ShopContext } from '../context';
import { readStamp } from '../remember';
import { plural } from '../../wording/plural';

export function loadFrame(shop: ShopContext, system: MeasureSystem): FrameView {
  const view: ShopView = getShop(shop);
  const nowMs = shop.now();
  return {
    shop: view,
    people: listPeople(shop.db),
    system,
    nowMs,
    nowText: formatInstant(nowMs, view),
    running: loadRunning(shop),
    stamp: readStamp(shop),
  };
}

export function loadRunning(shop: ShopContext): readonly RunningSession[] {
  const running = loadRunningSessions(shop.db);
  const names = new Map(
    running.some(({ personId }) => personId !== null) ? listEverybody(shop.db).map(({ id, name }) => [id, name]) : [],
  );
  return running.map((work) => ({
    id: work.id,
    station: work.station,
    startedAtMs: work.startedAtMs,
    partIds: work.parts.map((part) => part.partId),
    progress: work.progress,
    load: work.station === 'cut' ? readLoad(shop, work.id) : null,
    byHand: work.station === 'cut' ? readHandCuts(shop.db, [work.id]).map(toHandCut) : [],
    estimateSeconds: work.parts.reduce((sum, part) => sum + part.estimateSeconds, 0),
    label: labelSessions(shop, [work]).get(work.id) ?? '',
    personName: names.get(work.personId ?? 0) ?? null,
  }));
}

const toHandCut = ({ vinylId, setting }: StoredHandCut): RunningSession['byHand'][number] => ({ vinylId, setting });

/** Null where no saved sheet was taken to the cutter. */
function readLoad({ db }: ShopContext, sessionId: number): RunningSession['load'] {
  const rows = loadSheetCuts(db, sessionId);
  return rows.length > 0 ? rows.map(({ sheet, testReasons }) => ({ sheet, needsTest: testReasons.length > 0 })) : null;
}

/** A short name for each stretch of work: "weed, Crew jackets ×12". */
export function labelSessions(shop: ShopContext, entries: readonly StoredSession[]): ReadonlyMap<number, string> {
  const names = namePartsOf(
    shop.db,
    entries.flatMap((entry) => entry.parts.map((part) => part.partId)),
  );
  return new Map(
    entries.map((entry) => {
      const known = entry.parts.flatMap((part) => names.get(part.partId) ?? []);
      const others = new Set(known.map(({ itemId }) => itemId)).size - 1;
      const label = known[0]
        ? `${known[0].itemName}${others > 0 ? ` and ${others} more` : ''} ×${entry.parts.length}`
        : plural(entry.parts.length, 'part');
      return [entry.id, `${STATION_NAMES[entry.station].toLowerCase()}, ${label}`];
    }),
  );
}
