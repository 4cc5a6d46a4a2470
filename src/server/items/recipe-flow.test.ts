// How an item is pressed: kept with it, in its cost, at the bench and in orders that were taken before.

import { describe, expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { priceAllItems } from '../../../test/price-all';
import { itemInput } from '../../core/input';
import { PLAIN_RECIPE, type PressRecipe } from '../../core/pressing';
import { findOrder } from '../../data/order-store';
import { loadBenchLine } from '../bench/load-station';
import { parseInput } from '../errors';
import { loadOrderParts } from '../orders/load-order-parts';
import { placeOrder } from '../orders/save-order';
import { changeItem } from './save-item';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const APRON = 'Bakery apron';
const rowOf = (name: string) => priceAllItems(shop).find((row) => row.item.name === name)!;
function press(name: string, recipe: Partial<PressRecipe>): void {
  const { id, version, archived: _archived, acceptedCost: _acceptedCost, ...fields } = rowOf(name).item;
  const details = { ...fields.details, recipe: { ...PLAIN_RECIPE, ...recipe } };
  changeItem(shop, id, parseInput(itemInput, { ...fields, details }), version);
}
function order(name: string): number {
  const { item } = rowOf(name);
  return placeOrder(shop, {
    title: 'Aprons',
    customerName: 'Ada Brook',
    contact: '',
    dueDay: '2026-12-09',
    agreed: 9000,
    note: '',
    lines: [{ itemId: item.id, quantity: 1, sizeName: item.sizeName, colourName: item.colourName }],
  }).id;
}
const lineOf = (orderId: number) => loadBenchLine(shop, findOrder(shop.db, orderId)!.lines[0]!.id);
const pressLine = (name: string) => rowOf(name).cost!.lines.find(({ id }) => id === 'press')!;

describe('a recipe', () => {
  it('that was never chosen is the plain one', () => {
    expect(rowOf(APRON).item.details.recipe).toEqual(PLAIN_RECIPE);
    const { id: _id, version: _version, archived: _archived, acceptedCost: _accepted, ...fields } = rowOf(APRON).item;
    const { recipe: _recipe, ...details } = fields.details;
    expect(parseInput(itemInput, { ...fields, details }).details.recipe).toEqual(PLAIN_RECIPE);
  });

  it('is kept with the item, and changes its waits and its steps', () => {
    const before = pressLine(APRON);
    press(APRON, { peel: 'cold' });
    const after = pressLine(APRON);
    expect(rowOf(APRON).item.details.recipe.peel).toBe('cold');
    // Two layers, each cooling 45 s instead of 15.
    expect(after.waitSeconds - before.waitSeconds).toBe(2 * 30);
    expect(after.handsSeconds).toBe(before.handsSeconds);
    press(APRON, { layers: 'full each' });
    const kinds = lineOf(order(APRON)).plan!.steps.map(({ kind }) => kind);
    expect(kinds.filter((kind) => kind === 'press')).toHaveLength(2);
    expect(kinds).not.toContain('tack');
    // What was logged of its minutes wins over the plan, as ever.
    expect(pressLine(APRON).handsSeconds).toBe(before.handsSeconds);
  });

  it('of its own heat is what the bench and the parts of an order go by; orders taken before stay as they were', () => {
    const before = order(APRON);
    const makers = lineOf(before).plan!.temperatureC!;
    press(APRON, { ownHeat: { temperatureC: 186, seconds: 7 } });
    const after = order(APRON);
    expect(lineOf(before).plan!.temperatureC).toBe(makers);
    const plan = lineOf(after).plan!;
    expect(plan.temperatureC).toBe(186);
    expect(plan.steps.filter(({ kind }) => kind === 'press').map(({ seconds }) => seconds)).toEqual([7]);
    expect(plan.cautions.map(({ kind }) => kind)).toContain('off-maker');
    const told = loadOrderParts(shop, after).temperature.map(({ name }) => name);
    expect(told).toEqual(['186 °C']);
  });

  it.each([
    [{ ownHeat: { temperatureC: 400, seconds: 5 } }, /Own heat/],
    [{ ownHeat: { temperatureC: 150, seconds: 0 } }, /Own dwell/],
    [{ cover: 'sometimes' }, /Cover: choose one of/],
    [{ tool: 'hammer' }, /Pressed with/],
  ])('%j is refused, with what would do', async (recipe, words) => {
    const refusal = await refusalOf(() => press(APRON, recipe as Partial<PressRecipe>));
    expect(refusal.message).toMatch(words);
  });
});
