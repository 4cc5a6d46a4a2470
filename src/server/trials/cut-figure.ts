// A figure of a ladder is cut: on the next free place of a row across the stock, through the machine where there is one.

import { writeHpgl } from '../../core/artwork/index';
import { makeTestFigure, type CutSetting } from '../../core/cutting/index';
import { getRowLength, placeNext } from '../../core/trials/index';
import { assert } from '../../core/units/index';
import { inTransaction } from '../../data/database';
import { changeLadder, type StoredLadder } from '../../data/ladder-store';
import { findOwnLines } from '../../data/own-figure-store';
import { findVinyl, type StoredVinyl } from '../../data/shelf-store';
import { findLot, type StoredLot } from '../../data/stock-store';
import { loadRunningSessions } from '../../data/work-store';
import type { JobReading } from '../../ports/cutter';
import { getShop, type ShopContext } from '../context';
import { nameLadderJob } from '../cutting/job-names';
import { accept, requireCutter, toJob } from '../cutting/use-cutter';
import { findCutter } from '../devices';
import { notFound, ShopError } from '../errors';
import { writeLine } from '../stock/save-stock';
import { isAtRest, requireOpen, tellLadder } from './ladders';

/** Where nobody has a lot of it on the book, the machine is told of none. */
const NO_LOT = 0;

/** The next figure, or with `fine` the net that confirms a setting. @throws ShopError */
export function cutFigure(shop: ShopContext, id: number, setting: CutSetting, fine = false): void {
  const ladder = requireOpen(shop, id);
  refuseLoadAtCutter(shop);
  const vinyl = findVinyl(shop.db, ladder.vinylId);
  if (!vinyl) throw notFound('This vinyl');
  const lot = ladder.lotId === null ? null : findLot(shop.db, ladder.lotId);
  const reachMm = (lot?.widthMm ?? vinyl.rollWidthMm) - 2 * getShop(shop).figures.cutterEdgeMm;
  const spot = placeNext(ladder.placed, reachMm, ladder.sideMm);
  const jobId = nameLadderJob(id, ladder.placed, fine ? 'fine' : 'figure');
  inTransaction(shop.db, () => {
    const rollMm = takeRow(shop, { ladder, lot, beginsRow: spot.beginsRow });
    changeLadder(shop.db, id, { setting, jobId, placed: ladder.placed + 1, rollMm });
    if (!findCutter(shop)) return;
    const figure = fine ? 'net' : getFigure(shop, ladder);
    sendFigure(shop, { ladder, vinyl, lot, setting, jobId, figure, x: spot.x });
  });
}

function getFigure({ db }: ShopContext, { id, figure }: StoredLadder): Figure['figure'] {
  if (figure !== 'own') return figure;
  const lines = findOwnLines(db, id);
  assert(lines !== null, 'the drawing that the ladder began with', id);
  return lines;
}

/** A row is booked when it is begun: its strip is gone, however many figures it will hold. */
function takeRow(
  shop: ShopContext,
  { ladder, lot, beginsRow }: { ladder: StoredLadder; lot: StoredLot | null; beginsRow: boolean },
): number {
  if (!beginsRow || lot?.form !== 'roll') return ladder.rollMm;
  const lengthMm = getRowLength(ladder.sideMm);
  writeLine(shop, lot, 'used', -lengthMm, 'Test cuts');
  return ladder.rollMm + lengthMm;
}

type Figure = {
  readonly ladder: StoredLadder;
  readonly vinyl: StoredVinyl;
  readonly lot: StoredLot | null;
  readonly setting: CutSetting;
  readonly jobId: string;
  readonly figure: Parameters<typeof makeTestFigure>[1];
  readonly x: number;
};

function sendFigure(shop: ShopContext, { ladder, vinyl, lot, setting, jobId, figure, x }: Figure): void {
  const cutter = requireCutter(shop);
  const widthMm = lot?.widthMm ?? vinyl.rollWidthMm;
  const lengthMm = getRowLength(ladder.sideMm);
  accept(
    cutter.load({
      lotId: lot?.id ?? NO_LOT,
      labelWidthMm: widthMm,
      lengthMm,
      onMat: lot?.form !== 'roll',
      kind: vinyl.kind,
      thicknessUm: vinyl.details.thicknessUm,
    }),
  );
  const layer = {
    name: 'Test cut',
    mirrored: false,
    widthMm,
    heightMm: lengthMm,
    note: '',
    paths: makeTestFigure({ x, y: 0 }, figure, ladder.sideMm),
  };
  const program = writeHpgl(layer, { forceGrams: setting.forceGrams, speedMmPerSecond: setting.speedMmPerS });
  accept(cutter.send(toJob(shop, { id: jobId, program, setting, fromLine: 0 })));
}

/** A load that lies in the machine is not taken out of it. */
function refuseLoadAtCutter({ db }: ShopContext): void {
  if (loadRunningSessions(db).some(({ station }) => station === 'cut'))
    throw new ShopError('conflict', { reason: 'station-busy', station: 'cut' });
}

/** What the machine says of the figure that was sent last; null where it has none in hand. */
export function readFigure(shop: ShopContext, { jobId }: StoredLadder): JobReading | null {
  const job = jobId === null ? null : (findCutter(shop)?.read().job ?? null);
  return job?.id === jobId ? job : null;
}

/**
 * A simulated machine goes on by itself: how the figure looks is taken for the answer, and the next one is sent. Real
 * ones don't see what they cut. What stops the machine ends that: nothing is cut again and again. @throws ShopError
 */
export function goOnByItself(shop: ShopContext, id: number): void {
  try {
    takeNextByItself(shop, id);
  } catch (error) {
    changeLadder(shop.db, id, { byItself: false });
    throw error;
  }
}

function takeNextByItself(shop: ShopContext, id: number): void {
  const ladder = requireOpen(shop, id);
  const job = readFigure(shop, ladder);
  if (!ladder.byItself || job?.state === 'cutting') return;
  if (job?.state === 'done' && job.looks) tellLadder(shop, id, { setting: ladder.setting, result: job.looks });
  const now = requireOpen(shop, id);
  const isStopped = job?.state === 'stopped' || job?.state === 'paused';
  if (isStopped || isAtRest(now)) return changeLadder(shop.db, id, { byItself: false });
  cutFigure(shop, id, now.setting);
}
