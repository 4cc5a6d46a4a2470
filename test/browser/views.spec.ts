// Every view of the demo shop: no error, no foreign request, readable by all, small enough, styled from the first byte.

import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { gzipSync } from 'node:zlib';
import { open, running, ShopServer, wake } from './server';

const server = new ShopServer(4392, true);
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());

const VIEWS = [
  '/',
  '/orders',
  '/orders/113',
  '/orders/108',
  '/orders/new',
  '/orders/120',
  '/orders/120/read-back',
  '/orders/owed',
  '/orders/stall',
  '/orders/feed',
  '/customers',
  '/customers/6',
  '/artwork',
  '/artwork/3',
  '/artwork/new',
  '/artwork/letter',
  '/items',
  '/items/1',
  '/items/new',
  '/items/compare/5',
  '/cut-sheets',
  '/bench/cut',
  '/bench/weed',
  '/bench/press',
  '/bench/check',
  '/shelf',
  '/shelf/stock',
  '/shelf/supplies',
  '/shelf/offers',
  '/shelf/buy',
  '/trials',
  '/books',
  '/books/hours',
  '/shop',
];
const WANTED = 180 * 1024;
/** A worker's, beside the page. */
const WORKER_LIMIT = 275 * 1024;

for (const view of VIEWS) {
  test(`${view} is sound`, async ({ page }) => {
    const complaints: string[] = [];
    const foreign: string[] = [];
    const scripts: { readonly url: string; readonly bytes: number }[] = [];
    page.on('console', (message) => ['error', 'warning'].includes(message.type()) && complaints.push(message.text()));
    page.on('pageerror', (error) => complaints.push(error.message));
    page.on(
      'request',
      (request) =>
        !request.url().startsWith(server.address) && !request.url().startsWith('data:') && foreign.push(request.url()),
    );
    const sizes: Promise<void>[] = [];
    page.on('response', (response) => {
      // A worker is started only once the page runs, and beside it: it has the same limit for itself.
      if (response.request().resourceType() === 'script')
        sizes.push(
          response.body().then((body) => {
            scripts.push({ url: response.url(), bytes: gzipSync(body).length });
          }),
        );
    });
    // Only what a view needs to stand there as it is counts: one that rests until it is touched, all of it until then;
    // of one that does not, what it needs to answer. Charts come lazily once it does.
    await page.addInitScript(() => {
      const marks = window as unknown as { runningAt?: number };
      new MutationObserver(() => {
        const root = document.documentElement;
        if (root.hasAttribute('data-running') && !root.hasAttribute('data-at-rest'))
          marks.runningAt ??= performance.now();
      }).observe(document, { attributes: true, childList: true, subtree: true });
    });
    const response = await page.goto(server.address + view, { waitUntil: 'networkidle' });
    await expect(page.locator('html[data-running]')).toBeAttached();
    await page.evaluate(() => void ((window as unknown as { runningAt?: number }).runningAt ??= performance.now()));
    const needed = new Set(
      await page.evaluate(() =>
        performance
          .getEntriesByType('resource')
          .filter((entry) => entry.startTime <= (window as unknown as { runningAt: number }).runningAt)
          .map((entry) => entry.name),
      ),
    );
    expect(response!.status()).toBe(200);
    const html = await response!.text();
    expect(html.indexOf('data-written')).toBeGreaterThan(0);
    expect(html.indexOf('data-written')).toBeLessThan(html.indexOf('</head>'));
    expect(response!.headers()['content-security-policy']).toMatch(/script-src 'self' 'sha256-/);
    expect(response!.headers()['content-security-policy']).not.toMatch(/script-src[^;]*unsafe/);
    await Promise.all(sizes);
    const weigh = (counts: (url: string) => boolean) =>
      scripts.filter(({ url }) => counts(url)).reduce((sum, { bytes }) => sum + bytes, 0);
    const isWorker = (url: string) => url.includes('.worker-');
    expect(weigh((url) => !isWorker(url) && needed.has(url))).toBeGreaterThan(0);
    expect(weigh((url) => !isWorker(url) && needed.has(url))).toBeLessThan(WANTED);
    expect(weigh(isWorker)).toBeLessThan(WORKER_LIMIT);
    await wake(page);
    for (const theme of ['light', 'dark'] as const) {
      await page.evaluate((name) => document.documentElement.setAttribute('data-theme', name), theme);
      await page.waitForTimeout(150);
      const { violations } = await new AxeBuilder({ page }).analyze();
      const serious = violations.filter(
        (violation) => violation.impact === 'serious' || violation.impact === 'critical',
      );
      expect(
        serious.map(
          (violation) =>
            `${theme}: ${violation.id}: ${violation.nodes
              .slice(0, 3)
              .map((node) => node.html.slice(0, 160))
              .join(' | ')}`,
        ),
      ).toEqual([]);
    }
    expect(foreign).toEqual([]);
    expect(complaints).toEqual([]);
  });
}

test('keys lead everywhere: search, help, views, seam, units', async ({ page }) => {
  await page.goto(server.address, { waitUntil: 'networkidle' });
  await running(page);
  await page.keyboard.press('/');
  await page.getByPlaceholder(/An order, customer, item/).fill('honey');
  await expect(page.getByRole('option', { name: /Honeycomb tea towels/ })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys of this screen' })).toContainText('Alt 6');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Alt+3');
  await expect(page).toHaveURL(/\/artwork$/);
  await page.goto(`${server.address}/artwork/1`, { waitUntil: 'networkidle' });
  await page.keyboard.press('x');
  await expect(page.getByRole('img', { name: /as cut/ })).toHaveCount(0);
  await page.keyboard.press('x');
  await expect(page.getByRole('img', { name: /as worn/ })).toHaveCount(0);
  await page.keyboard.press('x');
  await page.getByRole('button', { name: /^Units:/ }).click();
  await expect(page.getByText(/in × .* in/).first()).toBeVisible();
  await page.reload();
  await expect(page.getByText(/in × .* in/).first()).toBeVisible();
});

test('the server’s page shows what is so now, not what an earlier request was answered', async ({ page, request }) => {
  const html = async () => (await request.get(`${server.address}/orders/119`)).text();
  expect(await html()).toContain('One apron as a present');
  const order = (await (await request.get(`${server.address}/api/orders/119`)).json()) as { version: number };
  await request.put(`${server.address}/api/orders/119`, {
    data: { title: 'Two aprons after all', dueDay: '2031-01-01', agreed: 3400, note: '', version: order.version },
  });
  const after = await html();
  expect(after.slice(after.indexOf('<h1'), after.indexOf('</h1>'))).toContain('Two aprons after all');
  await page.goto(`${server.address}/orders/119`);
  await expect(page.getByRole('heading', { name: /Two aprons after all/ })).toBeVisible();
});

test('a failed save keeps what was typed, and the second window is told', async ({ page, context }) => {
  const other = await context.newPage();
  for (const window of [page, other])
    await window.goto(`${server.address}/shelf?vinyl=1`, { waitUntil: 'networkidle' });
  await page.getByLabel('Roll price').fill('91');
  await page.getByRole('button', { name: 'Save the vinyl' }).click();
  await expect(page.getByText(/^Saved\./)).toBeVisible();
  await other.getByLabel('Roll price').fill('95');
  await other.getByRole('button', { name: 'Save the vinyl' }).click();
  await expect(other.getByRole('alert')).toContainText('changed in another window');
  await expect(other.getByLabel('Roll price')).toHaveValue('95.00');
});

test('what is typed before the page runs is kept', async ({ page }) => {
  let release = () => {};
  const held = new Promise<void>((resolve) => {
    release = resolve;
  });
  await page.route('**/_astro/*.js', async (route) => {
    await held;
    await route.continue();
  });
  await page.goto(`${server.address}/items/new`, { waitUntil: 'commit' });
  await page.getByLabel('Name', { exact: true }).fill('Early bird bag');
  release();
  await running(page);
  await page.getByLabel('Made in one go').fill('4');
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Early bird bag');
  await page.getByRole('button', { name: 'Save this item' }).click();
  await expect(page.getByRole('heading', { name: 'Early bird bag' })).toBeVisible();
});

test('addresses that lead nowhere give a real 404 with a way on', async ({ page }) => {
  for (const path of ['/orders/99999', '/items/abc', '/artwork/0', '/bench/sew', '/nowhere']) {
    const response = await page.goto(server.address + path);
    expect(response!.status(), path).toBe(404);
    await expect(page.getByRole('link', { name: 'Back to today' })).toBeVisible();
  }
});

test('a part of the page that does not arrive says so, and is asked for again', async ({ page }) => {
  await open(page, `${server.address}/items`);
  await page.route('**/_astro/FindDialog*.js', (route) => route.abort());
  await page.keyboard.press('/');
  await expect(page.getByRole('alert')).toContainText('This part of the page could not be loaded');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.keyboard.press('/');
  await page.unroute('**/_astro/FindDialog*.js');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('a page whose scripts do not arrive says that it does not run', async ({ page }) => {
  await page.route('**/_astro/*.js', (route) => route.abort());
  await page.goto(`${server.address}/items`);
  await expect(page.getByRole('alert')).toContainText('could not be loaded completely');
  await page.unroute('**/_astro/*.js');
  await page.getByRole('link', { name: 'Reload the page' }).click();
  await running(page);
  await expect(page.getByRole('alert')).toHaveCount(0);
});
