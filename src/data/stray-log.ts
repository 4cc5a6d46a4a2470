// A log of writes (-wal) that was left beside another state of the shop's file. SQLite can't tell it from its own and would
// write its pages over a copy that was put in place: the two belong together only while the file is the one it was.

import { existsSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { ShopFileError } from './shop-file';

/** Looked at so often while the shop is open: writing the log back into the file changes it. */
const LOOK_EVERY_MS = 5000;
/** What a crash may leave unseen, and clocks of disks may differ by. */
const PLAY_MS = 2 * LOOK_EVERY_MS;

const seenFile = (file: string): string => `${file}.seen`;

/**
 * Refuses a file that was changed by something else than Chiral since it was last seen, where a log is left beside it.
 * @throws ShopFileError
 */
export function refuseStrayLog(file: string): void {
  const log = `${file}-wal`;
  if (!existsSync(file) || !existsSync(log) || statSync(log).size === 0) return;
  const seenMs = readSeen(file);
  if (seenMs === null) return;
  const changedMs = statSync(file).mtimeMs;
  // Chiral itself may have written the log back just before it was killed, and not noted it: then the file was changed
  // later than it was seen, and no later than the log.
  const isOwn = changedMs > seenMs - PLAY_MS && changedMs < Math.max(seenMs, statSync(log).mtimeMs) + PLAY_MS;
  if (!isOwn) throw new ShopFileError('stray-log', file);
}

function readSeen(file: string): number | null {
  if (!existsSync(seenFile(file))) return null;
  const ms = Number(readFileSync(seenFile(file), 'utf8'));
  return Number.isFinite(ms) && ms > 0 ? ms : null;
}

/** Notes when the file was last changed, now and while the process lives. */
export function noteSeen(file: string): { readonly stop: () => void } {
  let noted = 0;
  const note = () => {
    if (!existsSync(file)) return;
    const { mtimeMs } = statSync(file);
    if (mtimeMs === noted) return;
    writeFileSync(seenFile(file), String(mtimeMs));
    noted = mtimeMs;
  };
  note();
  const timer = setInterval(note, LOOK_EVERY_MS);
  timer.unref();
  return { stop: () => clearInterval(timer) };
}
