// What the log teaches, taken into what the shop calculates with, and put back: how fine a vinyl holds, and minutes.

import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { open, running, ShopServer } from './server';

const server = new ShopServer(4378, true);
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());

/** The jacket of the demo shop: its second layer is glitter. */
const JACKET = '/items/2';
const GLITTER = 'Sparrow Glint, gold';

async function openTrials(page: Page): Promise<void> {
  await open(page, `${server.address}/trials`);
  // Each comes once it is scrolled near to.
  await expect(async () => {
    await page.keyboard.press('End');
    await expect(page.getByRole('region', { name: 'What the clock teaches', exact: true })).toBeVisible({
      timeout: 1000,
    });
  }).toPass();
}

test('how fine a vinyl holds is taken from the log: from then on items are checked against it, until it is undone', async ({
  page,
}) => {
  await open(page, server.address + JACKET);
  const warned = page.getByText(`${GLITTER} holds from 2 mm`);
  await expect(warned.first()).toBeVisible();

  await openTrials(page);
  const table = page.getByRole('region', { name: 'How fine each vinyl holds' });
  const row = table.getByRole('row', { name: new RegExp(`^${GLITTER}`) });
  await expect(row).toContainText('as ordinary of its kind');
  await row.getByText('one width').click();
  await expect(row.getByRole('listitem')).toHaveText(/^0\.5 mm: \d+ of \d+ failed$/);
  const { violations } = await new AxeBuilder({ page }).include('[aria-label="How fine each vinyl holds"]').analyze();
  expect(violations.map(({ id }) => id)).toEqual([]);

  const take = row.getByRole('button', { name: /^Calculate with \d/ });
  await take.click();
  await expect(row).toContainText('kept of this vinyl');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row).toContainText('as ordinary of its kind');

  await take.click();
  await expect(row).toContainText('kept of this vinyl');
  await expect(take).toHaveCount(0);
  await open(page, server.address + JACKET);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(warned).toHaveCount(0);
});

test('minutes of the log are taken into the shop’s figures, told with how far jobs stray, and put back', async ({
  page,
}) => {
  await openTrials(page);
  const press = page.getByRole('region', { name: 'Press, learned' });
  await expect(press).toContainText(/Because of \d+ logs\./);
  const place = press.getByRole('row', { name: /^Place a layer/ });
  const before = await place.getByRole('cell').first().textContent();
  const learned = await place.getByRole('cell').nth(1).textContent();
  await expect(press.getByRole('row', { name: /when it goes badly/ })).toContainText('150 %');

  await press.getByRole('button', { name: 'Calculate with it' }).click();
  await expect(press).toContainText('Taken into your figures on');
  await expect(place.getByRole('cell').first()).toHaveText(learned!);
  await press.getByRole('button', { name: 'Back to what it was before' }).click();
  await expect(press).not.toContainText('Taken into your figures on');
  await expect(place.getByRole('cell').first()).toHaveText(before!);
});

test('two people are told apart at the bench: the clock says whose work it is, through a reload', async ({ page }) => {
  await open(page, `${server.address}/shop`);
  const people = page.getByRole('region', { name: 'Who works here' });
  for (const name of ['Ada', 'Finn']) {
    await people.getByLabel('Name').fill(name);
    await page.keyboard.press('Enter');
    await expect(people.getByRole('listitem').filter({ hasText: name })).toBeVisible();
    await expect(people.getByLabel('Name')).toHaveValue('');
  }
  await people.getByRole('button', { name: 'Take Finn off the list' }).click();
  await expect(people.getByRole('listitem')).toHaveCount(1);
  await expect(people.getByRole('listitem')).toHaveText(/^Ada/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(people.getByRole('listitem')).toHaveCount(2);

  await open(page, `${server.address}/bench/weed`);
  const whose = page.getByRole('group', { name: 'Whose work it is' });
  await whose.getByRole('button', { name: 'Finn' }).click();
  await page.reload();
  await running(page);
  await expect(whose.getByRole('button', { name: 'Finn' })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: /^Start/ }).click();
  const timers = page.getByRole('group', { name: 'Running timers' });
  await expect(timers).toContainText(', Finn');
  await expect(whose).toHaveCount(0);
  await page.getByRole('button', { name: 'Drop these minutes' }).click();
  await expect(timers).not.toContainText('Finn');
  await expect(whose).toBeVisible();
  expect((await new AxeBuilder({ page }).analyze()).violations.map(({ id }) => id)).toEqual([]);
});
