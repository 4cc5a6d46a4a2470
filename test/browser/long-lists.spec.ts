// Where there is too much for one list: what is shown is sorted and found by its address, the rest is looked for by
// name, and a working comes when it is opened.

import { expect, test, type Page } from '@playwright/test';
import { open, ShopServer } from './server';

const server = new ShopServer(4390, true);
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());

/** As the first of the demo's, under other names. */
async function addVinyls(page: Page, count: number): Promise<void> {
  const shelf = (await (await page.request.get(`${server.address}/api/shelf`)).json()) as {
    vinyls: Record<string, unknown>[];
  };
  const { id: _id, version: _version, archived: _archived, ...model } = shelf.vinyls[0]!;
  for (let index = 0; index < count; index++) {
    const data = { ...model, name: `Alder ${String(index).padStart(2, '0')}, moss` };
    const answer = await page.request.post(`${server.address}/api/shelf/vinyls`, { data });
    expect(answer.ok()).toBe(true);
  }
}

test('a working comes when it is opened', async ({ page }) => {
  await open(page, `${server.address}/items`);
  await page
    .getByRole('button', { name: /^Full cost with risk/ })
    .first()
    .click();
  const working = page.getByRole('dialog', { name: /^Working/ });
  await expect(working.getByRole('list').first()).toContainText('Full cost');
});

test('heads sort, words find, and both stand in the address', async ({ page }) => {
  await open(page, `${server.address}/items`);
  const names = () => page.getByRole('region', { name: 'Items' }).locator('tbody').getByRole('link').allTextContents();
  await page.getByRole('link', { name: 'price', exact: true }).click();
  await page.waitForURL(/sort=price/);
  const rising = await names();
  await page.getByRole('link', { name: /^price/ }).click();
  await page.waitForURL(/down=1/);
  await expect(page.getByRole('columnheader', { name: /^price/ })).toHaveAttribute('aria-sort', 'descending');
  const falling = await names();
  expect(falling).toEqual([...rising].reverse());
  await page.goBack();
  await expect(page).toHaveURL(/sort=price$/);
  await open(page, `${server.address}/orders?show=closed&q=bandana`);
  await expect(page.getByRole('link', { name: 'Bandanas, first try' })).toBeVisible();
  await expect(page.getByRole('link', { name: /^Closed/ })).toHaveAttribute('aria-current', 'page');
});

test('of many vinyls another one is looked for by name, chosen by keyboard, and priced', async ({ page }) => {
  await addVinyls(page, 45);
  await open(page, `${server.address}/items/new`);
  await page
    .getByLabel(/^Vinyl for/)
    .first()
    .click();
  await expect(page.getByRole('option', { name: 'Alder 44, moss' })).toHaveCount(0);
  await page.getByRole('option', { name: 'Look for a vinyl…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Look for a vinyl' });
  await dialog.getByLabel('Its name, or part of it').fill('alder 44');
  await expect(dialog.getByRole('button', { name: 'Alder 44, moss' })).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Alder 43, moss' })).toHaveCount(0);
  await page.keyboard.press('Enter');
  await expect(dialog).toBeHidden();
  await expect(page.getByLabel(/^Vinyl for/).first()).toContainText('Alder 44, moss');
  await expect(page.getByText('No cost can be told yet')).toHaveCount(0);
});
