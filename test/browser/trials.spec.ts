// A ladder with the simulated cutter, to a named setting that the cutter at the bench then begins with.

import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { layOutCoats, orderCoats } from './coats';
import { open, running, ShopServer } from './server';

const server = new ShopServer(4381, true);
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());

/** Both begin with it; whichever comes second finds it so. */
async function hurry(page: Page): Promise<void> {
  const button = page.getByRole('button', { name: '60 times as fast' });
  await expect(button).toBeVisible();
  if ((await button.getAttribute('aria-pressed')) !== 'true') await button.click();
  await expect(button).toHaveAttribute('aria-pressed', 'true');
}

test('told by hand, an answer can be taken back; deleted, the ladder is gone', async ({ page }) => {
  await open(page, `${server.address}/trials?vinyl=1`);
  const dialog = page.getByRole('dialog', { name: 'Find the setting of a vinyl' });
  await dialog.getByRole('button', { name: 'Begin' }).click();
  await page.waitForURL(/\/trials\/ladder\/\d+$/);
  await running(page);
  await hurry(page);
  const status = page.getByRole('region', { name: 'The next step' }).getByRole('status').first();
  const first = (await status.textContent())!;
  await page.getByRole('button', { name: 'Cut the figure', exact: true }).click();
  await page
    .getByRole('group', { name: 'How the test cut came out' })
    .getByRole('button', { name: /^cuts through/ })
    .click();
  await expect(status).toHaveText(/^Cut the figure at \d+ g\.$/);
  await expect(status).not.toHaveText(first);
  await page.getByRole('button', { name: 'Take back the last answer' }).click();
  await expect(status).toHaveText(first);
  await page.getByRole('button', { name: 'Delete' }).click();
  await page.getByRole('button', { name: 'Delete for good' }).click();
  await page.waitForURL(/\/trials$/);
  await expect(page.getByRole('region', { name: 'Which vinyl to trust' }).getByRole('table')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Not finished' })).toHaveCount(0);
});

test('a drawing of the shop is the figure that is cut', async ({ page }) => {
  await open(page, `${server.address}/trials?vinyl=1`);
  const dialog = page.getByRole('dialog', { name: 'Find the setting of a vinyl' });
  await dialog.getByLabel('Figure').click();
  await page.getByRole('option', { name: 'a drawing of yours' }).click();
  // Which one has to be said.
  await expect(dialog.getByRole('button', { name: 'Begin' })).toBeDisabled();
  await dialog.getByLabel('Drawing').click();
  await page.getByRole('option', { name: 'Crossed oars' }).click();
  await dialog.getByRole('button', { name: 'Begin' }).click();
  await page.waitForURL(/\/trials\/ladder\/\d+$/);
  await running(page);
  await expect(page.getByText('Crossed oars, 25 mm')).toBeVisible();
  await hurry(page);
  await page.getByRole('button', { name: 'Cut the figure', exact: true }).click();
  await expect(page.getByRole('group', { name: 'How the test cut came out' })).toBeVisible();
  await page.getByRole('button', { name: 'Delete' }).click();
  await page.getByRole('button', { name: 'Delete for good' }).click();
  await page.waitForURL(/\/trials$/);
});

test('a ladder runs by itself, is confirmed by a fine design, and its setting is the one the load begins with', async ({
  page,
}) => {
  await open(page, `${server.address}/trials`);
  await page.keyboard.press('n');
  const dialog = page.getByRole('dialog', { name: 'Find the setting of a vinyl' });
  await dialog.getByRole('combobox', { name: 'Vinyl' }).click();
  await page.getByRole('option', { name: 'Tarn Smooth, slate' }).click();
  await expect(dialog.getByRole('combobox', { name: 'Lot' })).toContainText('Lot');
  await dialog.getByRole('button', { name: 'Begin' }).click();
  await page.waitForURL(/\/trials\/ladder\/\d+$/);
  await running(page);
  await expect(page.getByRole('heading', { name: 'Not known yet' })).toBeVisible();
  await hurry(page);
  await page.getByRole('button', { name: 'Let it run by itself' }).click();
  await expect(page.getByRole('button', { name: 'Cut the fine design' })).toBeVisible({ timeout: 120_000 });
  expect((await new AxeBuilder({ page }).analyze()).violations.map(({ id }) => id)).toEqual([]);
  const heading = (await page.getByRole('heading', { level: 1 }).textContent())!;
  const grams = Number(/^(\d+) g/.exec(heading)![1]);
  await page.reload();
  await running(page);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(heading);
  await page.getByRole('button', { name: 'Cut the fine design' }).click();
  await page
    .getByRole('group', { name: 'How the fine design came out' })
    .getByRole('button', { name: 'clean' })
    .click();
  await expect(page.getByText('The fine design is clean as well: keep the setting under a name.')).toBeVisible();
  await page.getByLabel('Keep it as').fill('Slate, from the ladder');
  await page.getByRole('button', { name: 'Keep this setting' }).click();
  await expect(page.getByText(/Kept as .*Slate, from the ladder/)).toBeVisible();

  await orderCoats(server.address, 'Coats after the ladder');
  await layOutCoats(page, server.address);
  await open(page, `${server.address}/bench/cut`);
  await page.getByRole('button', { name: /laid out: 2 parts/ }).click();
  await page.getByRole('button', { name: /^Start/ }).click();
  await expect(page.getByText('Carrier down, dull side up')).toBeVisible();
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: /^Read the width/ }).click();
  await page.getByRole('button', { name: /^Next/ }).click();
  // The lot is known: no test is asked for, and the load is sent with the setting that was kept.
  await expect(page.getByText(/this lot was never cut/)).toHaveCount(0);
  await expect(page.getByRole('button', { name: /^Send to the cutter/ })).toBeVisible();
  await expect(page.getByLabel('Force, g')).toHaveValue(String(grams));
  await page.getByRole('button', { name: /^Send to the cutter/ }).click();
  await expect(page.getByText(/^(Cut\. Lift a corner|line \d+ of \d+)/).first()).toBeVisible();
});
