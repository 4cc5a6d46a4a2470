// Cut sheets: parts of several orders laid out, changed by hand, given out, cut and booked.

import { expect, test } from '@playwright/test';
import { open, ShopServer } from './server';

const server = new ShopServer(4397, true);
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());

const takeOrder = async (title: string, quantity: number) => {
  const answer = await fetch(`${server.address}/api/orders`, { method: 'POST', headers: { 'Content-Type': 'application/json', Origin: server.address }, body: JSON.stringify({ title, customerName: 'Ansel Thrush', contact: '', dueDay: '2031-03-03', agreed: 5000, note: '', lines: [{ itemId: 6, quantity, sizeName: 'M', colourName: 'white' }] }) });
  return ((await answer.json()) as { id: number }).id;
};

test('three orders of one vinyl are laid out, one part is nudged, the load is cut: strip, offcut and costs follow', async ({ page }) => {
  const ids = [await takeOrder('Coats one', 2), await takeOrder('Coats two', 1), await takeOrder('Coats three', 2)];
  await open(page, `${server.address}/cut-sheets`);
  await page.getByRole('navigation', { name: 'Vinyls' }).getByRole('button', { name: /^Tarn Smooth, slate/ }).click();
  const what = page.getByRole('region', { name: 'What is laid out' });
  for (const box of await what.getByRole('checkbox').all()) if (!(await box.locator('xpath=ancestor::label').textContent())?.includes('Coats')) await box.uncheck();
  await what.getByRole('combobox', { name: 'Cut from' }).click();
  await page.getByRole('option', { name: /^Roll / }).first().click();
  const load = page.getByRole('region', { name: 'Load' });
  await load.getByRole('button', { name: 'Lay out' }).click();
  await expect(load.getByRole('heading')).toHaveText(/^5 parts on \d+(\.\d)? mm of Tarn Smooth, slate, \d+ % of it used$/);
  await load.getByRole('button', { name: 'Stop here' }).click();
  await expect(load.getByRole('button', { name: 'Improve further' })).toBeVisible();
  // A part moved onto its neighbour is told at once; moved back, it is gone.
  const parts = load.getByRole('figure').locator('g.part');
  await parts.first().click();
  await expect(load.getByText(/^Coats .*: drag it/)).toBeVisible();
  for (let step = 0; step < 14; step++) await page.keyboard.press('ArrowLeft');
  await expect(load.getByRole('alert')).toContainText('This can’t be cut so');
  await expect(load.getByRole('button', { name: 'It is cut: book it' })).toBeDisabled();
  for (let step = 0; step < 14; step++) await page.keyboard.press('ArrowRight');
  await expect(load.getByRole('alert')).toHaveCount(0);
  await page.keyboard.press('l');
  await expect(load.getByRole('button', { name: 'Improve around the locked' })).toBeVisible();
  const [file] = await Promise.all([page.waitForEvent('download'), load.getByRole('button', { name: 'SVG' }).click()]);
  expect(file.suggestedFilename()).toBe('Tarn Smooth, slate sheet 1.svg');
  const cut = Number(/on (\d+(?:\.\d)?) mm/.exec((await load.getByRole('heading').textContent()) ?? '')![1]);
  const left = async () => ((await (await fetch(`${server.address}/api/cut-sheets`)).json()) as { groups: { vinyl: { name: string }; stock: { form: string; left: number }[] }[] }).groups.find((group) => group.vinyl.name === 'Tarn Smooth, slate')!.stock.filter((lot) => lot.form === 'roll').reduce((sum, lot) => sum + lot.left, 0);
  const before = await left();
  await load.getByRole('button', { name: 'It is cut: book it' }).click();
  await expect(page.getByText('Booked: 5 parts are cut.')).toBeVisible();
  expect(before - (await left())).toBeCloseTo(cut, 0);
  await expect(what).not.toContainText('Coats');
  await page.goto(`${server.address}/orders/${ids[0]}`);
  await expect(page.getByRole('main')).toContainText('piece 1, 2 cut');
});

test('how many fit on a piece that was measured by hand', async ({ page }) => {
  await open(page, `${server.address}/cut-sheets`);
  await page.getByRole('navigation', { name: 'Vinyls' }).getByRole('button', { name: /^Quay Hold, black/ }).click();
  const what = page.getByRole('region', { name: 'What is laid out' });
  await what.getByRole('combobox', { name: 'Cut from' }).click();
  await page.getByRole('option', { name: 'a piece of this size' }).click();
  await what.getByLabel('As read: width, mm').fill('305');
  await what.getByLabel('length, mm', { exact: true }).fill('200');
  const load = page.getByRole('region', { name: 'Load' });
  await load.getByRole('button', { name: 'How many fit?' }).click();
  await expect(load.getByRole('heading')).toHaveText(/^\d+ of it fit on this$/);
  await load.getByRole('button', { name: 'Stop here' }).click();
  expect(parseInt((await load.getByRole('heading').textContent()) ?? '', 10)).toBeGreaterThan(5);
});
