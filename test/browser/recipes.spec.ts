// Recipes of the shop's own, from the shelf to the press; and a setting of the cutter that is kept.

import { expect, test } from '@playwright/test';
import { readPdfPages } from '../read-pdf';
import { open, ShopServer } from './server';

const server = new ShopServer(4382, true);
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());

test('a recipe is written down, followed at the press with its caution, and told with what was seen since', async ({
  page,
}) => {
  await open(page, `${server.address}/shelf/recipes`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    /^Penny Flex, fern on cotton and polyester: \d+ of \d+ failed$/,
  );
  await page.keyboard.press('n');
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Vinyl').click();
  await page.getByRole('option', { name: 'Tarn Smooth, cream' }).click();
  await dialog.getByLabel('Temperature').fill('300');
  await dialog.getByLabel('Seconds').fill('7');
  await dialog.getByRole('button', { name: 'Save the recipe' }).click();
  await expect(dialog.getByText('Temperature: from 90 to 215.', { exact: false })).toBeVisible();
  await dialog.getByLabel('Temperature').fill('163');
  await dialog.getByRole('button', { name: 'Save the recipe' }).click();
  const recipe = page.getByRole('region', { name: 'Tarn Smooth, cream on cotton' });
  await expect(recipe).toContainText('163 °C, 7 s, medium, peel warm');
  await expect(recipe).toContainText('not as its maker says');
  const seen = parseInt((await recipe.getByText(/pieces looked at, all fine/).textContent())!, 10);
  await recipe.getByRole('button', { name: 'What happened since' }).click();
  await dialog.getByLabel('Pieces').fill('12');
  await dialog.getByLabel('Washes by then').fill('15');
  await dialog.getByRole('button', { name: 'Write it down' }).click();
  await expect(recipe).toContainText(`${seen + 12} pieces looked at, all fine, washed up to 15 times.`);
  await recipe.getByRole('button', { name: /^Take back: 12/ }).click();
  await expect(recipe).toContainText(`${seen} pieces looked at, all fine`);
  const card = await page.request.get(`${server.address}/api/shelf/recipes/card`);
  expect((await readPdfPages(await card.body()))[0]!.replace(/\s+/g, ' ')).toContain('163 °C, 7 s, medium, peel warm');
});

test('a setting that was kept is told with its use, deleted, and put back', async ({ page }) => {
  const kept = await page.request.post(`${server.address}/api/cut-presets`, {
    headers: { Origin: server.address },
    data: {
      vinylId: 1,
      name: 'Slate, letters',
      use: 'bold',
      setting: { forceGrams: 95, speedMmPerS: 80, passes: 1, bladeDegrees: 45 },
    },
  });
  expect(kept.ok()).toBe(true);
  await open(page, `${server.address}/shelf/recipes`);
  const settings = page.getByRole('region', { name: 'Settings of the cutter' });
  await expect(settings.getByRole('row', { name: /Slate, letters/ })).toContainText('letters and shapes');
  await settings.getByRole('button', { name: 'Delete Slate, letters' }).click();
  await expect(settings.getByRole('row', { name: /Slate, letters/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(settings.getByRole('row', { name: /Slate, letters/ })).toContainText('95 g, 80 mm/s');
});
