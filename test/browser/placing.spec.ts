// Where it sits: moved, cleared, widths by size taken; saved with the item; the cup's bent layer; told at the press.

import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { readPdfPages } from '../read-pdf';
import { open, ShopServer } from './server';

const server = new ShopServer(4384, true);
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());

test('a width is taken for each size, and the item costs what it does with them', async ({ page }) => {
  await open(page, `${server.address}/items/1`);
  await page.getByRole('link', { name: 'Where it sits' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Where it sits: Crew rain jacket, crest');
  await expect(page.getByText(/^Back: 100 mm down from the collar, [\d.]+ mm to both edges\.$/)).toBeVisible();
  const widths = page.getByRole('region', { name: 'Widths by size' });
  await expect(widths.getByText('Scaled from M, 2 cut sizes will do for 4 sizes.')).toBeVisible();
  await widths.getByRole('button', { name: 'Take the proposed widths' }).click();
  await page.getByRole('button', { name: 'XL', exact: true }).click();
  await expect(page.getByRole('textbox', { name: 'Width on XL' })).toHaveValue('260');
  // Reloaded before it is saved, it is still there.
  await page.waitForTimeout(400);
  await page.reload();
  await expect(page.getByText('What you had not saved here is back.')).toBeVisible();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Saved with the item.')).toBeVisible();
  await page.getByRole('link', { name: 'Back to the item' }).click();
  await page.getByText('Another width for some sizes').click();
  await expect(page.getByLabel('XL', { exact: true })).toHaveValue('260');
});

test('what lies on the zip is told, and one click moves it clear', async ({ page }) => {
  await open(page, `${server.address}/items/7/placing`);
  await page.getByRole('button', { name: 'Cogwheel' }).click();
  await expect(page.getByText(/^Left breast: 190 mm down from the shoulder seam/)).toBeVisible();
  await page.getByLabel('Moved to the right').fill('-9');
  const told = page.getByText(/At its place on the left breast it lies on the zip/).first();
  await expect(told).toBeVisible();
  await page.getByRole('button', { name: 'Move it 8 mm to the right' }).click();
  await expect(told).toHaveCount(0);
  await expect(page.getByLabel('Moved to the right')).toHaveValue('-1');
});

test('a mug: who sees it, how far a straight strip would be off, and its layers bent as files', async ({ page }) => {
  const item = (await (await page.request.get(`${server.address}/api/items/2`)).json()) as Record<string, unknown> & {
    placements: Record<string, unknown>[];
  };
  type Named = { readonly name: string };
  const { blanks } = (await (await page.request.get(`${server.address}/api/shelf`)).json()) as {
    blanks: { id: number; name: string; colours: Named[]; sizes: Named[] }[];
  };
  const cup = blanks.find(({ name }) => name === 'Enamel camp cup')!;
  const made = await page.request.post(`${server.address}/api/items`, {
    data: {
      ...item,
      name: 'Camp cup, loaf',
      blankId: cup.id,
      sizeName: cup.sizes[0]!.name,
      colourName: cup.colours[0]!.name,
      placements: [{ ...item.placements[0], place: 'wall', widthMm: 55 }],
    },
  });
  const { id } = (await made.json()) as { id: number };
  await open(page, `${server.address}/items/${id}/placing`);
  await page.getByLabel('Place', { exact: true }).click();
  await page.getByRole('option', { name: 'seen left-handed' }).click();
  // A quarter round: π × 83 ÷ 4, the middle of 88 and 78 across.
  await expect(
    page.getByText('Go 65.2 mm round to the left from opposite the handle: there its middle lies.'),
  ).toBeVisible();
  await page.getByRole('button', { name: /^Radius of its middle line/ }).focus();
  await page.keyboard.press('=');
  await expect(page.getByRole('dialog')).toContainText('the cone laid flat');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Saved with the item.')).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page
      .getByRole('link', { name: /loaf.*, bent \(SVG\)/ })
      .first()
      .click(),
  ]);
  expect(readFileSync(await download.path(), 'utf8')).toMatch(/^<\?xml[\s\S]*mirrored/);
  const guide = await page.request.get(`${server.address}/api/items/${id}/placing/guide?artwork=0`);
  expect((await readPdfPages(await guide.body()))[0]).toContain('Go 65.2 mm round to the left');
});

test('at the press the place is drawn, with how to find it', async ({ page }) => {
  await open(page, `${server.address}/bench/press`);
  await page.getByRole('button', { name: /^Start/ }).click();
  await expect(page.getByRole('img', { name: /^Bib: 70 mm down from the top edge/ })).toBeVisible();
  await expect(page.getByText('Fold the blank lengthways')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('img', { name: /^Bib: 70 mm down from the top edge/ })).toBeVisible();
});
