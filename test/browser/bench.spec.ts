// The bench tells one thing at a time; its clocks are the server's, and are seen wherever one is.

import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import Database from 'better-sqlite3';
import { DEMO_FILE, open, running, ShopServer } from './server';

const server = new ShopServer(4386, true);
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());

test('a closed press counts down through a reload, is seen on other pages, and tells how late it is', async ({
  page,
  context,
}) => {
  await open(page, `${server.address}/bench/press`);
  await page.getByRole('button', { name: /^Start/ }).click();
  await expect(page.getByText('Lay out', { exact: true }).first()).toBeVisible();
  await expect(page.getByText('Then: Pre-press')).toBeVisible();
  await running(page);
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: /^Count 0:05/ })).toBeVisible();
  await page.keyboard.press('Space');
  const left = page.getByRole('timer', { name: 'Time left' });
  await expect(left).toHaveText(/^0:0[1-5]$/);
  const other = await context.newPage();
  await open(other, `${server.address}/shop`);
  await expect(other.getByTitle('Pre-press')).toHaveText(/^0:0\d$/);
  await expect(other).toHaveTitle(/^0:0\d Pre-press$/);
  await page.reload();
  await running(page);
  await expect(left).toHaveText(/over$/);
  await expect(page).toHaveTitle(/Bench|Press/);
  await page.keyboard.press('b');
  await expect(page.getByText('Then: Pre-press')).toBeVisible();
});

test('pieces that are done are done, though the batch is not; on a phone the next step is in reach', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await open(page, `${server.address}/bench/press`);
  const next = page.getByRole('button', { name: /^Next/ });
  await expect(next).toBeInViewport();
  await expect(page.getByText(/: piece 1,/)).toBeVisible();
  while (await page.getByText(/: piece 1,/).isVisible()) {
    const step = await page.getByText(/^\d+ of \d+/).textContent();
    await next.click();
    await expect(page.getByText(step!)).toHaveCount(0);
  }
  await page.getByRole('button', { name: /^Part done: 2 of 6/ }).click();
  await expect(page.getByText('Press: 2 parts done.')).toBeVisible();
  await expect(page.getByText(/2 pieces, Bakery aprons/)).toBeVisible();
});

test('a bit that tore is tapped in its picture, and it alone goes back to the cutter', async ({ page }) => {
  await open(page, `${server.address}/bench/weed`);
  await page.getByRole('button', { name: /waves and star/ }).click();
  await page.getByRole('button', { name: 'Spoiled' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('checkbox', { name: /crest 10, waves and star/ }).check();
  const star = dialog.getByRole('checkbox', { name: 'bit 2' });
  await expect(star).not.toBeChecked();
  await star.focus();
  await page.keyboard.press('Space');
  await expect(star).toBeChecked();
  await expect(dialog.getByText('1 of 2 bits is recut; the rest stays.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Recut 1 bit' }).click();
  await expect(page.getByText('1 part goes back to be cut.')).toBeVisible();
  await open(page, `${server.address}/cut-sheets`);
  await page
    .getByRole('navigation', { name: 'Vinyls' })
    .getByRole('button', { name: /Tarn Cool, marigold/ })
    .click();
  await expect(page.getByText(/1 of 2 bits of waves and star/).first()).toBeVisible();
});

/** As if every clock that runs had been started so much sooner. */
function startedSooner(ms: number): void {
  const shop = new Database(join(server.data, DEMO_FILE));
  shop.prepare('update work_sessions set started_at_ms = started_at_ms - ? where stopped_at_ms is null').run(ms);
  shop.close();
}

test('a clock that was most likely left running is asked about before its minutes count', async ({ page }) => {
  await open(page, `${server.address}/bench/check`);
  await page.getByRole('button', { name: /^Start/ }).click();
  await expect(page.getByRole('timer', { name: 'Time on this batch' })).toBeVisible();
  startedSooner(9 * 3_600_000);
  await page.reload();
  await running(page);
  await page.getByRole('button', { name: 'Stop, not done' }).click();
  const asked = page.getByRole('dialog', { name: 'Was this clock left running?' });
  await expect(asked).toContainText(/It has run for 9(\.0)? h/);
  await asked.getByRole('button', { name: /^Trim to/ }).click();
  await expect(page.getByText('Stopped. The minutes are kept, the parts stay here.')).toBeVisible();
  await expect(asked).toHaveCount(0);
});

test('the press warms up to what the step asks for, closes with its clock, and a lost reading is told', async ({
  page,
}) => {
  await open(page, `${server.address}/bench/press`);
  await page.getByRole('button', { name: /^Start/ }).click();
  const press = page.getByRole('group', { name: 'Press' });
  await expect(press).toContainText('Simulated press');
  await page.getByRole('button', { name: /^Next/ }).click();
  await expect(press).toContainText(/\d+ °C, warms to 1\d\d °C in about \d+:\d\d/);
  await press.getByRole('button', { name: 'lose its reading' }).click();
  await expect(press).toContainText('no reading. Go by its own display.');
  await press.getByRole('button', { name: 'give its reading back' }).click();
  await expect(press).toContainText(/warms to/);
  await page.getByRole('button', { name: /^Count/ }).click();
  await expect
    .poll(async () => {
      const answer = await fetch(`${server.address}/api/press`);
      return ((await answer.json()) as { press: { closedForS: number | null } }).press.closedForS;
    })
    .not.toBeNull();
  await press.getByRole('button', { name: 'switch it off' }).click();
  await expect(press).toContainText('Simulated press, off');
  await page.getByRole('button', { name: 'Drop these minutes' }).click();
  await expect(page.getByText('Stopped. The minutes are dropped.')).toBeVisible();
});
