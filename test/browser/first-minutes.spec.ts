// The first minutes in a new shop: its money from the browser, a first price without a detour, and nothing typed lost.

import { expect, test } from '@playwright/test';
import { open, running, ShopServer } from './server';

const server = new ShopServer(4399, false);
test.use({ locale: 'de-AT', timezoneId: 'Europe/Vienna' });
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());

const DISC =
  '<svg xmlns="http://www.w3.org/2000/svg" width="80mm" height="80mm" viewBox="0 0 80 80"><circle cx="40" cy="40" r="40" fill="#123456"/></svg>';

test('nothing on the page moves away under a finger while it comes to life', async ({ page, browser }) => {
  const still = await browser.newPage({ javaScriptEnabled: false });
  await still.goto(`${server.address}/orders/new`);
  const before = await still.getByRole('link', { name: 'Price an item' }).boundingBox();
  await still.close();
  await open(page, `${server.address}/orders/new`);
  await expect(page.getByLabel('First start')).toContainText('Money in EUR, such as 1 234,50');
  expect(await page.getByRole('link', { name: 'Price an item' }).boundingBox()).toEqual(before);
});

test('the shop counts as the browser does once that is confirmed, and a first price needs no detour', async ({
  page,
}) => {
  await open(page, server.address);
  await expect(page.getByLabel('First start')).toContainText('Money in EUR, such as 1 234,50');
  await expect(page.getByLabel('First start')).toContainText('in Europe/Vienna; mm and °C');
  await page.getByRole('button', { name: 'That is right' }).click();
  await expect(page.getByLabel('First start')).toHaveCount(0);
  const shop = (await (await page.request.get(`${server.address}/api/shop`)).json()) as Record<string, unknown>;
  expect(shop).toMatchObject({ currency: 'EUR', locale: 'de-AT', timeZone: 'Europe/Vienna', confirmed: true });

  await open(page, `${server.address}/artwork/new`);
  const file = { name: 'disc.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(DISC) };
  await page.getByLabel('Drawing file').setInputFiles(file);
  await page.getByRole('button', { name: 'Save this artwork' }).click();
  await page.getByRole('link', { name: 'Price an item with it' }).click();
  await running(page);
  await page.getByLabel('Name').fill('Tea towel');
  await page.getByLabel('Price').fill('4,50');
  await page.getByRole('button', { name: 'Add the blank' }).click();
  await expect(page.getByRole('heading', { name: 'A vinyl' })).toBeVisible();
  await page.getByLabel('Name').fill('Smooth, navy');
  await page.getByLabel('Colour').fill('navy');
  await page.getByLabel('Roll price').fill('49,90');
  await page.getByRole('button', { name: 'Add the vinyl' }).click();
  await expect(page.getByText(/^One of 1 costs you/)).toBeVisible();
});

test('another vinyl is made in the item, and what was typed is back after a reload, until it is discarded', async ({
  page,
}) => {
  await open(page, `${server.address}/items/new`);
  const vinyl = page.getByLabel(/^Vinyl for/);
  await vinyl.click();
  await page.getByRole('option', { name: 'Another vinyl…' }).click();
  const drawer = page.locator('.quick-make');
  await drawer.getByLabel('Name').fill('Glint, gold');
  await drawer.getByLabel('Kind').click();
  await page.getByRole('option', { name: /glitter/ }).click();
  await drawer.getByLabel('Colour').fill('gold');
  // No price is guessed.
  await drawer.getByRole('button', { name: 'Add the vinyl' }).click();
  await expect(drawer.getByText(/^Roll price: /)).toBeVisible();
  await drawer.getByLabel('Roll price').fill('62');
  await drawer.getByRole('button', { name: 'Add the vinyl' }).click();
  await expect(vinyl).toContainText('Glint, gold');
  await page.getByLabel('Made in one go').fill('25');
  await page.reload();
  await running(page);
  await expect(page.getByText('What you had not saved here is back.')).toBeVisible();
  await expect(vinyl).toContainText('Glint, gold');
  await expect(page.getByLabel('Made in one go')).toHaveValue('25');
  // By a link and back again.
  await page.getByRole('link', { name: /Shelf/ }).click();
  await running(page);
  await page.goBack();
  await running(page);
  await expect(page.getByLabel('Made in one go')).toHaveValue('25');
  await page.getByRole('button', { name: 'Discard it' }).click();
  await expect(page.getByLabel('Made in one go')).toHaveValue('1');
  await page.reload();
  await running(page);
  await expect(page.getByText('What you had not saved here is back.')).toHaveCount(0);
});

test('a drawing that is not saved yet is back after a reload', async ({ page }) => {
  await open(page, `${server.address}/artwork/new`);
  const file = { name: 'round-one.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(DISC) };
  await page.getByLabel('Drawing file').setInputFiles(file);
  const width = page.getByLabel('Width', { exact: true }).first();
  await expect(width).toHaveValue('80');
  await width.fill('95');
  await page.waitForTimeout(500);
  await page.reload();
  await running(page);
  await expect(page.getByText('What you had not saved here is back.')).toBeVisible();
  await expect(width).toHaveValue('95');
  await page.getByRole('button', { name: 'Save this artwork' }).click();
  await expect(page.getByRole('heading', { name: 'round one' })).toBeVisible();
});
