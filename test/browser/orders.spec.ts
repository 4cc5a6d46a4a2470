// Taking an order as a seller in a hurry does, and the keys of the bench while a button has the focus.

import { expect, test, type Page } from '@playwright/test';
import { open, ShopServer } from './server';

const server = new ShopServer(4398, true);
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());

const price = (page: Page) => page.getByLabel('Agreed price, in total');
async function countOrders(page: Page): Promise<number> {
  const answer = await page.request.get(`${server.address}/api/orders`);
  return ((await answer.json()) as { counts: { open: number } }).counts.open;
}

test('the agreed price follows the lines until it is the seller’s own, and leads back', async ({ page }) => {
  await open(page, `${server.address}/orders/new?item=2`);
  const one = Number(await price(page).inputValue());
  expect(one).toBeGreaterThan(0);
  // Nobody waits for it: it stands in the page before that runs.
  const html = await (await page.request.get(`${server.address}/orders/new?item=2`)).text();
  expect(html).toMatch(new RegExp(`<input[^>]*value="${one.toFixed(2)}"`));
  await page.getByLabel('Quantity').fill('5');
  await expect(price(page)).toHaveValue((5 * one).toFixed(2));
  await page.getByRole('button', { name: 'Add a line' }).click();
  await expect(price(page)).toHaveValue((6 * one).toFixed(2));
  // Amounts that can be meant two ways are asked about, and never guessed.
  await price(page).fill('1.200');
  await expect(page.getByText(/^Is it/)).toBeVisible();
  await page.getByRole('button', { name: '1,200.00' }).click();
  await expect(price(page)).toHaveValue('1200.00');
  await page.getByLabel('Quantity').first().fill('6');
  await expect(price(page)).toHaveValue('1200.00');
  await page.getByRole('button', { name: `back to ${(7 * one).toFixed(2)}` }).click();
  await expect(price(page)).toHaveValue((7 * one).toFixed(2));
  await price(page).fill('€45,50');
  await page.getByLabel('Note').click();
  await expect(price(page)).toHaveValue('45.50');
});

test('a day that is past is told with the earliest, and a lost answer makes no second order', async ({ page }) => {
  await open(page, `${server.address}/orders/new?item=2`);
  const before = await countOrders(page);
  await expect(page.getByText(/^At the earliest/)).toBeVisible();
  await page.getByLabel('Customer', { exact: true }).fill('Mira Tarn');
  await page.getByLabel('What for').fill('A shirt');
  await page.getByLabel('Due').fill('2020-01-02');
  await page.getByRole('button', { name: 'Take the order' }).click();
  await expect(page.getByText(/That day is past\. The earliest possible is/).first()).toBeVisible();
  expect(await countOrders(page)).toBe(before);
  // It is taken, and its answer is lost on the way.
  await page.route(
    '**/api/orders',
    async (route) => {
      await route.fetch();
      await route.abort();
    },
    { times: 1 },
  );
  await page.getByRole('button', { name: 'Take it all the same' }).click();
  await expect(page.getByText(/does not answer/)).toBeVisible();
  expect(await countOrders(page)).toBe(before + 1);
  await page.getByRole('button', { name: 'Take the order' }).click();
  await page.waitForURL(/\/orders\/\d+$/);
  expect(await countOrders(page)).toBe(before + 1);
});

test('Space presses the button that has the focus, and is seen to have it', async ({ page }) => {
  await open(page, `${server.address}/bench/weed`);
  await page.keyboard.press('Space');
  const stop = page.getByRole('button', { name: 'Stop, not done' });
  await expect(stop).toBeVisible();
  await page.getByRole('button', { name: /^Done/ }).focus();
  await page.keyboard.press('Tab');
  await expect(stop).toBeFocused();
  expect(await stop.evaluate((button) => getComputedStyle(button).outlineStyle)).toBe('solid');
  await page.keyboard.press('Space');
  await expect(page.getByText('Stopped. The minutes are kept, the parts stay here.')).toBeVisible();
  await expect(page.getByText(/parts? done/)).toHaveCount(0);
});

test('a new item asks what the margin proposes, and every proposal with one click', async ({ page }) => {
  await open(page, `${server.address}/items/new`);
  const each = page.getByLabel('Price each');
  await expect(each).not.toHaveValue('0.00');
  const proposals = page.getByRole('group', { name: 'Proposed prices' });
  const wage = proposals.getByRole('button', { name: /wage goal/ });
  const asked = /Ask ([\d.]+),/.exec((await wage.getAttribute('aria-label')) ?? '')![1]!;
  await wage.click();
  await expect(each).toHaveValue(asked);
  await expect(wage).toBeDisabled();
});

test('a drawing opens at the size it states', async ({ page }) => {
  await open(page, `${server.address}/artwork/new`);
  const drawing = (size: string) => ({
    name: 'disc.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(
      `<svg xmlns="http://www.w3.org/2000/svg" ${size} viewBox="0 0 80 80"><circle cx="40" cy="40" r="40"/></svg>`,
    ),
  });
  const width = page.getByLabel('Width', { exact: true });
  await page.getByLabel('Drawing file').setInputFiles(drawing('width="80mm"'));
  await expect(width).toHaveValue('80');
  await page.getByLabel('Drawing file').setInputFiles(drawing('width="80"'));
  await expect(width).toHaveValue('200');
  await expect(page.getByText('The file states no size in lengths, so it was opened at 200 mm')).toBeVisible();
});
