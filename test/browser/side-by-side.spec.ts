// Two vinyls side by side at the bench turn what the comparison says of them; a wash is asked for on its day.

import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Locator, type Page } from '@playwright/test';
import { open, running, ShopServer } from './server';

const server = new ShopServer(4380, true);
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());

async function pick(where: Locator, page: Page, label: string, option: string): Promise<void> {
  await where.getByRole('combobox', { name: label }).click();
  await page.getByRole('option', { name: option }).first().click();
}

/** Slate and fern, three hundred of each: enough to turn what the bench has told of hundreds. */
async function begin(page: Page): Promise<void> {
  await open(page, `${server.address}/trials`);
  await page.getByRole('button', { name: 'Try side by side' }).click();
  const dialog = page.getByRole('dialog', { name: 'Try several side by side' });
  await pick(dialog, page, 'Drawing', 'Honeycomb');
  await dialog.getByLabel('Pieces with each').fill('300');
  await pick(dialog.getByRole('group', { name: 'Candidate 1' }), page, 'Vinyl', 'Tarn Smooth, slate');
  await pick(dialog.getByRole('group', { name: 'Candidate 2' }), page, 'Vinyl', 'Penny Flex, fern');
  await dialog.getByRole('button', { name: 'Begin' }).click();
  await page.waitForURL(/\/trials\/side\/\d+$/);
  await running(page);
}

const sheetOf = (page: Page, name: RegExp): Locator => page.getByRole('region', { name });

async function fill(sheet: Locator, { weeding, lost }: { weeding: string; lost: string }): Promise<void> {
  await sheet.getByLabel('Weeding, min').fill(weeding);
  await sheet.getByLabel('Lost, of 300').fill(lost);
  await sheet.getByRole('button', { name: 'Close the sheet' }).click();
  await expect(sheet.getByRole('button', { name: 'Open the sheet again' })).toBeVisible();
}

test('a trial side by side turns the verdict of Compare, and deleted it turns back', async ({ page }) => {
  const compared = page.getByRole('heading', { level: 1 });
  await open(page, `${server.address}/items/compare/3`);
  await expect(compared).toHaveText(/^Use Tarn Smooth, slate: \d+\.\d\d cheaper than Penny Flex, fern\.$/);
  const before = (await compared.textContent())!;
  await begin(page);
  await expect(compared).toHaveText('2 sheets to fill in');
  const [slate, fern] = [sheetOf(page, /^Tarn Smooth, slate/), sheetOf(page, /^Penny Flex, fern/)];
  // The clock runs on through a reload.
  await slate.getByRole('button', { name: 'Time it' }).last().click();
  await expect(slate.getByRole('timer')).toBeVisible();
  await page.reload();
  await running(page);
  await expect(slate.getByRole('timer')).toBeVisible();
  await fill(slate, { weeding: '30', lost: '200' });
  expect((await new AxeBuilder({ page }).analyze()).violations.map(({ id }) => id)).toEqual([]);
  await fill(fern, { weeding: '30', lost: '0' });
  await expect(compared).toHaveText(/^Penny Flex, fern.* serves best: the next takes 3\.0 times as long/);
  const trial = page.url();
  await open(page, `${server.address}/items/compare/3`);
  // The seller's own grade is not overruled by it.
  await expect(page.getByText(/^Penny Flex, fern would be \d+\.\d\d cheaper, but by your own grade/)).toBeVisible();
  await expect(page.getByRole('columnheader', { name: 'Penny Flex, fern cheapest' })).toBeVisible();
  await open(page, trial);
  await page.getByRole('button', { name: 'Delete' }).click();
  await page.getByRole('button', { name: 'Delete for good' }).click();
  await page.waitForURL(/\/trials$/);
  await open(page, `${server.address}/items/compare/3`);
  await expect(compared).toHaveText(before);
});

test('a slow press on a choice opens it, and picks nothing', async ({ page }) => {
  await open(page, `${server.address}/trials`);
  await page.getByRole('button', { name: 'Try side by side' }).click();
  const vinyl = page.getByRole('group', { name: 'Candidate 2' }).getByRole('combobox', { name: 'Vinyl' });
  await vinyl.hover();
  await page.mouse.down();
  const slate = page.getByRole('option', { name: 'Tarn Smooth, slate' });
  await expect(slate).toBeVisible();
  await page.waitForTimeout(800);
  await page.mouse.up();
  await slate.click();
  await expect(vinyl).toHaveText('Tarn Smooth, slate');
});

test('what is typed of a sheet stays through a reload', async ({ page }) => {
  await begin(page);
  const slate = sheetOf(page, /^Tarn Smooth, slate/);
  await slate.getByLabel('Note').fill('curls at the ends');
  await slate.getByLabel('Lost, of 300').fill('7');
  await page.reload();
  await running(page);
  await expect(slate.getByLabel('Note')).toHaveValue('curls at the ends');
  await expect(slate.getByLabel('Lost, of 300')).toHaveValue('7');
});

test('a wash comes up on Today, is seen, and can be taken back', async ({ page }) => {
  const today = (await (await page.request.get(`${server.address}/api/today`)).json()).today as string;
  const planned = await page.request.post(`${server.address}/api/later-looks`, {
    headers: { Origin: server.address },
    data: { orderId: 1, looks: [{ reason: 'wash', washes: 5, dueDay: today }] },
  });
  expect(planned.ok()).toBe(true);
  await open(page, server.address);
  const due = page.getByRole('region', { name: 'To look at' });
  const first = due.getByRole('group').first();
  await expect(due).toContainText('after 5 washes');
  const count = await due.getByRole('group').count();
  await first.getByLabel('Note').fill('hot wash');
  await first.getByRole('button', { name: 'washed, and fine' }).click();
  await expect(due.getByRole('group')).toHaveCount(count - 1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(due.getByRole('group')).toHaveCount(count);
  await first.getByRole('button', { name: 'In a week' }).click();
  await expect(due.getByRole('group')).toHaveCount(count - 1);
});
