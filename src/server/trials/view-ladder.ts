// Ladders as they are shown: one of them with all that follows from its cuts, and the list.

import { keyOf } from '../../core/stock/index';
import { costFigures, countLadderSeconds, findDoubts, listAlike, proposeForFine } from '../../core/trials/index';
import { figure, groupBy } from '../../core/units/index';
import { listClosedLadders, listOpenLadders, type StoredLadder } from '../../data/ladder-store';
import { findOwnName } from '../../data/own-figure-store';
import { findPresets } from '../../data/preset-store';
import { findVinyls, listFirstVinyls } from '../../data/shelf-store';
import { findLot, findLots, loadLotsOnShelf } from '../../data/stock-store';
import type { LadderChoices, LadderRow, LadderView, TrialsView } from '../../views/trials';
import type { ShopContext } from '../context';
import { findCutter, getPace } from '../devices';
import { notFound } from '../errors';
import { readLadderJob } from '../cutting/job-names';
import { readFigure } from './cut-figure';
import { climbOn, requireLadder } from './ladders';
import { listLabels, listSides } from './view-side';

const LISTED = 30;
const LISTED_VINYLS = 60;

export function loadTrials(shop: ShopContext, beforeMs: number | null = null): TrialsView {
  const open = beforeMs === null ? listOpenLadders(shop.db) : [];
  const closed = listClosedLadders(shop.db, LISTED + 1, beforeMs);
  const listed = closed.slice(0, LISTED);
  const toRow = makeRows(shop, [...open, ...listed]);
  const first = beforeMs === null;
  return {
    open: open.map(toRow),
    closed: listed.map(toRow),
    sides: first ? listSides(shop) : [],
    labels: first ? listLabels(shop) : [],
    more: closed.length > LISTED,
  };
}

function makeRows(shop: ShopContext, ladders: readonly StoredLadder[]): (ladder: StoredLadder) => LadderRow {
  const vinyls = groupBy(findVinyls(shop.db, [...new Set(ladders.map(({ vinylId }) => vinylId))]), ({ id }) => id);
  const lots = groupBy(findLots(shop.db, [...new Set(ladders.flatMap(({ lotId }) => lotId ?? []))]), ({ id }) => id);
  const presets = groupBy(
    findPresets(
      shop.db,
      ladders.flatMap(({ presetId }) => presetId ?? []),
    ),
    ({ id }) => id,
  );
  return (ladder) => {
    const vinyl = vinyls.get(ladder.vinylId)?.[0];
    const lot = ladder.lotId === null ? undefined : lots.get(ladder.lotId)?.[0];
    const preset = ladder.presetId === null ? undefined : presets.get(ladder.presetId)?.[0];
    return {
      id: ladder.id,
      vinylName: vinyl?.name ?? '',
      colourHex: vinyl?.colourHex ?? '',
      lot: lot ? { id: lot.id, code: lot.code, remark: lot.remark } : null,
      verdict: climbOn(ladder).verdict,
      cuts: ladder.cuts.length,
      cleanSetting: ladder.cleanSetting,
      presetName: preset?.name ?? null,
      startedAtMs: ladder.startedAtMs,
    };
  };
}

/** The first vinyls of the shelf, the asked one among them, and its lots. */
export function listChoices(shop: ShopContext, vinylId: number | null): LadderChoices {
  const first = listFirstVinyls(shop.db, LISTED_VINYLS);
  const asked = vinylId === null || first.some(({ id }) => id === vinylId) ? [] : findVinyls(shop.db, [vinylId]);
  return {
    vinyls: [...asked, ...first].map(({ id, name }) => ({ id, name })),
    lots:
      vinylId === null
        ? []
        : loadLotsOnShelf(shop.db, keyOf({ kind: 'vinyl', vinylId })).map(({ id, code, remark }) => ({
            id,
            code,
            remark,
          })),
  };
}

/** @throws ShopError not-found */
export function loadLadder(shop: ShopContext, id: number): LadderView {
  const ladder = requireLadder(shop, id);
  const [vinyl] = findVinyls(shop.db, [ladder.vinylId]);
  if (!vinyl) throw notFound('This vinyl');
  const lot = ladder.lotId === null ? null : findLot(shop.db, ladder.lotId);
  const { best, ...climbed } = climbOn(ladder);
  const alike = listAlike(ladder.cuts, ladder.setting);
  const { setting, cuts, fine, cleanSetting, byItself, closedAtMs } = ladder;
  return {
    ...climbed,
    id,
    vinylId: vinyl.id,
    vinylName: vinyl.name,
    colourHex: vinyl.colourHex,
    lot: lot && { id: lot.id, code: lot.code, remark: lot.remark },
    figure: ladder.figure,
    figureName: ladder.figure === 'own' ? findOwnName(shop.db, id) : null,
    sideMm: ladder.sideMm,
    enough: ladder.enough,
    startFrom: ladder.startFrom,
    startGrams: ladder.startGrams,
    setting,
    cuts,
    doubts: findDoubts({ grams: ladder.startGrams, stray: ladder.startStray }, alike),
    fine,
    cleanSetting,
    slower: cleanSetting && fine ? proposeForFine(cleanSetting, fine) : null,
    presetName: findPresets(shop.db, ladder.presetId === null ? [] : [ladder.presetId])[0]?.name ?? null,
    byItself,
    closedAtMs,
    spent: costFigures({ rollMm: ladder.rollMm, unitCost: lot?.unitCost ?? 0, figures: ladder.placed }),
    time: countLadderSeconds(
      ladder.startedAtMs,
      cuts.map(({ atMs }) => atMs),
    ),
    room: sayRoom(climbed.verdict, best, cuts.length),
    cutter: viewCutter(shop, ladder),
    cutNow: ladder.jobId === null || isBroken(shop, ladder) ? null : readLadderJob(ladder.jobId),
  };
}

/** How likely what was found has room; before anything is found, how likely the best force has. */
function sayRoom(verdict: LadderView['verdict'], best: { readonly room: number }, cuts: number): LadderView['room'] {
  if (cuts === 0) return null;
  const room = 'room' in verdict ? verdict.room : best.room;
  return figure('Clean, with 5 % of room to both sides', room, 'share', 'trial', {
    how: 'share of all windows that fit the cuts',
    parts: [figure('Cuts judged', cuts, 'count', 'measured')],
  });
}

/** A figure that was broken off is not judged: it is cut anew. */
const isBroken = (shop: ShopContext, ladder: StoredLadder): boolean => readFigure(shop, ladder)?.state === 'stopped';

function viewCutter(shop: ShopContext, ladder: StoredLadder): LadderView['cutter'] {
  const cutter = findCutter(shop);
  if (!cutter) return null;
  const job = readFigure(shop, ladder);
  const { name, isSimulated } = cutter;
  return {
    name,
    isSimulated,
    isOn: cutter.read().isOn,
    pace: getPace(shop),
    job: job && { state: job.state, secondsLeft: job.secondsLeft, looks: job.looks },
  };
}
