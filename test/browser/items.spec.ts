// Items: what channels take, what the number made changes, which vinyl to use, and the price list.

import { expect, test } from '@playwright/test';
import { readPdfPages } from '../read-pdf';
import { open, ShopServer } from './server';

const server = new ShopServer(4396, true);
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());

test('a channel is added by keyboard, and says what to ask there', async ({ page }) => {
  await open(page, `${server.address}/items/2`);
  await page.getByRole('button', { name: 'Add a channel' }).focus();
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByLabel('Name')).toBeFocused();
  await page.keyboard.type('Harvest fair');
  await dialog.getByLabel('Share of the price').focus();
  await page.keyboard.type('97');
  await page.keyboard.press('Enter');
  await expect(dialog.getByText('Share of the price: from 0 to 0.95.').first()).toBeVisible();
  await dialog.getByLabel('Share of the price').fill('10');
  await dialog.getByLabel('A day there').fill('60');
  await dialog.getByLabel('Pieces sold on one').fill('40');
  await dialog.getByRole('button', { name: 'Add the channel' }).click();
  const row = page.getByRole('region', { name: 'By channel' }).getByRole('row', { name: /^Harvest fair/ });
  // At 29.00: 2.90 and a fortieth of 60.00.
  await expect(row.getByRole('button', { name: /^Taken by the channel: 4\.40/ })).toBeVisible();
  await row.getByRole('button', { name: /^Taken by the channel/ }).focus();
  await page.keyboard.press('=');
  await expect(page.getByRole('dialog', { name: 'Working: Taken by the channel' })).toContainText('Its part of the day');
  await page.keyboard.press('Escape');
  // More than the goal leaves is refused with the reason, the rest stays.
  await row.getByRole('button', { name: 'Harvest fair' }).click();
  await dialog.getByLabel('Share of the price').fill('80');
  await dialog.getByRole('button', { name: 'Save the channel' }).click();
  await expect(row.getByTitle(/It takes 80 % of the price, and a goal of 35 % leaves nothing/)).toBeVisible();
});

test('more made at once never ask for more', async ({ page }) => {
  await open(page, `${server.address}/items/2`);
  const rungs = page.getByRole('region', { name: 'By quantity' });
  await expect(rungs.getByRole('row')).toHaveCount(9);
  const asks = (await rungs.getByRole('row').locator('td:nth-child(3)').allTextContents()).map(Number);
  expect(asks).toEqual([...asks].sort((a, b) => b - a));
  await page.getByLabel('Made in one go').fill('7');
  await expect(rungs.getByRole('row', { name: /^7 / })).toBeVisible();
});

test('two vinyls are compared: a verdict, line by line, with its odds and where it flips', async ({ page }) => {
  await open(page, `${server.address}/items/5`);
  await page.getByRole('link', { name: 'Compare vinyls' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Use Tarn Smooth, cream: 0\.\d\d cheaper a good piece than Penny Flex, fern, in \d+ % of what may come/);
  const lines = page.getByRole('region', { name: 'Line by line' });
  const chances = lines.getByRole('row', { name: /^Chance that it is the cheapest/ });
  await expect(chances).toContainText('%');
  const shares = (await chances.getByRole('cell').allTextContents()).slice(1).map((text) => parseInt(text, 10));
  expect(shares[0]! + shares[1]!).toBe(100);
  await expect(lines.getByRole('row', { name: /^Fit for it/ })).toContainText('by your own grade for own use, not to sell');
  await expect(page.getByRole('region', { name: 'Where it flips' })).toContainText('Penny Flex, fern is cheaper once more than');
  await expect(page.getByRole('img', { name: /^What a good piece costs over your hour: Penny Flex, fern from/ })).toBeVisible();
  // A third one joins, and the odds are drawn anew.
  await page.getByLabel('In these vinyls, four at most').click();
  await page.getByRole('option', { name: 'Sparrow Glint, gold' }).click();
  await page.keyboard.press('Escape');
  await expect(lines.getByRole('columnheader')).toHaveCount(4);
  await expect(chances).not.toContainText('…');
});

test('the price list: by goal, as a table, and on paper', async ({ page, request }) => {
  await open(page, `${server.address}/books`);
  const list = page.getByRole('region', { name: 'Price list' });
  const apron = list.getByRole('row', { name: /^Bakery apron/ });
  const online = async () => Number(await apron.getByRole('cell').nth(6).textContent());
  const forWage = await online();
  await page.getByLabel('Prices at which').click();
  await page.getByRole('option', { name: 'nothing is lost' }).click();
  await expect.poll(online).toBeLessThan(forWage);
  const paper = await request.get(`${server.address}/api/price-list/pdf?goal=wage`);
  expect((await readPdfPages(new Uint8Array(await paper.body()))).join(' ')).toContain(forWage.toFixed(2));
  expect(await (await request.get(`${server.address}/api/price-list/csv`)).text()).toContain(forWage.toFixed(2));
});

test('a quick quote from anywhere: priced, promised, kept, and to be printed', async ({ page, request }) => {
  await open(page, `${server.address}/orders`);
  await page.keyboard.press('q');
  const sheet = page.getByRole('dialog');
  await expect(sheet.getByLabel('Item')).toBeFocused();
  await page.keyboard.type('Bakery');
  await expect(page.getByRole('option', { name: 'Bakery apron' })).toBeVisible();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await sheet.getByRole('textbox', { name: 'Pieces' }).fill('3');
  await expect(sheet.getByRole('heading', { name: /^87\.00 together, ready on / })).toBeVisible();
  await sheet.getByRole('textbox', { name: 'Pieces' }).fill('2.5');
  await expect(sheet.getByRole('button', { name: 'Keep the quote' })).toBeDisabled();
  await sheet.getByRole('textbox', { name: 'Pieces' }).fill('4');
  await sheet.getByLabel('Price each').fill('27,50');
  await sheet.getByLabel('For whom').fill('Oven & Ember bakery');
  await expect(sheet.getByRole('heading', { name: /^110\.00 together/ })).toBeVisible();
  await sheet.getByRole('button', { name: 'Keep the quote' }).click();
  const given = sheet.getByRole('region', { name: 'Quotes given' }).getByRole('listitem');
  await expect(given).toContainText('4 × Bakery apron for Oven & Ember bakery');
  const href = await given.getByRole('link', { name: 'PDF' }).getAttribute('href');
  const paper = await request.get(server.address + href!);
  expect((await readPdfPages(new Uint8Array(await paper.body()))).join(' ')).toMatch(/Oven & Ember bakery[\s\S]*27\.50[\s\S]*110\.00/);
  // A blank that has to be bought first moves the day, and is named.
  await sheet.getByLabel('Colour').click();
  await page.getByRole('option', { name: 'brick' }).click();
  await expect(sheet.getByText(/To buy first: .*Bib apron, heavy cotton, one size, brick, 1 day/)).toBeVisible();
});
