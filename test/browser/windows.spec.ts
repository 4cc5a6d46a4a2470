// Several windows, and other computers: what one changes the others show; what comes back from Back is of today; what
// waits its turn says so.

import { expect, test } from '@playwright/test';
import { open, running, ShopServer } from './server';

const server = new ShopServer(4389, true);
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());

/** Sooner than any page asks by itself. */
const SOON = { timeout: 10_000 };

test('a timer that is started in one window runs in the other, on whatever page', async ({ page, context }) => {
  await open(page, `${server.address}/shop`);
  const other = await context.newPage();
  await open(other, `${server.address}/bench/weed`);
  await expect(page.getByRole('group', { name: 'Running timers' }).getByRole('link')).toHaveCount(0);
  await other
    .getByRole('button', { name: /^Start/ })
    .first()
    .click();
  await expect(page.getByRole('group', { name: 'Running timers' }).getByRole('link')).toHaveCount(1, SOON);
});

test('what another computer changes arrives in a list that is open', async ({ page }) => {
  await open(page, `${server.address}/orders`);
  const rows = page.getByRole('region', { name: 'Orders' }).getByRole('row');
  const first = rows.locator('a[href^="/orders/"]').first();
  await expect(first).toBeVisible();
  const before = await rows.count();
  const href = await first.getAttribute('href');
  // No page of this browser's: a request from elsewhere.
  const answer = await page.request.post(`${server.address}/api${href}/cancel`);
  expect(answer.status()).toBe(200);
  await expect(rows).toHaveCount(before - 1, SOON);
});

test('a window that only asks something makes no other fetch its data again', async ({ page, context }) => {
  await open(page, `${server.address}/orders`);
  const fetched: string[] = [];
  page.on('request', (request) => fetched.push(new URL(request.url()).pathname));
  const other = await context.newPage();
  await open(other, `${server.address}/trials`);
  await page.bringToFront();
  // As each request of a page does, once it went through.
  await other.evaluate(() => new BroadcastChannel('chiral-changes').postMessage(null));
  await expect.poll(() => fetched.filter((path) => path === '/api/changes').length).toBeGreaterThan(1);
  expect(fetched).not.toContain('/api/orders');
});

test('a list that Back returns to is of today, and where it was', async ({ page }) => {
  await open(page, `${server.address}/items?sort=name`);
  const first = page.getByRole('row').locator('a[href^="/items/"]').first();
  const name = (await first.textContent())!;
  const href = (await first.getAttribute('href'))!;
  await open(page, `${server.address}/trials`);
  expect((await page.request.delete(`${server.address}/api${href}`)).status()).toBe(200);
  await page.goBack();
  await running(page);
  expect(page.url()).toContain('sort=name');
  await expect(page.getByRole('link', { name, exact: true })).toHaveCount(0, SOON);
});

test('a form that Back returns to is loaded anew where something changed, and what was typed is kept', async ({
  page,
}) => {
  await open(page, `${server.address}/items/3`);
  await page.getByLabel('Made in one go').fill('17');
  await open(page, `${server.address}/trials`);
  const answer = await page.request.post(`${server.address}/api/items/2`);
  expect(answer.status()).toBe(200);
  await page.goBack();
  await running(page);
  await expect(page.getByLabel('Made in one go')).toHaveValue('17');
});

test('what waits its turn says how many come first, and can be stopped with nothing lost', async ({ page }) => {
  await open(page, `${server.address}/shop`);
  await page.route('**/api/shop', () => undefined);
  await page.route('**/api/work', (route) => route.fulfill({ json: { jobs: [{ kind: 'measure', before: 2 }] } }));
  await page.getByLabel('Name of the shop').fill('A shop that waits');
  await page.getByRole('button', { name: 'Save' }).first().click();
  const told = page.getByRole('status').filter({ hasText: '2 others are worked out first.' });
  await expect(told).toBeVisible();
  await told.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByText('Stopped. Your entries are still here.')).toBeVisible();
  await expect(page.getByLabel('Name of the shop')).toHaveValue('A shop that waits');
  await expect(told).toHaveCount(0);
});
