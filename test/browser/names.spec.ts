// Jackets with names, from a pasted message to the bench: checked, read back, one wrong number found and changed, cut,
// one name spoiled and recut alone; and an order that shrinks after half of it was cut.

import { expect, test, type Page } from '@playwright/test';
import { open, running, ShopServer } from './server';

const server = new ShopServer(4388, true);
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());

const CLUB = 'Crew jacket, crest and club mark';

/** A new order for jackets with surnames and seats, its list read. */
async function pasteNames(page: Page, list: string): Promise<void> {
  await open(page, `${server.address}/orders/new`);
  await page.getByLabel('Item').click();
  await page.getByRole('option', { name: CLUB }).click();
  await page.getByRole('checkbox', { name: /with Surname/ }).check();
  await page.getByRole('checkbox', { name: /with Seat/ }).check();
  await page.getByRole('button', { name: 'Names from a list…' }).click();
  await page.getByLabel('The list').fill(list);
  await page.getByRole('button', { name: 'Read the list' }).click();
}

async function takeIt(page: Page, title: string): Promise<void> {
  await page.getByLabel('Customer', { exact: true }).fill('Juniper Vale');
  await page.getByLabel('What for').fill(title);
  await page.getByLabel('Due').fill('2099-05-04');
  await page.getByRole('button', { name: 'Take the order' }).click();
  await page.waitForURL(/\/orders\/\d+$/);
  await running(page);
}

async function startReading(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'Read back' }).click();
  await page.waitForURL(/read-back$/);
  await running(page);
}

/** Starts and ends the work on these pieces of an order at a station, as the bench does. */
async function work(page: Page, orderId: number, station: string, numbers: readonly number[]): Promise<void> {
  const headers = { Origin: server.address };
  const order = await (await page.request.get(`${server.address}/api/orders/${orderId}`)).json();
  type Column = { number: number; teeth: { partId: number }[] };
  const partIds = (order.row.comb as Column[])
    .filter((column) => numbers.includes(column.number))
    .flatMap((column) => column.teeth.map((tooth) => tooth.partId));
  const started = await page.request.post(`${server.address}/api/work-sessions`, {
    headers,
    data: { station, partIds },
  });
  expect(started.ok(), await started.text()).toBe(true);
  const { bench } = await started.json();
  const { id } = (bench.running as { id: number; station: string }[]).find((one) => one.station === station)!;
  await page.request.post(`${server.address}/api/work-sessions/${id}`, { headers, data: { outcome: 'done' } });
}

test('names from a message to the bench, with a wrong number found in time', async ({ page }) => {
  await pasteNames(page, '1. M0rgan 12 s\n2. van der Berg-Featherstonehaugh 8 L\n3. Tarn 1O M\n4. Östlund 4 XXL');
  const dialog = page.getByRole('dialog', { name: /^Names for/ });
  // Nothing is changed by itself: each is asked about, and kept as it was written beside.
  await dialog.getByRole('button', { name: 'Make it “Morgan”' }).click();
  await expect(dialog.getByText('written: “M0rgan”')).toBeVisible();
  await dialog.getByRole('button', { name: 'Make it “10”' }).click();
  await expect(dialog.getByText('no size is called “XXL”')).toBeVisible();
  await dialog.getByLabel('Size, line 4').selectOption('XL');
  await expect(dialog.getByText(/too wide for its place/)).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Take 4 pieces' })).toBeDisabled();
  await dialog.getByRole('button', { name: 'Smaller letters' }).click();
  await expect(dialog.getByRole('img', { name: 'Surname as it is cut' })).toHaveCount(4);
  await dialog.getByRole('button', { name: 'Take 4 pieces' }).click();
  await expect(page.getByText(/^4 pieces: Morgan 12, van der Berg/)).toBeVisible();
  await takeIt(page, 'Crew, by message');
  const orderId = Number(page.url().split('/').at(-1));
  await expect(page.getByRole('cell', { name: 'not yet' })).toHaveCount(4);

  // Unread texts are not cut without a word.
  await startReading(page);
  await expect(page.getByRole('heading', { name: 'Read back: Crew, by message' })).toBeVisible();
  const compared = page.getByRole('region', { name: 'The text to compare' });
  await expect(compared.getByText('1. M0rgan 12 s')).toBeVisible();
  await expect(compared.locator('mark')).toHaveText(['0', 'o']);
  await page.keyboard.press('Enter');
  await expect(compared.getByText(/^2\. van der Berg/)).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(compared.getByText('3. Tarn 1O M')).toBeVisible();
  // The customer meant seat 11: it is changed before anything is cut.
  await compared.getByRole('link', { name: 'It is wrong: change it' }).click();
  // It leads to the lines themselves.
  await page.waitForURL(/\/orders\/\d+(#lines)?$/);
  await page.getByRole('button', { name: 'Edit the list' }).click();
  await page.getByLabel('Seat, line 3').fill('11');
  await page.getByRole('button', { name: 'Take 4 pieces' }).click();
  await page.getByRole('button', { name: 'Save the lines' }).click();
  await expect(page.getByRole('row', { name: /Tarn 11/ })).toBeVisible();
  await expect(page.getByRole('cell', { name: 'not yet' })).toHaveCount(2);
  await startReading(page);
  await page.keyboard.press('Enter');
  await expect(page.getByText('1 text of 4')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Every text was compared with the customer’s words. They can be cut.')).toBeVisible();

  // Cut, and one name torn when weeding: it alone goes back.
  await page.getByRole('link', { name: 'Back to the order' }).click();
  await page.waitForURL(/\/orders\/\d+$/);
  await running(page);
  const numbers = await page.locator('.named-lines td.num.soft').allTextContents();
  await work(page, orderId, 'cut', numbers.map(Number));
  await open(page, `${server.address}/orders/${orderId}`);
  const order = await (await page.request.get(`${server.address}/api/orders/${orderId}`)).json();
  const [first] = order.row.comb as { teeth: { partId: number }[] }[];
  await page.request.post(`${server.address}/api/parts/spoil?station=weed`, {
    headers: { Origin: server.address },
    data: { partIds: [first!.teeth.at(-2)!.partId], cause: 'weeding', blankLost: false },
  });
  await page.reload();
  await expect(page.getByText(/Next: recut 1 in Tarn Cool, white/)).toBeVisible();
});

test('an order that shrinks after half of it was cut asks what becomes of it', async ({ page }) => {
  await pasteNames(page, 'Vale 1 S\nBarrow 2 M');
  await page.getByRole('button', { name: 'Take 2 pieces' }).click();
  await takeIt(page, 'Two, then one');
  const orderId = Number(page.url().split('/').at(-1));
  await startReading(page);
  await page.keyboard.press('Enter');
  await expect(page.getByText('1 text of 2')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Every text was compared/)).toBeVisible();
  await work(page, orderId, 'cut', [1]);
  await open(page, `${server.address}/orders/${orderId}`);
  await page.getByRole('button', { name: 'Change the lines' }).click();
  await page.getByRole('button', { name: 'Edit the list' }).click();
  await page.getByRole('button', { name: 'Remove row 1' }).click();
  await page.getByRole('button', { name: 'Take 1 piece' }).click();
  await page.getByRole('button', { name: 'Save the lines' }).click();
  await expect(page.getByText(/^Piece 1 is begun and would not be wanted any more/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep as spares' }).click();
  await expect(page.getByText(/^Piece 1, kept as a spare/)).toBeVisible();
  await expect(page.getByRole('row', { name: /Vale/ })).toHaveCount(0);
  // Paid and proved, with a way back from each step.
  await page.getByRole('button', { name: 'Note a payment' }).click();
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByRole('heading', { name: 'Paid', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Make a proof' }).click();
  await page.getByRole('link', { name: 'Look at the proof' }).click();
  await expect(page.getByRole('img', { name: 'Surname as it will look' })).toHaveCount(1);
  await page.goBack();
  await running(page);
  await page.getByRole('button', { name: 'Put on hold' }).click();
  await page.getByLabel('What it waits for').fill('a call');
  await page.getByRole('dialog').getByRole('button', { name: 'Put on hold' }).click();
  await expect(page.getByText('Put on hold: a call')).toBeVisible();
  await page.getByRole('button', { name: /^Undo “/ }).click();
  await expect(page.getByText('Put on hold: a call (taken back)')).toBeVisible();
});
