// Recipes of the shop's own: kept with the vinyl, followed by plans and costs, and told with what was seen since.

import { describe, expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { priceAllItems } from '../../../test/price-all';
import { listPlans } from '../../../test/query-plans';
import { readPdfPages } from '../../../test/read-pdf';
import { getOrdinarySetting } from '../../core/cutting';
import { lookInput, presetInput, recipeChange } from '../../core/input';
import { loadPresetsOf } from '../../data/preset-store';
import { findVinyl, listVinylsWithOwnPress, loadVinyls } from '../../data/shelf-store';
import { getShop } from '../context';
import { parseInput } from '../errors';
import { printRecipes } from './print-recipes';
import { addLook, changeRecipe, loadRecipes, removeLook, removePreset, savePreset } from './recipes';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const vinylNamed = (name: string) => loadVinyls(shop.db).find((vinyl) => vinyl.name === name)!;
const slate = () => vinylNamed('Tarn Smooth, slate').id;
const rowsOf = (vinylId: number) => loadRecipes(shop).rows.filter((row) => row.vinylId === vinylId);
const APRON = 'Bakery apron';
const apronVinyl = () => findVinyl(shop.db, rowOf(APRON).item.placements[0]!.vinylIds[0]!)!;
const rowOf = (name: string) => priceAllItems(shop).find((row) => row.item.name === name)!;
const OWN = {
  temperatureC: 158,
  seconds: 20,
  pressure: 'firm',
  peel: 'cold',
  source: 'own trial',
  day: '2026-11-01',
  note: 'holds better',
} as const;
function set(vinylId: number, own: typeof OWN | null, version = findVinyl(shop.db, vinylId)!.version) {
  return changeRecipe(shop, parseInput(recipeChange, { vinylId, fabric: 'cotton', own }), version);
}

describe('a recipe of one’s own', () => {
  it('is followed by what the item costs, and taken back again', () => {
    const press = () => rowOf(APRON).cost!.lines.find(({ id }) => id === 'press')!;
    const before = press();
    const { id } = apronVinyl();
    set(id, OWN);
    const row = loadRecipes(shop).rows.find(({ vinylId }) => vinylId === id)!;
    expect([row.fabric, row.own]).toEqual(['cotton', OWN]);
    expect(row.maker).toEqual(apronVinyl().press);
    // One of two layers cools 45 s instead of what its maker asks.
    expect(press().waitSeconds).toBeGreaterThan(before.waitSeconds);
    set(id, null);
    expect(press().waitSeconds).toBe(before.waitSeconds);
    expect(rowsOf(id)).toEqual([]);
  });

  it('is found without reading the whole shelf', () => {
    const steps = listPlans(shop.db, () => listVinylsWithOwnPress(shop.db)).flatMap((plan) => plan.steps);
    expect(steps.join('\n')).toMatch(/vinyls_with_own_press/);
  });

  it('of a vinyl that was changed meanwhile, or that is not pressed, is refused', async () => {
    const { id, version } = apronVinyl();
    set(id, OWN);
    expect((await refusalOf(() => set(id, null, version))).code).toBe('stale');
    const sticky = loadVinyls(shop.db).find(({ press }) => press === null)!;
    expect((await refusalOf(() => set(sticky.id, OWN))).field).toBe('vinylId');
  });
});

describe('what happened since', () => {
  const seen = (more: object = {}) =>
    parseInput(lookInput, {
      vinylId: slate(),
      fabric: 'cotton',
      kind: 'washed',
      pieces: 6,
      washes: 20,
      day: '2026-11-02',
      note: '',
      ...more,
    });

  it('is summed by vinyl and fabric, also where its maker is followed; one taken back counts no more', () => {
    addLook(shop, seen());
    const { id } = addLook(shop, seen({ kind: 'lifted', pieces: 2, washes: 4 }));
    addLook(shop, seen({ fabric: 'polyester' }));
    const [row, other] = rowsOf(slate());
    expect([row!.own, row!.sum.pieces, row!.sum.failed, row!.sum.failedFromWashes]).toEqual([null, 8, 2, 4]);
    expect([other!.fabric, other!.sum.pieces]).toEqual(['polyester', 6]);
    removeLook(shop, id);
    expect(rowsOf(slate())[0]!.sum).toMatchObject({ pieces: 6, failed: 0, mostWashes: 20 });
  });

  it('on a day to come is refused', async () => {
    const refusal = await refusalOf(() => addLook(shop, seen({ day: '2031-01-01' })));
    expect(refusal.field).toBe('day');
  });
});

describe('a setting that was kept', () => {
  it('takes the place of one of its name, and can be put back', () => {
    const vinyl = vinylNamed('Tarn Smooth, slate');
    const setting = getOrdinarySetting(vinyl, getShop(shop).figures);
    const keep = (forceGrams: number, name = 'Slate, lace') =>
      savePreset(
        shop,
        parseInput(presetInput, { vinylId: vinyl.id, name, use: 'fine', setting: { ...setting, forceGrams } }),
      );
    keep(80);
    const { id } = keep(85, 'slate, LACE');
    expect(loadPresetsOf(shop.db, vinyl.id).map((one) => one.setting.forceGrams)).toEqual([85]);
    const removed = removePreset(shop, id);
    expect(loadRecipes(shop).presets).toEqual([]);
    savePreset(shop, parseInput(presetInput, removed));
    expect(loadRecipes(shop).presets.map(({ name, use }) => [name, use])).toEqual([['slate, LACE', 'fine']]);
  });
});

it('the press card has every recipe, and what was seen of it', async () => {
  const vinyl = apronVinyl();
  set(vinyl.id, OWN);
  addLook(
    shop,
    parseInput(lookInput, {
      vinylId: vinyl.id,
      fabric: 'cotton',
      kind: 'cracked',
      pieces: 1,
      washes: 12,
      day: '2026-11-02',
    }),
  );
  const response = await printRecipes(shop, 'metric');
  const [page] = await readPdfPages(new Uint8Array(await response.arrayBuffer()));
  expect(page!.replace(/\s+/g, ' ')).toContain('158 °C, 20 s, firm, peel cold');
  expect(page!.replace(/\s+/g, ' ')).toContain('1 of 1 failed, the first after 12 washes.');
});
