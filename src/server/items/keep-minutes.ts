// What a stretch of work that has ended says of how long pieces take, kept for learning.

import { countLoads } from '../../core/costing';
import { shareSessionSeconds } from '../../core/orders';
import { groupBy } from '../../core/units';
import type { Database } from '../../data/database';
import {
  loadPartsOfPieces,
  saveMinutes,
  type CutStretch,
  type LoggedPart,
  type PieceMinutes,
} from '../../data/minutes-store';
import { findSessions, loadSessionsOnParts, type StoredSession } from '../../data/work-store';
import { isResumed } from './stretch';

type PartsById = ReadonlyMap<number, LoggedPart>;

/** Of work that was stopped just now; what runs, took no time or was discarded says nothing. */
export function keepMinutes(db: Database, sessionIds: readonly number[]): void {
  const ended = findSessions(db, sessionIds).filter(counts);
  const touched = loadPartsOfPieces(
    db,
    ended.flatMap((work) => work.parts.map((part) => part.partId)),
  );
  const parts: PartsById = new Map(touched.map((part) => [part.id, part]));
  const others = loadSessionsOnParts(db, [...parts.keys()]).filter(counts);
  const stations = new Set(ended.map((work) => work.station));
  saveMinutes(db, {
    pieces: (['weed', 'press'] as const)
      .filter((station) => stations.has(station))
      .flatMap((station) => listPieceMinutes(others, parts, station)),
    stretches: ended
      .filter((work) => work.station === 'cut' && isWhole(work, others))
      .flatMap((work) => toStretches(work, parts)),
  });
}

const counts = (work: StoredSession): boolean =>
  work.stoppedAtMs !== null && work.stoppedAtMs > work.startedAtMs && work.outcome !== 'discarded';

/** Neither paused nor the rest of what was. */
const isWhole = ({ id, station, outcome, parts }: StoredSession, others: readonly StoredSession[]): boolean =>
  outcome !== 'paused' &&
  !isResumed(
    others.filter((other) => other.station === station),
    { id, partIds: parts.map(({ partId }) => partId) },
  );

const secondsOf = (work: StoredSession): number => (work.stoppedAtMs! - work.startedAtMs) / 1000;

/** Of each piece that went through a station with all its parts: only those tell what one takes. */
function listPieceMinutes(
  works: readonly StoredSession[],
  parts: PartsById,
  station: 'weed' | 'press',
): readonly PieceMinutes[] {
  const spent = new Map<number, { part: LoggedPart; seconds: number; atMs: number; seen: Set<number> }>();
  for (const work of works.filter((one) => one.station === station)) {
    const shares = shareSessionSeconds(
      secondsOf(work),
      work.parts.map((part) => part.estimateSeconds),
    );
    for (const [index, { partId }] of work.parts.entries()) {
      const part = parts.get(partId);
      if (!part) continue;
      const own = spent.get(part.pieceId) ?? { part, seconds: 0, atMs: 0, seen: new Set<number>() };
      own.seconds += shares[index]!;
      own.atMs = Math.max(own.atMs, work.stoppedAtMs!);
      own.seen.add(partId);
      spent.set(part.pieceId, own);
    }
  }
  return [...spent.values()]
    .filter(({ part, seen }) => seen.size === part.partsOfPiece)
    .map(({ part: { pieceId, itemId }, seconds, atMs }) => ({ pieceId, station, itemId, seconds, atMs }));
}

/** A stretch at the cutter, item by item, by what it is estimated from. */
function toStretches(work: StoredSession, parts: PartsById): readonly CutStretch[] {
  const cut = work.parts.flatMap(({ partId }) => parts.get(partId) ?? []);
  return [...groupBy(cut, (part) => part.itemId)].map(([itemId, own]) => {
    const layers = [...groupBy(own, (part) => part.layerIndex).values()];
    return {
      sessionId: work.id,
      itemId,
      atMs: work.stoppedAtMs!,
      seconds: secondsOf(work),
      pieces: own.reduce((sum, part) => sum + 1 / part.partsOfPiece, 0),
      loads: layers.reduce((sum, copies) => sum + countLoadsOf(copies), 0),
      setupSeconds: own.reduce((sum, part) => sum + part.quote.setupSeconds / part.partsOfPiece, 0),
      machineSeconds: layers.map((copies) => copies.reduce((sum, part) => sum + machineSecondsOf(part), 0)),
    };
  });
}

const machineSecondsOf = ({ quote, layerIndex }: LoggedPart): number =>
  quote.layers[layerIndex]?.cutMachineSeconds ?? 0;

const countLoadsOf = (copies: readonly LoggedPart[]): number =>
  countLoads(copies.length, copies[0]!.quote.layers[copies[0]!.layerIndex]?.onMat ?? 0).value;
