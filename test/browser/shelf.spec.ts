// The shelf: a price list comes in, a lot is counted, an offcut is kept and found again, a basket is ordered and
// received.

import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { readPdfPages } from '../read-pdf';
import { open, running, ShopServer } from './server';

const server = new ShopServer(4395, true);
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());

const LIST =
  'Artikel;Bezeichnung;Farbe;Rollen;Breite;Länge;Preis\n1;Tarn Smooth slate, Sonderposten;Tarn Smooth, slate;1;50 cm;10 m;61,50\n2;Müll;;;;;teuer\n3;Seed tin, half litre, cream;;1;;;2,30\n';

async function stockRow(page: Page, name: string) {
  await open(page, `${server.address}/shelf/stock`);
  return page.getByRole('row', { name: new RegExp(`^${name}`) });
}

test('a price list: its lines looked at first, then taken over, and offered side by side', async ({ page }) => {
  await open(page, `${server.address}/shelf/offers`);
  await page.getByRole('button', { name: 'Add a supplier' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name').fill('Barrow Bargains');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog.getByText('called “Barrow Bargains” already').first()).toBeVisible();
  await dialog.getByLabel('Name').fill('Lantern Wholesale');
  await dialog.getByLabel('Here after').fill('1');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await page
    .getByRole('region', { name: 'Lantern Wholesale' })
    .getByRole('button', { name: 'Import a price list' })
    .click();
  // In the code page that older spreadsheets write.
  await page
    .getByLabel('Price list file')
    .setInputFiles({ name: 'liste.csv', mimeType: 'text/csv', buffer: Buffer.from(LIST, 'latin1') });
  await expect(dialog).toContainText('2 new, 0 changed, 0 as before, 1 unreadable.');
  await expect(dialog.getByRole('list', { name: 'Unreadable lines' })).toContainText(
    'Line 3The price “teuer” is no number.',
  );
  await expect(dialog.getByRole('region', { name: 'What it changes' })).toContainText('61.50');
  await dialog.getByRole('button', { name: 'Import these prices' }).click();
  await expect(page.getByText('2 new, 0 changed.')).toBeVisible();
  await page.getByLabel('Search name, article or colour').fill('sonder');
  const row = page.getByRole('table', { name: 'Offers' }).getByRole('row');
  await expect(row).toHaveCount(1);
  await expect(row).toContainText('12.81 / m²');
  await row
    .getByRole('button', { name: /Tarn Smooth slate/ })
    .first()
    .click();
  await expect(dialog.getByRole('img', { name: /Price history: .* 61\.50/ })).toBeVisible();
});

test('an offcut is cut off a roll, has a code to write on it, and is found by what fits on it', async ({ page }) => {
  await stockRow(page, 'Tarn Smooth, cream');
  await page.getByRole('button', { name: /^7\.18 m of a roll/ }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Length', { exact: true }).fill('9000');
  await dialog.getByRole('button', { name: 'Set an offcut aside' }).click();
  await expect(dialog.getByRole('alert')).toContainText(
    'There are 7180 mm left of this lot, and 9000 mm are asked for.',
  );
  await dialog.getByLabel('Length', { exact: true }).fill('400');
  await dialog.getByLabel('Taken off the roll').fill('400');
  await dialog.getByRole('button', { name: 'Set an offcut aside' }).click();
  const told = await page.getByText(/^Write \w{3} on it/).textContent();
  const code = /^Write (\w{3})/.exec(told!)![1]!;
  await expect(page.getByRole('button', { name: /^6\.78 m of a roll/ })).toBeVisible();
  const offcuts = page.getByRole('region', { name: 'Offcuts' });
  await offcuts.getByLabel('Width').fill('480');
  await offcuts.getByLabel('Height').fill('390');
  await expect(offcuts.getByRole('listitem')).toHaveCount(1);
  await expect(offcuts.getByRole('img', { name: `Offcut ${code}, to scale` })).toBeVisible();
  // A crease in the middle: what would lie over it does not fit any more, what lies beside it does.
  await offcuts.getByRole('button', { name: code }).click();
  await dialog.getByRole('tab', { name: 'Spoiled spots' }).click();
  await dialog.getByRole('img', { name: `Offcut ${code}, to scale` }).click();
  await expect(dialog.getByRole('group', { name: 'Spot 1' }).getByLabel('Width')).toHaveValue('20');
  await dialog.getByRole('group', { name: 'Spot 1' }).getByLabel('From the left').fill('5000');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog.getByRole('alert')).toContainText('Spot 1 lies beside the offcut.');
  await dialog.getByRole('group', { name: 'Spot 1' }).getByLabel('From the left').fill('240');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(offcuts).toContainText('None of the');
  await offcuts.getByLabel('Width').fill('200');
  await expect(offcuts.getByRole('listitem').filter({ hasText: code })).toContainText('a spot spoiled');
  await offcuts.getByRole('button', { name: code }).click();
  await dialog.getByRole('tab', { name: 'Spoiled spots' }).click();
  await dialog.getByRole('button', { name: 'Spot 1 is none' }).click();
  await dialog.getByRole('button', { name: 'Save' }).click();
  await offcuts.getByLabel('Width').fill('480');
  await offcuts.getByRole('button', { name: code }).click();
  await dialog.getByRole('button', { name: 'Book' }).click();
  await expect(offcuts).toContainText('None of the');
});

test('a roll is counted by its weight; the ledger says what was off', async ({ page }) => {
  await stockRow(page, 'Quay Hold, black');
  await page.getByRole('button', { name: /^5\.94 m of a roll/ }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('tab', { name: 'Count' }).click();
  await dialog.getByLabel('Counted by').click();
  await page.getByRole('option', { name: 'weight of the roll' }).click();
  await dialog.getByLabel('Roll with core').fill('885');
  await dialog.getByLabel('Core alone').fill('175');
  await dialog.getByLabel('Vinyl with backing').fill('200');
  await expect(dialog).toContainText('That is 5.82 m');
  await dialog.getByRole('button', { name: 'Count' }).last().click();
  await expect(page.getByText('The book was off by 0.12 m; it says what was counted now.')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Ledger' }).getByRole('listitem').first()).toContainText(
    'counted, by weight',
  );
});

test('a minimum is kept for a thing, and what falls short of it is needed', async ({ page }) => {
  await stockRow(page, 'Penny Flex, fern');
  await page.getByRole('button', { name: 'Minimum of Penny Flex, fern' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('At least').fill('0,8');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('row', { name: /Penny Flex, fern/ })).toContainText('under 0.80 m²');
  await open(page, `${server.address}/shelf/buy`);
  await expect(
    page.getByRole('region', { name: 'Needed' }).getByRole('listitem').filter({ hasText: 'Penny Flex, fern' }),
  ).toContainText('below what should always be there');
});

test('what to buy is worked out, ordered, printed, received in part and survives the server being killed', async ({
  page,
}) => {
  await open(page, `${server.address}/shelf/buy`);
  await expect(page.getByRole('heading', { name: /^Buy for \d/ })).toBeVisible();
  const basket = page.getByRole('region', { name: 'Basket' });
  await expect(basket).toContainText('Proven: no other choice of packs costs less.');
  await page.getByLabel('Also needed').fill('Lab coat, polycotton, M');
  await page.getByRole('option', { name: 'Lab coat, polycotton, M, white' }).click();
  await page.getByLabel('How much').fill('2');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(basket).toContainText('2 × Lab coat M');
  await page.getByRole('button', { name: 'Order it' }).click();
  const orders = page.getByRole('region', { name: 'Orders to suppliers' });
  await expect(orders.getByText('under way').first()).toBeVisible();
  await expect(basket).toHaveCount(0);
  const purchases = (await (await page.request.get(`${server.address}/api/purchases`)).json()) as {
    purchases: { id: number; total: number; supplier: { name: string } }[];
  };
  const first = purchases.purchases[0]!;
  expect(
    (await readPdfPages(await (await page.request.get(`${server.address}/api/purchases/${first.id}/pdf`)).body()))[0],
  ).toContain((first.total / 100).toFixed(2));
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    orders.getByRole('link', { name: 'Mail' }).first().click(),
  ]);
  expect(readFileSync(await download.path(), 'utf8')).toMatch(/^Subject: Order \d+/m);
  await server.kill();
  await server.start();
  await page.reload();
  await running(page);
  await orders.getByRole('button', { name: `Receive order ${first.id}` }).click();
  await orders.getByLabel('Damaged').first().fill('1');
  await orders.getByLabel('Good').first().fill('0');
  await orders.getByRole('button', { name: 'Book it and expect no more' }).click();
  await expect(orders.getByText('received', { exact: true }).first()).toBeVisible();
});

test('an offer by hand is found, priced by the square metre, changed, and taken off with an undo', async ({ page }) => {
  await open(page, `${server.address}/shelf/offers`);
  await page.keyboard.press('n');
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Article number').fill('FAIR-7');
  await dialog.getByLabel('Name').fill('Slate roll from the fair');
  await dialog.getByLabel('Price of a pack').fill('30');
  await dialog.getByLabel('On your shelf').fill('Tarn Smooth, slate');
  await page.getByRole('option', { name: 'Tarn Smooth, slate' }).click();
  await expect(dialog.getByLabel('Width')).toHaveValue('500');
  await dialog.getByLabel('Length').fill('2500');
  await dialog.getByLabel('Take', { exact: true }).fill('2');
  await dialog.getByLabel('and pay').fill('3');
  await dialog.getByRole('button', { name: 'Add the offer' }).click();
  // Refused where it stands, and nothing typed is lost.
  await expect(dialog.getByText('Pay: fewer than are taken.').first()).toBeVisible();
  await dialog.getByLabel('Take', { exact: true }).fill('3');
  await dialog.getByLabel('and pay').fill('2');
  await dialog.getByRole('button', { name: 'Add the offer' }).click();
  await page.getByLabel('Search name, article or colour').fill('fair-7');
  const row = page.getByRole('table', { name: 'Offers' }).getByRole('row');
  await expect(row).toHaveCount(1);
  // 30.00 and 5.90 of shipping for 0.48 × 2.5 m.
  await expect(row).toContainText('29.92 / m²');
  await row.getByRole('button', { name: 'Slate roll from the fair', exact: true }).click();
  await dialog.getByRole('button', { name: 'Change the offer' }).click();
  await dialog.getByRole('button', { name: 'Archive' }).click();
  await expect(page.getByText('Nothing is called that.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row).toHaveCount(1);
});

test('a vinyl keeps what its maker says, for one fabric too, and is found by what it is good for', async ({ page }) => {
  await open(page, `${server.address}/shelf`);
  await page.getByRole('button', { name: 'Change Tarn Smooth, cream' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Pressed otherwise on').click();
  await page.getByRole('option', { name: 'softshell or nylon', exact: true }).click();
  const seconds = dialog.getByLabel('Seconds');
  await expect(seconds).toHaveCount(2);
  await dialog.getByLabel('Lowest temperature').nth(1).fill('120');
  await dialog.getByLabel('Highest temperature').nth(1).fill('130');
  await dialog.getByLabel('Thinnest stroke').fill('0,9');
  await dialog.getByLabel('Link to the maker’s sheet').fill('sheet.example');
  await dialog.getByLabel('Maker’s sheet, as text').fill('120–130 °C on softshell');
  await dialog.getByRole('button', { name: 'Save the vinyl' }).click();
  await expect(dialog.getByText('it begins with http:// or https://')).toBeVisible();
  await dialog.getByLabel('Link to the maker’s sheet').fill('https://sheet.example/cream');
  await dialog.getByRole('button', { name: 'Save the vinyl' }).click();
  await expect(dialog).toBeHidden();
  const table = page.getByRole('region', { name: 'Vinyls' });
  await page.getByLabel('Safe on').click();
  await page.getByRole('option', { name: 'softshell or nylon', exact: true }).click();
  await expect(table).toContainText('Tarn Smooth, cream');
  await expect(table).not.toContainText('Tarn Smooth, slate');
  await page.getByRole('button', { name: 'Change Tarn Smooth, cream' }).click();
  await expect(dialog.getByLabel('Lowest temperature').nth(1)).toHaveValue('120');
  await expect(dialog.getByLabel('Thinnest stroke')).toHaveValue('0.9');
  await expect(dialog.getByLabel('Maker’s sheet, as text')).toHaveValue('120–130 °C on softshell');
});

test('a print area says on the item when the drawing lies on a zip', async ({ page }) => {
  await open(page, `${server.address}/items/1`);
  await page.getByLabel('Where on it').fill('left breast, by the zip');
  await page.getByLabel('Width', { exact: true }).fill('108');
  // On top of the item, and at the field.
  await expect(page.getByText('At its place on the left breast it lies on the zip')).toHaveCount(2);
  await page.getByLabel('Width', { exact: true }).fill('70');
  await expect(page.getByText('within the left breast, 110 mm × 110 mm')).toBeVisible();
});

test('a worn mat is changed for one off the shelf, and a cut wears the new one', async ({ page }) => {
  await open(page, `${server.address}/shelf/supplies`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Grip mat, 305 is nearly worn');
  const row = page.getByRole('row', { name: /^Grip mat, 305/ });
  await expect(row).toContainText('1 loads');
  await page.getByRole('button', { name: 'Book: Grip mat, 305' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Book it' }).click();
  await expect(row).toContainText('45 loads');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Nothing is worn out');
  await open(page, `${server.address}/bench/cut`);
  await page.getByRole('button', { name: 'only the first' }).click();
  await page.getByRole('button', { name: /^Start/ }).click();
  await page.getByRole('button', { name: /^Done/ }).click();
  await open(page, `${server.address}/shelf/supplies`);
  await expect(row).toContainText('44 loads');
});
