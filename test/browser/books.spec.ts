// The books: the price list, the hours and what was spoiled, and when a start has come back.

import { expect, test } from '@playwright/test';
import { readPdfPages } from '../read-pdf';
import { open, ShopServer } from './server';

const server = new ShopServer(4377, true);
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());

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

test('hours by month, and what was spoiled by cause, each with its working', async ({ page }) => {
  await open(page, `${server.address}/books`);
  await page.getByRole('link', { name: 'Hours and spoilage' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    /^\d+ h \d\d at the bench, \d+\.\d\d lost to spoilage$/,
  );
  const spoilage = page.getByRole('region', { name: 'Spoilage by cause' });
  const costs = (await spoilage.getByRole('row').getByRole('button').allTextContents()).map(Number);
  expect(costs.length).toBeGreaterThan(2);
  // The last row is the sum of the others.
  expect(costs.slice(0, -1).reduce((sum, cost) => sum + cost, 0)).toBeCloseTo(costs.at(-1)!, 6);
  const dearest = spoilage.getByRole('row').nth(1);
  await dearest.getByRole('button').focus();
  await page.keyboard.press('=');
  const working = page.getByRole('dialog', { name: /^Working: / });
  await expect(working).toContainText('Vinyl of spoiled cuts');
  await expect(working).toContainText('Blanks that were lost');
  await page.keyboard.press('Escape');
  const hours = page.getByRole('region', { name: 'Hours at the bench' });
  const whole = hours.getByRole('row', { name: /^total/ });
  await whole.getByRole('button', { name: /^A piece took/ }).click();
  await expect(working).toContainText('Pieces checked');
  await page.keyboard.press('Escape');
  await page.getByLabel('Period').click();
  await page.getByRole('option', { name: 'twelve months' }).click();
  await expect(page).toHaveURL(/months=12$/);
  await expect(hours.getByRole('row')).not.toHaveCount(1);
});

test('a kit within a budget, and when it has come back', async ({ page }) => {
  await open(page, `${server.address}/books/start`);
  const verdict = page.getByRole('heading', { level: 1 });
  await expect(verdict).toHaveText(/^A kit for \d+\.\d\d has come back after \d+ pieces, \d+ weeks? at your hours$/);
  await page.getByRole('textbox', { name: 'Budget' }).fill('200');
  await expect(verdict).toHaveText(/^Within 200\.00 no kit brings all that is needed/);
  await page.getByRole('textbox', { name: 'Budget' }).fill('900');
  // The widest of what is sold is wider than the small cutter takes: the cheapest that does has a wider one.
  await expect(page.getByText(/needs a cutter that takes \d+ mm across; narrower ones are not proposed/)).toBeVisible();
  await page.getByRole('button', { name: 'choose it' }).click();
  await expect(verdict).toHaveText(/^A kit for 314\.00/);
  await page.getByRole('button', { name: 'Save the plan' }).click();
  await expect(page.getByText('The plan is saved.')).toBeVisible();
  await page.reload();
  await page.waitForSelector('html[data-running]');
  await expect(verdict).toHaveText(/^A kit for 314\.00/);
  await expect(page.getByRole('region', { name: 'When it has come back' }).getByRole('row')).toHaveCount(4);
});
