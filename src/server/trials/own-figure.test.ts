// A ladder that cuts a drawing of the shop instead of a figure that comes with Chiral.

import { beforeEach, expect, it, vi } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { readHpgl } from '../../core/cutting/index';
import { boundPoints } from '../../core/geometry/index';
import { ladderInput, ladderStepInput } from '../../core/input/index';
import { findLot } from '../../data/stock-store';
import { groupOf, LABEL_BLACK } from '../cut-sheets/cut-load-examples';
import { findCutter } from '../devices';
import { parseInput } from '../errors';
import { findNames } from '../shop/find-things';
import { removeLadder, startLadder } from './ladders';
import { prepareOwnFigure } from './own-figure';
import { takeLadderStep } from './take-ladder-step';
import { loadLadder } from './view-ladder';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const SIDE_MM = 40;
/** Longer than any figure is cut. */
const HOUR_MS = 60 * 60_000;
let vinylId = 0;
let artwork = { id: 0, name: '' };

beforeEach(() => {
  const lotId = groupOf(shop, LABEL_BLACK).stock.find((lot) => lot.form === 'roll')!.lotId;
  vinylId = Number(/\d+/.exec(findLot(shop.db, lotId)!.key)![0]);
  artwork = findNames(shop, 'artwork', '')[0]!;
});

const begin = async (wish: object) => {
  const input = parseInput(ladderInput, { vinylId, sideMm: SIDE_MM, ...wish });
  return startLadder(shop, input, await prepareOwnFigure(shop, input)).id;
};

/** The lines that the machine is sent, mm. */
function watchLines() {
  const sent = vi.spyOn(findCutter(shop)!, 'send');
  return () => {
    const read = readHpgl(sent.mock.lastCall![0].program);
    if (!read.ok) throw new Error(read.problem.kind);
    return read.value.lines;
  };
}

it('sends the drawing to the cutter in the figure’s square, and the net for the fine design', async () => {
  const id = await begin({ figure: 'own', artworkId: artwork.id });
  expect(loadLadder(shop, id)).toMatchObject({ figure: 'own', figureName: artwork.name, sideMm: SIDE_MM });
  const readLines = watchLines();
  const { setting } = loadLadder(shop, id);
  const cut = (step: string) => takeLadderStep(shop, id, step, parseInput(ladderStepInput, { setting }));
  cut('cut');
  const own = readLines();
  shop.clock.ms += HOUR_MS;
  const plain = await begin({ figure: 'square' });
  takeLadderStep(shop, plain, 'cut', parseInput(ladderStepInput, { setting }));
  const square = readLines();
  expect(square).toHaveLength(3);
  expect(own[0]).not.toEqual(square[0]);
  const box = boundPoints(own.slice(0, -1).map(({ points }) => points))!;
  expect(Math.max(box.width, box.height)).toBeCloseTo(SIDE_MM * 0.88, 1);
  shop.clock.ms += HOUR_MS;
  cut('cut-fine');
  expect(readLines().length).toBeGreaterThan(30);
});

it('stays the drawing as it was, whatever becomes of that, and goes with its ladder', async () => {
  const id = await begin({ figure: 'own', artworkId: artwork.id });
  const readLines = watchLines();
  const { setting } = loadLadder(shop, id);
  const cut = () => takeLadderStep(shop, id, 'cut', parseInput(ladderStepInput, { setting }));
  cut();
  const first = readLines();
  shop.db.$client.exec(`update artworks set name = 'Another', steps = '[]' where id = ${artwork.id}`);
  shop.db.$client.exec(`update artwork_originals set original = x'3c7376672f3e' where artwork_id = ${artwork.id}`);
  expect(loadLadder(shop, id).figureName).toBe(artwork.name);
  shop.clock.ms += HOUR_MS;
  cut();
  expect(readLines()).toHaveLength(first.length);
  const kept = () => shop.db.$client.prepare('select count(*) from own_figures').pluck().get();
  expect(kept()).toBe(1);
  removeLadder(shop, id);
  expect(kept()).toBe(0);
});

it('asks which drawing, and says where there is none', async () => {
  expect((await refusalOf(() => begin({ figure: 'own' }))).message).toMatch(/^Choose the drawing/);
  expect((await refusalOf(() => begin({ figure: 'own', artworkId: 999_999 }))).code).toBe('not-found');
  // A drawing beside a figure of Chiral's is no wish for it.
  expect(loadLadder(shop, await begin({ figure: 'bars', artworkId: artwork.id })).figureName).toBeNull();
});
