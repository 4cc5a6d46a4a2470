// The stall by touch: a piece is chosen, lettered, read by the customer, paid once, and handed over. And what an order
// asks: sizes at once, a discount, several moved from the list; a channel's file taken twice.

import { expect, test, type Page } from '@playwright/test';
import { open, running, ShopServer } from './server';

const server = new ShopServer(4387, true);
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());

const countOpen = async (page: Page): Promise<number> => {
  const list = await (await page.request.get(`${server.address}/api/orders`)).json();
  return list.counts.open;
};

test.describe('by touch', () => {
  test.use({ hasTouch: true, viewport: { width: 1024, height: 768 } });

  test('a name is spelled, read, paid and taken once', async ({ page }) => {
    await open(page, `${server.address}/orders/stall`);
    const before = await countOpen(page);
    await page.getByRole('button', { name: /^Crew jacket, crest and club mark/ }).tap();
    await page.getByLabel('Surname', { exact: true }).fill('ASHE');
    await page.getByRole('button', { name: 'L', exact: true }).tap();
    const cash = page.getByRole('button', { name: 'Paid in cash' });
    await expect(page.getByText(/ready about/)).toBeVisible();
    await expect(cash).toBeDisabled();
    await page.getByRole('button', { name: /read it letter by letter/ }).tap();
    await expect(cash).toBeEnabled();
    // Another text is not what was read.
    await page.getByLabel('Surname', { exact: true }).fill('ASH');
    await expect(cash).toBeDisabled();
    await page.getByRole('button', { name: /read it letter by letter/ }).tap();
    await cash.tap();
    const taken = page.getByRole('status', { name: 'Taken' });
    await expect(taken).toContainText('Number');
    const id = Number(await taken.locator('strong').textContent());
    const order = await (await page.request.get(`${server.address}/api/orders/${id}`)).json();
    expect(order.row).toMatchObject({ owed: 0, title: 'ASH, Crew jacket, crest and club mark' });
    expect(order.lines).toMatchObject([{ sizeName: 'L', texts: [{ text: 'ASH' }] }]);
    expect(order.lines[0].readBackAtMs).not.toBeNull();
    expect(await countOpen(page)).toBe(before + 1);
    await page.getByRole('button', { name: 'Next customer' }).tap();
    await expect(page.getByRole('heading', { name: 'What would they like?' })).toBeVisible();
    await expect(page.getByRole('region', { name: 'Waiting' })).toContainText('ASH, Crew jacket');
  });

  test('letters that the typeface lacks are told before anything is paid', async ({ page }) => {
    await open(page, `${server.address}/orders/stall`);
    await page.getByRole('button', { name: /^Crew jacket, crest and club mark/ }).tap();
    await page.getByLabel('Surname', { exact: true }).fill('ASH 🚣');
    await expect(page.getByText(/Surname “ASH 🚣”/)).toContainText('🚣');
    await expect(page.getByRole('button', { name: 'Paid in cash' })).toBeDisabled();
  });

  test('without a network it says so and goes on', async ({ page, context }) => {
    await open(page, `${server.address}/orders/stall`);
    await context.setOffline(true);
    await expect(page.getByText(/There is no network/)).toBeVisible();
    await context.setOffline(false);
    await expect(page.getByText(/There is no network/)).toBeHidden();
  });
});

test('what the server answers moves nothing from under the hand', async ({ page }) => {
  await page.route('**/api/orders/ask', async (route) => {
    await answered;
    await route.continue();
  });
  let answer = (): void => undefined;
  const answered = new Promise<void>((resolve) => {
    answer = resolve;
  });
  await open(page, `${server.address}/orders/new`);
  await page.getByLabel('Customer').fill('Ines');
  const places = () =>
    page
      .locator('main .split-1-2 :is(input, button, summary, [role="combobox"])')
      .evaluateAll((fields) => fields.map((field) => field.getBoundingClientRect().top));
  const before = await places();
  answer();
  await expect(page.getByText('Bakery apron: wheat')).toBeVisible();
  await expect(page.getByText(/^At the earliest/)).toBeVisible();
  expect(await places()).toEqual(before);
});

test('sizes are entered at once, and the price follows a discount', async ({ page }) => {
  await open(page, `${server.address}/orders/new`);
  await page.getByLabel('Item').click();
  await page.getByRole('option', { name: 'Dog bandana, paw' }).click();
  await page.getByRole('button', { name: 'Sizes and colours…' }).click();
  const grid = page.getByRole('dialog', { name: /sizes and colours/ });
  const cells = grid.getByRole('textbox');
  await expect(cells.first()).toBeVisible();
  for (const cell of await cells.all()) await cell.fill('');
  await cells.nth(0).fill('2');
  await cells.nth(1).fill('3');
  await grid.getByRole('button', { name: 'Take 5 pieces' }).click();
  await expect(page.getByText(/^Line \d$/)).toHaveCount(2);
  const agreed = page.getByLabel('Agreed price, in total');
  const full = Number(await agreed.inputValue());
  await page.getByText('Discount, rush, delivery').click();
  await page.getByLabel('Discount', { exact: true }).fill('10');
  await expect(agreed).toHaveValue((full * 0.9).toFixed(2));
});

test('orders are found as they are typed, moved together and taken back', async ({ page }) => {
  await open(page, `${server.address}/orders`);
  await running(page);
  const search = page.getByLabel('Find an order');
  await search.fill('jumior');
  await expect(page.getByText('No exact match; these are close.')).toBeVisible();
  await expect(page).toHaveURL(/q=jumior/);
  await search.fill('junior');
  const row = page.getByRole('row', { name: /Junior crew/ });
  await row.getByRole('checkbox').check();
  const chosen = page.getByRole('group', { name: 'Selected orders' });
  await chosen.getByRole('button', { name: 'Put on hold' }).click();
  await expect(row).toContainText('on hold');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row).not.toContainText('on hold');
});

test('a channel’s file is matched, taken, and taken again without any change', async ({ page }) => {
  await open(page, `${server.address}/orders/feed`);
  await running(page);
  const before = await countOpen(page);
  const file = {
    name: 'monday.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      'order;customer;due;item;quantity;price\nF-1;Jörg Müller;2099-03-01;TT-HONEY;2;25.00\nF-2;Mo, the baker;2099-03-02;Bakery apron;1;\n',
    ),
  };
  const choose = () => page.getByLabel('Order file').setInputFiles(file);
  await choose();
  await expect(page.getByRole('heading', { name: '1 name to match' })).toBeVisible();
  expect(await countOpen(page)).toBe(before + 1);
  await page.getByLabel('TT-HONEY is').click();
  await page.getByRole('option', { name: 'Honeycomb tea towel' }).click();
  await page.getByRole('button', { name: 'Match' }).click();
  await expect(page.getByRole('heading', { name: '2 orders from the channel, all in the book' })).toBeVisible();
  expect(await countOpen(page)).toBe(before + 2);
  await choose();
  await expect(page.getByText('2 already known.')).toBeVisible();
  expect(await countOpen(page)).toBe(before + 2);
  await page.getByRole('row', { name: /F-1/ }).getByRole('link').click();
  await expect(page.getByRole('heading', { name: /Channel order F-1/ })).toBeVisible();
});

test('a file with headings of its own is asked for its columns once', async ({ page }) => {
  await open(page, `${server.address}/orders/feed`);
  const file = (order: string) => ({
    name: `list ${order}.csv`,
    mimeType: 'text/csv',
    buffer: Buffer.from(`Nr;Wer;Was;Wieviel\n${order};Ada Brook;Honeycomb tea towel;3\n`),
  });
  const choose = (order: string) => page.getByLabel('Order file').setInputFiles(file(order));
  await choose('N-1');
  const dialog = page.getByRole('dialog');
  const pick = async (column: string, option: RegExp) => {
    await dialog.getByRole('combobox', { name: column }).click();
    await page.getByRole('option', { name: option }).click();
  };
  await expect(dialog.getByRole('button', { name: 'Import' })).toBeDisabled();
  await pick('Order number', /^Nr/);
  await pick('Item', /^Was/);
  await pick('Customer', /^Wer/);
  await pick('Quantity', /^Wieviel/);
  await dialog.getByRole('button', { name: 'Import' }).click();
  await expect(page.getByRole('row', { name: /N-1 Ada Brook/ })).toContainText('taken');
  await choose('N-2');
  await expect(page.getByRole('row', { name: /N-2 Ada Brook/ })).toContainText('taken');
});
