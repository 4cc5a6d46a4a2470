// Cut sheets: parts of several orders laid out, changed by hand, given out, cut and booked.

import { expect, test } from '@playwright/test';
import { layOutCoats, orderCoats } from './coats';
import { open, ShopServer } from './server';

const server = new ShopServer(4397, true);
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());

test('three orders of one vinyl are laid out, one part is nudged, the load is cut: strip, offcut and costs follow', async ({
  page,
}) => {
  const take = (title: string, quantity: number) => orderCoats(server.address, title, quantity);
  const ids = [await take('Coats one', 2), await take('Coats two', 1), await take('Coats three', 2)];
  await layOutCoats(page, server.address, /^5 parts on \d+(\.\d)? mm of Tarn Smooth, slate, \d+ % of it used$/);
  const load = page.getByRole('region', { name: 'Load' });
  // A part moved onto its neighbour is told at once; moved back, it is gone.
  const parts = load.getByRole('figure').locator('g.part');
  await parts.first().click();
  await expect(load.getByText(/^Coats .*: drag it/)).toBeVisible();
  for (let step = 0; step < 14; step++) await page.keyboard.press('ArrowLeft');
  await expect(load.getByRole('alert')).toContainText('This can’t be cut so');
  await expect(load.getByRole('button', { name: 'It is cut: book it' })).toBeDisabled();
  for (let step = 0; step < 14; step++) await page.keyboard.press('ArrowRight');
  await expect(load.getByRole('alert')).toHaveCount(0);
  await page.keyboard.press('l');
  await load.getByRole('button', { name: 'Improve around the locked' }).click();
  await load.getByRole('button', { name: 'Stop here' }).click();
  // What was locked lies where it lay, and nothing has come too near to it.
  await expect(load.getByRole('button', { name: 'Improve around the locked' })).toBeVisible();
  await expect(load.getByRole('alert')).toHaveCount(0);
  const [file] = await Promise.all([page.waitForEvent('download'), load.getByRole('button', { name: 'SVG' }).click()]);
  expect(file.suggestedFilename()).toBe('Tarn Smooth, slate sheet 1.svg');
  const cut = Number(/on (\d+(?:\.\d)?) mm/.exec((await load.getByRole('heading').textContent()) ?? '')![1]);
  const left = async () =>
    (
      (await (await fetch(`${server.address}/api/cut-sheets`)).json()) as {
        groups: { vinyl: { name: string }; stock: { form: string; left: number }[] }[];
      }
    ).groups
      .find((group) => group.vinyl.name === 'Tarn Smooth, slate')!
      .stock.filter((lot) => lot.form === 'roll')
      .reduce((sum, lot) => sum + lot.left, 0);
  const before = await left();
  await load.getByRole('button', { name: 'It is cut: book it' }).click();
  await expect(page.getByText('Booked: 5 parts are cut.')).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Vinyls' }).getByRole('button', { name: /parts on/ })).toHaveCount(
    0,
  );
  expect(before - (await left())).toBeCloseTo(cut, 0);
  await expect(page.getByRole('region', { name: 'What is laid out' })).not.toContainText('Coats');
  await page.goto(`${server.address}/orders/${ids[0]}`);
  await expect(page.getByRole('main')).toContainText('piece 1, 2 cut');
});

test('how many fit on a piece that was measured by hand', async ({ page }) => {
  await open(page, `${server.address}/cut-sheets`);
  await page
    .getByRole('navigation', { name: 'Vinyls' })
    .getByRole('button', { name: /^Quay Hold, black/ })
    .click();
  const what = page.getByRole('region', { name: 'What is laid out' });
  await what.getByRole('combobox', { name: 'Cut from' }).click();
  await page.getByRole('option', { name: 'a piece of this size' }).click();
  await what.getByLabel('As read: width, mm').fill('305');
  await what.getByLabel('length, mm', { exact: true }).fill('200');
  const load = page.getByRole('region', { name: 'Load' });
  await load.getByRole('button', { name: 'How many fit?' }).click();
  await expect(load.getByRole('heading')).toHaveText(/^\d+ of it fit on this$/);
  await load.getByRole('button', { name: 'Stop here' }).click();
  expect(parseInt((await load.getByRole('heading').textContent()) ?? '', 10)).toBeGreaterThan(5);
});

test('a sheet is kept as it is laid out: a closed window loses nothing, a second is told, the rest is filled, an offcut is left', async ({
  page,
  context,
}) => {
  await orderCoats(server.address, 'Coats four', 2);
  await open(page, `${server.address}/cut-sheets`);
  const vinyls = page.getByRole('navigation', { name: 'Vinyls' }),
    load = page.getByRole('region', { name: 'Load' }),
    what = page.getByRole('region', { name: 'What is laid out' });
  await vinyls.getByRole('button', { name: /^Tarn Smooth, slate/ }).click();
  for (const box of await what.getByRole('checkbox', { name: / × / }).all())
    if (!(await box.locator('xpath=ancestor::label').textContent())?.includes('Coats four')) await box.uncheck();
  await what.getByRole('combobox', { name: 'Cut from' }).click();
  await page
    .getByRole('option', { name: /^Offcut/ })
    .first()
    .click();
  await what.getByLabel('Order and piece beside each').check();
  await load.getByRole('button', { name: 'Lay out' }).click();
  await expect(vinyls.getByRole('button', { name: /^2 parts on/ })).toBeVisible();
  // The window is closed in the middle of it.
  const second = await context.newPage();
  await page.close();
  await open(second, `${server.address}/cut-sheets`);
  const vinyls2 = second.getByRole('navigation', { name: 'Vinyls' }),
    load2 = second.getByRole('region', { name: 'Load' }),
    what2 = second.getByRole('region', { name: 'What is laid out' });
  await vinyls2.getByRole('button', { name: /^Tarn Smooth, slate/ }).click();
  await expect(what2).not.toContainText('Coats four');
  // Another sheet wants the same offcut.
  for (const box of await what2.getByRole('checkbox', { name: /wheel/ }).all()) await box.check();
  for (const box of await what2.getByRole('checkbox', { name: /comb/ }).all()) await box.uncheck();
  await what2.getByRole('combobox', { name: 'Cut from' }).click();
  await second
    .getByRole('option', { name: /^Offcut/ })
    .first()
    .click();
  await load2.getByRole('button', { name: 'Lay out' }).click();
  await expect(load2.getByRole('alert')).toContainText(/Offcut .* is taken by the cut sheet of 2 parts/);
  await load2.getByRole('button', { name: 'Stop here' }).click();
  // The first one comes back as it was kept; what is left of it is filled.
  await vinyls2.getByRole('button', { name: /^2 parts on/ }).click();
  await expect(load2.getByRole('heading')).toHaveText(/^2 parts on/);
  await expect(what2.getByLabel('Order and piece beside each')).toBeChecked();
  await load2.getByRole('button', { name: 'Fill what is left' }).click();
  await second.getByRole('menuitem', { name: /with more of wheel of Lab coat/ }).click();
  await expect(second.getByText(/more of wheel of Lab coat, club mark on it, for the shelf/)).toBeVisible();
  await expect(load2.getByRole('heading')).not.toHaveText(/^2 parts on/);
  await load2.getByRole('button', { name: 'Undo' }).click();
  await expect(load2.getByRole('heading')).toHaveText(/^2 parts on/);
  const [card] = await Promise.all([
    second.waitForEvent('download'),
    load2.getByRole('button', { name: 'Loading card' }).click(),
  ]);
  expect(card.suggestedFilename()).toBe('Tarn Smooth, slate loading card.pdf');
  await load2.getByText(/^Load it carrier down, mirrored, on a mat/).click();
  await expect(load2).toContainText('Test cut first.');
  await load2.getByRole('radio', { name: /the largest rectangle|rectangles/ }).check();
  await load2.getByRole('button', { name: 'It is cut: book it' }).click();
  await expect(second.getByText(/^Booked: 2 parts are cut; write [A-Z0-9]+.* on what is left\.$/)).toBeVisible();
  const code = /write ([A-Z0-9]+)/.exec((await second.getByText(/^Booked: 2 parts/).textContent())!)![1]!;
  await open(second, `${server.address}/shelf/stock`);
  await expect(second.getByRole('main')).toContainText(code);
});

test('a sheet whose first save is under way when the page goes is there all the same', async ({ page }) => {
  let asked = 0;
  // The first is never answered: the page goes before.
  await page.route('**/api/cut-sheets/saved', (route) => (++asked === 1 ? undefined : route.continue()));
  await orderCoats(server.address, 'Coats on the way', 3);
  await layOutCoats(page, server.address, /^3 parts on \d/, 'Coats on the way');
  await expect.poll(() => asked).toBe(1);
  await open(page, `${server.address}/bench/cut`);
  await expect(page.getByRole('button', { name: /laid out: 3 parts/ })).toBeVisible();
});

test('a piece is moved to another sheet, and the day’s loads are proposed, laid out and kept', async ({ page }) => {
  await open(page, `${server.address}/cut-sheets`);
  const load = page.getByRole('region', { name: 'Load' });
  await page
    .getByRole('navigation', { name: 'Vinyls' })
    .getByRole('button', { name: /^Tarn Smooth, marigold/ })
    .click();
  await load.getByRole('button', { name: 'Lay out' }).click();
  await expect(load.getByRole('figure')).toHaveCount(2);
  await load.getByRole('button', { name: 'Stop here' }).click();
  // Parts are taken up once the layout is at rest.
  await expect(load.getByRole('button', { name: 'Improve further' })).toBeVisible();
  const [first] = await load.getByRole('figure').all();
  const before = await first!.locator('g.part').count();
  await first!.locator('g.part').first().click();
  await load.getByRole('button', { name: 'To sheet 2' }).click();
  await expect.poll(async () => await load.getByRole('figure').first().locator('g.part').count()).toBe(before - 1);
  // Taken off, it waits again, and what is left can still be cut; taken back, it is there again.
  const all = await load.locator('g.part').count(),
    book = load.getByRole('button', { name: 'It is cut: book it' });
  await load.getByRole('button', { name: 'Remove it' }).click();
  await expect(load.locator('g.part')).toHaveCount(all - 1);
  await expect(book).toBeEnabled();
  await load.getByRole('button', { name: 'Undo' }).click();
  await expect(load.locator('g.part')).toHaveCount(all);
  await expect(book).toBeVisible();
  await page.getByRole('button', { name: 'Discard it' }).click();
  await expect(load.getByRole('heading')).toHaveText(/parts to lay out/);
  await page.getByRole('button', { name: 'Propose the day’s loads' }).click();
  const day = page.getByRole('region', { name: 'The day’s loads' });
  for (const box of await day.getByRole('checkbox').all()) if (await box.isEnabled()) await box.uncheck();
  await day.getByRole('checkbox', { name: /^Quay Hold, black/ }).check();
  await day.getByRole('button', { name: 'Lay them out' }).click();
  await expect(day).toContainText(/24 parts on .* of Quay Hold, black.*; saved\./, { timeout: 90_000 });
  await expect(
    page.getByRole('navigation', { name: 'Vinyls' }).getByRole('button', { name: /^24 parts on/ }),
  ).toBeVisible();
});

test('chosen lots only, and nothing in the bays of others', async ({ page }) => {
  await open(page, `${server.address}/cut-sheets`);
  const load = page.getByRole('region', { name: 'Load' }),
    what = page.getByRole('region', { name: 'What is laid out' });
  await page
    .getByRole('navigation', { name: 'Vinyls' })
    .getByRole('button', { name: /^Tarn Smooth, slate/ })
    .click();
  await what.getByRole('combobox', { name: 'Cut from' }).click();
  await page.getByRole('option', { name: 'some of these, chosen below' }).click();
  for (const box of await what.getByRole('checkbox', { name: /^Offcut/ }).all()) await box.uncheck();
  await what.getByRole('combobox', { name: 'Pieces lie' }).click();
  await page.getByRole('option', { name: 'apart from one another' }).click();
  await load.getByRole('button', { name: 'Lay out' }).click();
  await expect(load.getByRole('figure')).toHaveCount(1);
  await load.getByRole('button', { name: 'Stop here' }).click();
  await expect(load).toContainText(/^.*Roll \d+, 500 mm wide/s);
  await what.getByRole('combobox', { name: 'Pieces lie' }).click();
  await page.getByRole('option', { name: 'into bays and holes' }).click();
  await expect(load.getByText(/have changed since: lay out again/)).toBeVisible();
});
