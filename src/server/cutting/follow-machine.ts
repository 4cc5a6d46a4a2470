// What the machine says of the sheets it has in hand, written down: so that nothing of it is lost with the page, the
// server or the machine.

import { inTransaction } from '../../data/database';
import { changeSheetCut, loadSheetsSent, type SheetCutChange, type StoredSheetCut } from '../../data/sheet-cut-store';
import type { JobReading } from '../../ports/cutter';
import type { ShopContext } from '../context';
import { findCutter } from '../devices';

export function followMachine(shop: ShopContext, sessionId: number): void {
  const sent = loadSheetsSent(shop.db, [sessionId]);
  if (sent.length === 0) return;
  const job = findCutter(shop)?.read().job ?? null;
  inTransaction(shop.db, () => {
    for (const row of sent) {
      const change = readChange(row, job, shop.now());
      if (change) changeSheetCut(shop.db, row.id, change);
    }
  });
}

/** Work at the cutter that is stopped leaves nothing running there: what is cut by then is written down. */
export function leaveMachine(shop: ShopContext, sessionId: number): void {
  followMachine(shop, sessionId);
  const sent = loadSheetsSent(shop.db, [sessionId]);
  if (sent.length === 0) return;
  // A refusal means that it does nothing any more: that is read below.
  findCutter(shop)?.abort();
  followMachine(shop, sessionId);
}

/** Null where nothing is new. */
function readChange(row: StoredSheetCut, job: JobReading | null, nowMs: number): SheetCutChange | null {
  // It has forgotten the job, or has another one: what it told last is what is known.
  if (job?.id !== row.jobId) return { state: 'stopped', fault: 'unplugged' };
  const how = { lines: job.lines, linesDone: job.linesDone, machineSeconds: job.secondsDone };
  switch (job.state) {
    case 'cutting':
    case 'paused':
      return job.lines === row.lines && job.linesDone === row.linesDone ? null : how;
    case 'done':
      return { ...how, state: 'cut', endedAtMs: nowMs };
    case 'stopped':
      return { ...how, state: 'stopped', fault: job.fault };
    default:
      return job.state satisfies never;
  }
}
