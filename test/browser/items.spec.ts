// Items: what channels take, what the number made changes, and which vinyl to use.

import { expect, test } from '@playwright/test';
import { readPdfPages } from '../read-pdf';
import { open, scrollFarDown, ShopServer } from './server';

const server = new ShopServer(4396, true);
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());

test('a channel is added by keyboard, and says what to ask there', async ({ page }) => {
  await open(page, `${server.address}/items/2`);
  await page.getByRole('button', { name: 'Add a channel' }).focus();
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByLabel('Name')).toBeFocused();
  await page.keyboard.type('Harvest fair');
  await dialog.getByLabel('Share of the price').focus();
  await page.keyboard.type('97');
  await page.keyboard.press('Enter');
  await expect(dialog.getByText('Share of the price: from 0 to 0.95.').first()).toBeVisible();
  await dialog.getByLabel('Share of the price').fill('10');
  await dialog.getByLabel('A day there').fill('60');
  await dialog.getByLabel('Pieces sold on one').fill('40');
  await dialog.getByRole('button', { name: 'Add the channel' }).click();
  const row = page.getByRole('region', { name: 'By channel' }).getByRole('row', { name: /^Harvest fair/ });
  // At 29.00: 2.90 and a fortieth of 60.00.
  await expect(row.getByRole('button', { name: /^Taken by the channel: 4\.40/ })).toBeVisible();
  await row.getByRole('button', { name: /^Taken by the channel/ }).focus();
  await page.keyboard.press('=');
  await expect(page.getByRole('dialog', { name: 'Working: Taken by the channel' })).toContainText(
    'Its part of the day',
  );
  await page.keyboard.press('Escape');
  // More than the goal leaves is refused with the reason, the rest stays.
  await row.getByRole('button', { name: 'Harvest fair' }).click();
  await dialog.getByLabel('Share of the price').fill('80');
  await dialog.getByRole('button', { name: 'Save the channel' }).click();
  await expect(row.getByTitle(/It takes 80 % of the price, and a goal of 35 % leaves nothing/)).toBeVisible();
});

test('more made at once never ask for more', async ({ page }) => {
  await open(page, `${server.address}/items/2`);
  await scrollFarDown(page);
  const rungs = page.getByRole('region', { name: 'By quantity' });
  await expect(rungs.getByRole('row')).toHaveCount(9);
  const asks = (await rungs.getByRole('row').locator('td:nth-child(3)').allTextContents()).map(Number);
  expect(asks).toEqual([...asks].sort((a, b) => b - a));
  await page.getByLabel('Made in one go').fill('7');
  await expect(rungs.getByRole('row', { name: /^7 / })).toBeVisible();
});

test('two vinyls are compared: a verdict, line by line, with its odds and where it flips', async ({ page }) => {
  await open(page, `${server.address}/items/5`);
  await page.getByRole('link', { name: 'Compare vinyls' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    /^Use Tarn Smooth, cream: \d\.\d\d cheaper than Penny Flex, fern\.$/,
  );
  const lines = page.getByRole('region', { name: 'Line by line' });
  const chances = lines.getByRole('row', { name: /^Chance that it is the cheapest/ });
  await expect(chances).toContainText('%');
  const shares = (await chances.getByRole('cell').allTextContents()).map((text) => parseInt(text, 10));
  expect(shares[0]! + shares[1]!).toBe(100);
  await expect(lines.getByRole('row', { name: /^Fit for it/ })).toContainText(
    'by your own grade for own use, not to sell',
  );
  await expect(page.getByRole('region', { name: 'Where it flips' })).toContainText(
    'Penny Flex, fern is cheaper once more than',
  );
  await expect(
    page.getByRole('img', { name: /^What a good piece costs over your hour: Penny Flex, fern from/ }),
  ).toBeVisible();
  // A third one joins, and the odds are drawn anew.
  await page.getByLabel('In these vinyls, four at most').click();
  await page.getByRole('option', { name: 'Sparrow Glint, gold' }).click();
  await page.keyboard.press('Escape');
  await expect(lines.getByRole('columnheader')).toHaveCount(4);
  await expect(chances).not.toContainText('…');
});

test('a quick quote from anywhere: priced, promised, kept, and to be printed', async ({ page, request }) => {
  await open(page, `${server.address}/orders`);
  await page.keyboard.press('q');
  const sheet = page.getByRole('dialog');
  await expect(sheet.getByLabel('Item')).toBeFocused();
  await page.keyboard.type('Bakery');
  await expect(page.getByRole('option', { name: 'Bakery apron' })).toBeVisible();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await sheet.getByRole('textbox', { name: 'Pieces' }).fill('3');
  await expect(sheet.getByRole('heading', { name: /^87\.00 in total, ready on / })).toBeVisible();
  await sheet.getByRole('textbox', { name: 'Pieces' }).fill('2.5');
  await expect(sheet.getByRole('button', { name: 'Save the quote' })).toBeDisabled();
  await sheet.getByRole('textbox', { name: 'Pieces' }).fill('4');
  await sheet.getByLabel('Price each').fill('27,50');
  await sheet.getByLabel('For whom').fill('Oven & Ember bakery');
  await expect(sheet.getByRole('heading', { name: /^110\.00 in total/ })).toBeVisible();
  await sheet.getByRole('button', { name: 'Save the quote' }).click();
  const given = sheet.getByRole('region', { name: 'Quotes given' }).getByRole('listitem');
  await expect(given).toContainText('4 × Bakery apron for Oven & Ember bakery');
  const href = await given.getByRole('link', { name: 'PDF' }).getAttribute('href');
  const paper = await request.get(server.address + href!);
  expect((await readPdfPages(new Uint8Array(await paper.body()))).join(' ')).toMatch(
    /Oven & Ember bakery[\s\S]*27\.50[\s\S]*110\.00/,
  );
  // A blank that has to be bought first moves the day, and is named.
  await sheet.getByLabel('Colour').click();
  await page.getByRole('option', { name: 'brick' }).click();
  await expect(sheet.getByText(/To buy first: .*Bib apron, heavy cotton, one size, brick, 1 day/)).toBeVisible();
});

test('an item is built by keyboard only: fields, a second artwork, a thing besides, its working, and kept', async ({
  page,
}) => {
  await open(page, `${server.address}/items`);
  await page.keyboard.press('n');
  await expect(page).toHaveURL(/\/items\/new$/);
  await page.waitForSelector('html[data-running]');
  await page.getByLabel('Name', { exact: true }).focus();
  await page.keyboard.press('Control+A');
  await page.keyboard.type('Keyboard towel');
  await page.keyboard.press('Tab');
  // A list is opened, a letter finds its entry, Enter takes it.
  const choose = async (label: string, first: string) => {
    await page.getByRole('combobox', { name: label }).first().focus();
    await page.keyboard.press('Enter');
    await page.keyboard.type(first);
    await page.keyboard.press('Enter');
  };
  await choose('Blank', 'Tea');
  await choose('Artwork', 'Paw');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/Keyboard towel/);
  await page.getByRole('textbox', { name: 'Width' }).focus();
  await page.keyboard.press('Control+A');
  await page.keyboard.type('110');
  await page.getByRole('button', { name: 'Add another artwork' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'What it is made of' }).getByLabel('Where on it')).toHaveCount(2);
  await page.locator('summary', { hasText: 'Besides' }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Add something' }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('textbox', { name: 'What', exact: true }).focus();
  await page.keyboard.type('Ribbon');
  await page.getByRole('textbox', { name: 'For each piece' }).focus();
  await page.keyboard.press('Control+A');
  await page.keyboard.type('0,15');
  const lines = page.getByRole('region', { name: 'Cost, line by line' });
  await expect(lines.getByRole('row', { name: /^Ribbon typed .*0\.15/ })).toBeVisible();
  await lines.getByRole('button', { name: /^Ribbon/ }).focus();
  await page.keyboard.press('=');
  await expect(page.getByRole('dialog', { name: 'Working: Ribbon' })).toContainText('for each piece');
  await page.keyboard.press('Escape');
  await page.getByLabel('Price each').focus();
  await page.keyboard.press('Control+A');
  await page.keyboard.type('19.50');
  await page.getByRole('button', { name: 'Save this item' }).focus();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/items\/\d+$/);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/Keyboard towel/);
  await expect(page.getByLabel('Price each')).toHaveValue('19.50');
});

test('the price is dragged along the rule, and by arrow keys', async ({ page }) => {
  await open(page, `${server.address}/items/2`);
  const rule = page.getByRole('slider', { name: /price/i });
  const price = page.getByLabel('Price each');
  const before = Number(await price.inputValue());
  const knob = (await rule.boundingBox())!;
  await page.mouse.move(knob.x + knob.width / 2, knob.y + knob.height / 2);
  await page.mouse.down();
  await page.mouse.move(knob.x + knob.width / 2 + 60, knob.y + knob.height / 2, { steps: 6 });
  await page.mouse.up();
  const dragged = Number(await price.inputValue());
  expect(dragged).toBeGreaterThan(before);
  await rule.focus();
  await page.keyboard.press('ArrowLeft');
  expect(Number(await price.inputValue())).toBeLessThan(dragged);
  await expect(page.getByRole('heading', { level: 1 }).locator('..')).toContainText(
    `At ${await price.inputValue()} you keep`,
  );
});

test('variants stand side by side; what is weeded out can sell too', async ({ page }) => {
  await open(page, `${server.address}/items/7`);
  await scrollFarDown(page);
  const variants = page.getByRole('region', { name: 'Sizes, colours, options' });
  await expect(variants.getByRole('row', { name: /^XL .*55\.00/ })).toBeVisible();
  await expect(variants.getByRole('row', { name: /^with Surname .*56\.00/ })).toBeVisible();
  await page.getByRole('checkbox', { name: 'with Surname' }).check();
  await expect(page.getByRole('region', { name: 'Cost, line by line' })).toContainText(
    'Weed: Tarn Cool, white, shoulders',
  );
  await page.getByRole('button', { name: 'What is weeded out sells too' }).click();
  const joint = page.getByRole('region', { name: 'Two products of one cut' });
  await joint.getByLabel('It sells for').fill('4.50');
  await expect(joint.getByRole('row', { name: /^by sale value/ }).getByRole('button')).toHaveCount(4);
  await expect(joint.getByRole('row', { name: /^negative as by-product/ })).toContainText('0.00');
});

test('a dearer roll is told with the reason, and noted', async ({ page }) => {
  await open(page, `${server.address}/items/2`);
  const told = page
    .getByRole('status')
    .filter({ hasText: 'because: Roll price (Vinyl: Sparrow Glint, gold) 26.50, now 29.15.' });
  await expect(told).toBeVisible();
  await told.getByRole('button', { name: 'Accept the new cost' }).click();
  await expect(told).toBeHidden();
  await page.reload();
  await page.waitForSelector('html[data-running]');
  await expect(page.getByText('because: Roll price')).toHaveCount(0);
});

test('a quote straight from a drawing', async ({ page }) => {
  await open(page, `${server.address}/`);
  await page.keyboard.press('q');
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('Drawing to quote').setInputFiles({
    name: 'leaf.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 80 40"><path d="M0 20Q40-20 80 20Q40 60 0 20Z" fill="#3e7650"/></svg>',
    ),
  });
  await expect(sheet.getByText(/^leaf, .* × /)).toBeVisible();
  await sheet.getByLabel('Width, mm').fill('90');
  await sheet.getByLabel('Pieces').fill('12');
  await expect(sheet.getByRole('heading', { name: /in total, ready on/ })).toBeVisible();
  const before = await sheet.getByRole('heading', { name: /in total/ }).textContent();
  // A vinyl that is missing is made in place, and is chosen.
  await sheet.getByLabel(/^Vinyl for/).click();
  await page.getByRole('option', { name: 'Another vinyl…' }).click();
  const drawer = page.getByLabel('Made in place');
  await drawer.getByLabel('Name').fill('Reed, moss');
  await drawer.getByLabel('Colour').fill('moss');
  await drawer.getByLabel('Roll price').fill('500');
  await drawer.getByRole('button', { name: 'Add the vinyl' }).click();
  await expect(sheet.getByLabel(/^Vinyl for/)).toContainText('Reed, moss');
  await expect(sheet.getByRole('heading', { name: /in total/ })).not.toHaveText(before!);
  await sheet.getByRole('button', { name: 'Save the quote' }).click();
  await expect(sheet.getByText('12 × leaf')).toBeVisible();
});

test('offers of one vinyl are compared: they fail alike, and it is told from how many pieces the roll beats the sheets', async ({
  page,
}) => {
  await open(page, `${server.address}/items/compare/3`);
  await page.getByRole('combobox', { name: 'Side by side' }).press('Enter');
  await page.getByRole('option', { name: 'offers of its vinyl' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    /^Use Tarn Smooth slate 25 m, Millrace Trade Rolls: 0\.\d\d cheaper than /,
  );
  await expect(page.getByRole('region', { name: 'Where it flips' })).not.toContainText('go wrong');
  const worth = page.getByRole('region', { name: 'Worth buying' });
  await expect(
    worth.getByText(/^From \d+ pieces on Rollenrest slate beats Tarn Smooth, slate, sheets\.$/),
  ).toBeVisible();
  await worth.getByLabel('A tool costs more by').fill('90');
  await expect(worth.getByText(/^The tool has paid for itself after \d+ pieces\.$/)).toBeVisible();
  await page.getByRole('combobox', { name: 'Side by side' }).press('Enter');
  await page.getByRole('option', { name: 'blanks', exact: true }).click();
  await expect(
    page
      .getByRole('region', { name: 'Line by line' })
      .getByRole('columnheader', { name: /^Tea towel, cotton, one size/ }),
  ).toBeVisible();
});
