// What is cut without a saved load: the setting that is known best, the one the seller says, and what the order tells.

import { beforeEach, describe, expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { listBenchParts } from '../../../test/bench-parts';
import { getOrdinarySetting, type CutSetting } from '../../core/cutting/index';
import { keepPreset } from '../../data/preset-store';
import { findVinyl } from '../../data/shelf-store';
import { readOrdersOf } from '../bench/bench-parts';
import { finishSession, startSession } from '../bench/work-at-bench';
import { getShop } from '../context';
import { groupOf, LABEL_BLACK, layTwoLabels } from '../cut-sheets/cut-load-examples';
import { saveCutSheet } from '../cut-sheets/save-cut-sheet';
import { listPartIds } from '../../core/orders/index';
import { tellStory } from '../orders/tell-story';
import { loadRunning } from '../shop/load-frame';
import { setByHand } from './cut-by-hand';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const OWN: CutSetting = { forceGrams: 123, speedMmPerS: 45, passes: 2, bladeDegrees: 60 };
let partIds: number[] = [];
let vinylId = 0;

beforeEach(() => {
  const tins = listBenchParts(shop).filter((part) => part.itemName === 'Seed tin, labelled' && part.state === 'to-cut');
  vinylId = tins[0]!.vinylId;
  partIds = tins.filter((part) => part.vinylId === vinylId).map(({ partId }) => partId);
});

const start = () => startSession(shop, { station: 'cut', partIds }).id;
const handCuts = () => loadRunning(shop).find(({ station }) => station === 'cut')!.byHand;
const told = () => tellStory(shop, readOrdersOf(shop, partIds)[0]!).map(({ text }) => text);

describe('without a saved load', () => {
  it('it begins with what is ordinary for its kind, where nothing else is known', () => {
    start();
    const setting = getOrdinarySetting(findVinyl(shop.db, vinylId)!, getShop(shop).figures);
    expect(handCuts()).toEqual([{ vinylId, setting }]);
  });

  it('it begins with the setting that is kept under a name for everything', () => {
    keepPreset(shop.db, { vinylId, name: 'Labels', use: 'everything', setting: OWN, bladeMetres: 0, savedAtMs: 1 });
    start();
    expect(handCuts()).toEqual([{ vinylId, setting: OWN }]);
  });

  it('the one that is said stays with the work, and the order tells it', () => {
    const id = start();
    setByHand(shop, id, { vinylId, setting: OWN });
    expect(handCuts()).toEqual([{ vinylId, setting: OWN }]);
    finishSession(shop, id, 'done');
    const from = /cut from lot \d+ with 123 g, .*, without a saved load$/;
    expect(told().filter((text) => from.test(text))).toHaveLength(1);
    expect(loadRunning(shop).filter(({ station }) => station === 'cut')).toEqual([]);
  });

  it('each vinyl of the work is told with its own setting and lot', () => {
    const open = listBenchParts(shop).filter(({ state }) => state === 'to-cut');
    const inTwo = open.find((one) =>
      open.some((other) => other.pieceId === one.pieceId && other.vinylId !== one.vinylId),
    )!;
    const parts = open.filter(({ pieceId }) => pieceId === inTwo.pieceId);
    partIds = parts.map(({ partId }) => partId);
    vinylId = inTwo.vinylId;
    const id = start();
    setByHand(shop, id, { vinylId, setting: OWN });
    const cuts = handCuts();
    expect(cuts.length).toBeGreaterThan(1);
    finishSession(shop, id, 'done');
    const [line] = told().filter((text) => text.includes('without a saved load'));
    const ways = line!.split('; ');
    expect(ways.map((way) => Number(/ with (\d+) g/.exec(way)![1])).sort()).toEqual(
      cuts.map(({ setting }) => setting.forceGrams).sort(),
    );
    const lots = ways.map((way) => /(lot \d+|not in the stock)/.exec(way)![1]);
    expect(new Set(lots).size).toBe(cuts.length);
  });

  it('a setting of work that is over, or of a vinyl that is not cut in it, is refused', async () => {
    const id = start();
    expect((await refusalOf(() => setByHand(shop, id, { vinylId: vinylId + 1, setting: OWN }))).code).toBe('not-found');
    finishSession(shop, id, 'paused');
    const late = await refusalOf(() => setByHand(shop, id, { vinylId, setting: OWN }));
    expect(late.refusal).toMatchObject({ reason: 'timer-stopped' });
    expect((await refusalOf(() => setByHand(shop, 999_999, { vinylId, setting: OWN }))).code).toBe('not-found');
  });
});

it('a saved load has its settings sheet by sheet, and none beside them', () => {
  const lotId = groupOf(shop, LABEL_BLACK).stock.find((lot) => lot.form === 'roll')!.lotId;
  const input = layTwoLabels(shop, lotId);
  const savedId = saveCutSheet(shop, input).id;
  startSession(shop, { station: 'cut', partIds: [...listPartIds(input.sheet)], savedId });
  expect(handCuts()).toEqual([]);
});
