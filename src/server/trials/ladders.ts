// Setting ladders: begun on a vinyl, cut by cut to a setting, which is kept under a name.

import type { InferType } from 'yup';
import { getOrdinarySetting, isSameSetting, type CutSetting, type TestResult } from '../../core/cutting/index';
import type { ladderInput, ladderKeepInput } from '../../core/input/index';
import { keyOf } from '../../core/stock/index';
import { believeForce, climb, listAlike, type FineResult } from '../../core/trials/index';
import { inTransaction } from '../../data/database';
import {
  changeLadder,
  deleteLadder,
  findLadder,
  insertLadder,
  listCleanOfKind,
  type LadderChange,
  type StoredLadder,
} from '../../data/ladder-store';
import { insertOwnFigure, type OwnFigure } from '../../data/own-figure-store';
import { deletePreset, keepPreset } from '../../data/preset-store';
import { findVinyl } from '../../data/shelf-store';
import { findLot } from '../../data/stock-store';
import { getShop, type ShopContext } from '../context';
import { findBlade, findLatestClean } from '../cutting/begin-load';
import { notFound, ShopError } from '../errors';

/** Of its kind so many settings are looked at, where this vinyl has none. */
const MOST_LIKE = 20;
const DEFAULT_LIFE_METRES = 100;

export function requireLadder({ db }: ShopContext, id: number): StoredLadder {
  const ladder = findLadder(db, id);
  if (!ladder) throw notFound('This ladder');
  return ladder;
}

export function requireOpen(shop: ShopContext, id: number): StoredLadder {
  const ladder = requireLadder(shop, id);
  if (ladder.closedAtMs !== null) throw new ShopError('conflict', { reason: 'ladder-closed' });
  return ladder;
}

/**
 * `drawn`: the drawing that is its figure (`prepareOwnFigure`). @throws ShopError where the vinyl or the lot is gone, or
 * they are not of one another
 */
export function startLadder(
  shop: ShopContext,
  { artworkId: _, ...input }: InferType<typeof ladderInput>,
  drawn: OwnFigure | null = null,
): { readonly id: number } {
  const vinyl = findVinyl(shop.db, input.vinylId);
  if (!vinyl) throw notFound('This vinyl');
  const lot = input.lotId === null ? null : findLot(shop.db, input.lotId);
  if (input.lotId !== null && lot?.key !== keyOf({ kind: 'vinyl', vinylId: vinyl.id }))
    throw new ShopError('invalid', { reason: 'lot-of-other' }, 'lotId');
  const blade = findBlade(shop);
  const ordinary = getOrdinarySetting(vinyl, getShop(shop).figures);
  const life = blade?.lifeMetres ?? DEFAULT_LIFE_METRES;
  const wear = (metres: number) => metres / life;
  const own = findLatestClean(shop, vinyl.id);
  const belief = believeForce({
    own: own && {
      forceGrams: own.setting.forceGrams,
      bladeWorn: wear(own.bladeMetres),
      sameLot: own.lotId === input.lotId,
      sameBlade: own.bladeId === (blade?.supplyId ?? null),
    },
    like: listCleanOfKind(shop.db, vinyl.kind, vinyl.id, MOST_LIKE).map(({ setting, bladeMetres }) => ({
      forceGrams: setting.forceGrams,
      bladeWorn: wear(bladeMetres),
    })),
    ordinaryGrams: ordinary.forceGrams,
    bladeWorn: wear(blade?.metres ?? 0),
  });
  const setting = own?.setting ?? ordinary;
  const start = { grams: belief.grams, stray: belief.stray };
  const next = climb({ start, cuts: [], passes: setting.passes }).nextGrams ?? setting.forceGrams;
  return inTransaction(shop.db, () => {
    const id = insertLadder(shop.db, {
      ...input,
      startGrams: belief.grams,
      startStray: belief.stray,
      startFrom: belief.source,
      setting: { ...setting, forceGrams: next },
      cuts: [],
      bladeId: blade?.supplyId ?? null,
      bladeMetres: blade?.metres ?? 0,
      startedAtMs: shop.now(),
    });
    if (drawn) insertOwnFigure(shop.db, id, drawn);
    return { id };
  });
}

/** What is known by its cuts at the setting it stands at. */
export const climbOn = ({ startGrams, startStray, cuts, setting, enough }: StoredLadder) =>
  climb({
    start: { grams: startGrams, stray: startStray },
    cuts: listAlike(cuts, setting),
    passes: setting.passes,
    enough,
  });

/** Enough is known, or no more cuts are made without being asked for. */
export const isAtRest = (ladder: StoredLadder): boolean => climbOn(ladder).verdict.kind !== 'going-on';

type Answer = { readonly setting: CutSetting; readonly result: TestResult };

/** How a figure came out: what is tried next follows. @throws ShopError */
export function tellLadder(shop: ShopContext, id: number, { setting, result }: Answer): void {
  inTransaction(shop.db, () => {
    const ladder = requireOpen(shop, id);
    const cuts = [...ladder.cuts, { setting, result, atMs: shop.now() }];
    changeLadder(shop.db, id, { ...followCuts({ ...ladder, setting, cuts }), jobId: null, ...readBlade(shop) });
  });
}

/** The last answer is taken back; its figure stays cut. */
export function untellLadder(shop: ShopContext, id: number): void {
  inTransaction(shop.db, () => {
    const ladder = requireOpen(shop, id);
    const last = ladder.cuts.at(-1);
    if (!last) throw new ShopError('conflict', { reason: 'ladder-nothing-told' });
    const cuts = ladder.cuts.slice(0, -1);
    changeLadder(shop.db, id, { ...followCuts({ ...ladder, setting: last.setting, cuts }), setting: last.setting });
  });
}

/** Another speed, blade or number of passes, or a force of one's own, is tried next. */
export function setLadder(shop: ShopContext, id: number, setting: CutSetting): void {
  inTransaction(shop.db, () => {
    requireOpen(shop, id);
    changeLadder(shop.db, id, { setting, fine: null });
  });
}

/** How the fine design came out at the setting that was found. */
export function tellFine(shop: ShopContext, id: number, fine: FineResult): void {
  inTransaction(shop.db, () => {
    const ladder = requireOpen(shop, id);
    if (!ladder.cleanSetting) throw new ShopError('conflict', { reason: 'ladder-not-clean' });
    changeLadder(shop.db, id, { fine, jobId: null });
  });
}

/** What is kept of the cuts so far: the setting that is clean, and the one that comes next. */
function followCuts(ladder: StoredLadder): LadderChange {
  const { cuts, setting } = ladder;
  const { verdict, nextGrams } = climbOn(ladder);
  const grams = 'forceGrams' in verdict ? verdict.forceGrams : null;
  const cleanSetting = grams === null ? findLastClean(cuts) : { ...setting, forceGrams: grams };
  const cleanAtMs = cleanSetting
    ? (cuts.findLast((cut) => cut.result === 'clean' && isSameSetting(cut.setting, cleanSetting))?.atMs ?? null)
    : null;
  const isOver = verdict.kind !== 'going-on';
  return {
    cuts,
    cleanSetting,
    cleanAtMs,
    fine: null,
    setting: isOver || nextGrams === null ? (cleanSetting ?? setting) : { ...setting, forceGrams: nextGrams },
  };
}

const findLastClean = (cuts: StoredLadder['cuts']): CutSetting | null =>
  cuts.findLast(({ result }) => result === 'clean')?.setting ?? null;

function readBlade(shop: ShopContext): Pick<StoredLadder, 'bladeId' | 'bladeMetres'> {
  const blade = findBlade(shop);
  return { bladeId: blade?.supplyId ?? null, bladeMetres: blade?.metres ?? 0 };
}

/** Kept under a name: loads of the vinyl begin with it. It closes the ladder. @throws ShopError */
export function keepLadder(
  shop: ShopContext,
  id: number,
  { name, use }: InferType<typeof ladderKeepInput>,
): { readonly presetId: number } {
  return inTransaction(shop.db, () => {
    const ladder = requireLadder(shop, id);
    if (!ladder.cleanSetting) throw new ShopError('conflict', { reason: 'ladder-not-clean' });
    const { vinylId, bladeMetres, cleanSetting: setting } = ladder;
    const presetId = keepPreset(shop.db, { vinylId, name, use, setting, bladeMetres, savedAtMs: shop.now() });
    changeLadder(shop.db, id, { presetId, byItself: false, closedAtMs: ladder.closedAtMs ?? shop.now() });
    return { presetId };
  });
}

/** How sure of room the setting is to be from now on. What comes of it is kept anew; under the same name it takes its place. */
export function askMore(shop: ShopContext, id: number, enough: number): void {
  inTransaction(shop.db, () => {
    const ladder = requireLadder(shop, id);
    changeLadder(shop.db, id, {
      ...followCuts({ ...ladder, enough }),
      fine: ladder.fine,
      enough,
      presetId: null,
      closedAtMs: null,
    });
  });
}

/** Given up, or left as it is: what was cut stays known. */
export const closeLadder = (shop: ShopContext, id: number): void =>
  changeLadder(shop.db, requireOpen(shop, id).id, { closedAtMs: shop.now(), byItself: false, jobId: null });

/** What it told no longer counts, the setting it gave included. The strip stays cut. */
export function removeLadder(shop: ShopContext, id: number): void {
  inTransaction(shop.db, () => {
    const { presetId } = requireLadder(shop, id);
    deleteLadder(shop.db, id);
    if (presetId !== null) deletePreset(shop.db, presetId);
  });
}
