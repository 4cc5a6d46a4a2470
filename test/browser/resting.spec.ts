// Pages that rest until a hand comes near: what is done to them before they answer is done, once, and nothing is lost.

import { expect, test, type Page } from '@playwright/test';
import { ShopServer } from './server';

const server = new ShopServer(4379, true);
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());

const CONTENT = '**/_astro/*Content*.js';

/** Stands there as the server drew it; nothing has come near it yet. */
async function atRest(page: Page, path: string): Promise<void> {
  await page.goto(server.address + path);
  await expect(page.locator('html[data-running][data-at-rest]')).toBeAttached();
}
const answering = (page: Page) => expect(page.locator('html[data-running]:not([data-at-rest])')).toBeAttached();

/** What makes the page answer is held back until `release`. */
async function holdBack(page: Page): Promise<() => void> {
  let release = () => {};
  const held = new Promise<void>((resolve) => {
    release = resolve;
  });
  await page.route(CONTENT, async (route) => {
    await held;
    await route.continue();
  });
  return () => release();
}

test('a click before it answers is done once it does, and once', async ({ page }) => {
  const release = await holdBack(page);
  await atRest(page, '/orders/new');
  await page.getByRole('button', { name: 'Add a line' }).click();
  await page.getByRole('button', { name: 'Add a line' }).click();
  await expect(page.getByText('Line 2')).toHaveCount(0);
  release();
  await expect(page.getByText('Line 3')).toBeVisible();
  await expect(page.getByText('Line 4')).toHaveCount(0);
});

test('a list that is opened before it answers opens, by hand and by key', async ({ page }) => {
  for (const open of [
    () => page.getByRole('combobox', { name: 'Blank' }).click(),
    () => page.getByRole('combobox', { name: 'Blank' }).press('ArrowDown'),
  ]) {
    const release = await holdBack(page);
    await atRest(page, '/items/1');
    await open();
    release();
    await expect(page.getByRole('option', { name: /Crew rain jacket/ })).toBeVisible();
    await page.unroute(CONTENT);
  }
});

test('what is typed at rest is in the form, and a link leads on', async ({ page }) => {
  const release = await holdBack(page);
  await atRest(page, '/items/1');
  await page.getByLabel('Name', { exact: true }).fill('Crew jacket, typed early');
  release();
  await answering(page);
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'Crew jacket, typed early' })).toBeVisible();
  await atRest(page, '/items/1');
  await page.getByRole('link', { name: 'Compare vinyls' }).click();
  await expect(page).toHaveURL(/\/items\/compare\/1/);
});

test('a box that is ticked at rest is ticked at once, and is in the form', async ({ page }) => {
  const release = await holdBack(page);
  await atRest(page, '/artwork/letter');
  const list = page.getByLabel('A list of names: each line a drawing of its own');
  await list.check();
  await expect(page.locator('html[data-at-rest]')).toBeAttached();
  await expect(list).toBeChecked();
  release();
  await answering(page);
  await expect(list).toBeChecked();
  await page.getByLabel('Words').fill('Ole\nAda');
  await expect(page.getByRole('list', { name: 'Names' }).getByRole('listitem')).toHaveCount(2);
});

test('a key of the screen works though it does not answer yet; a key of the frame does at once', async ({ page }) => {
  const release = await holdBack(page);
  await atRest(page, '/items/2');
  await page.keyboard.press('x');
  release();
  await expect(page.getByRole('img', { name: /as cut/ })).toHaveCount(0);
  await expect(page.getByRole('img', { name: /as worn/ })).toHaveCount(1);
  await atRest(page, '/items/2');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys of this screen' })).toBeVisible();
});

test('a drawing that is chosen, pasted or dropped at rest is measured', async ({ page }) => {
  const svg =
    '<svg xmlns="http://www.w3.org/2000/svg" width="60mm" height="30mm" viewBox="0 0 60 30"><rect width="60" height="30"/></svg>';
  const carry = (kind: 'paste' | 'drop') =>
    page.evaluate(
      ([text, event]) => {
        const data = new DataTransfer();
        data.items.add(new File([text!], 'box.svg', { type: 'image/svg+xml' }));
        const init = { bubbles: true, cancelable: true };
        const at = event === 'paste' ? document.body : document.querySelector('main input[type=file]')!.parentElement!;
        at.dispatchEvent(
          event === 'paste'
            ? new ClipboardEvent('paste', { ...init, clipboardData: data })
            : new DragEvent('drop', { ...init, dataTransfer: data }),
        );
      },
      [svg, kind],
    );
  for (const bring of [
    () =>
      page
        .getByLabel('Drawing file')
        .setInputFiles({ name: 'box.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(svg) }),
    () => carry('paste'),
    () => carry('drop'),
  ]) {
    const release = await holdBack(page);
    await atRest(page, '/artwork/new');
    await bring();
    release();
    await expect(page.getByRole('region', { name: 'Layers' })).toContainText('0.18 m');
    // What was measured is a draft; the next one begins afresh.
    await page.evaluate(() => sessionStorage.clear());
    await page.unroute(CONTENT);
  }
});

test('what another window changes is shown by a page that nobody has touched', async ({ page, request }) => {
  await atRest(page, '/shelf/stock');
  await expect(page.getByText('7.18 m of a roll')).toBeVisible();
  const { rows } = (await (await request.get(`${server.address}/api/stock?words=&offset=0`)).json()) as {
    rows: { thing: { name: string }; lots: { id: number }[] }[];
  };
  const lot = rows.find(({ thing }) => thing.name === 'Tarn Smooth, cream')!.lots[0]!;
  const answer = await request.post(`${server.address}/api/stock/${lot.id}/count`, {
    data: { counted: 1180, note: '' },
  });
  expect(answer.status()).toBe(200);
  await expect(page.getByText('1.18 m of a roll')).toBeVisible();
});

test('where it does not arrive, what was typed stands, and it is asked for again', async ({ page }) => {
  await page.route(CONTENT, (route) => route.abort());
  await atRest(page, '/items/1');
  await page.getByLabel('Name', { exact: true }).fill('Typed while away');
  await expect(page.getByRole('alert')).toContainText('This part of the page could not be loaded');
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Typed while away');
  await page.unroute(CONTENT);
  await page.getByRole('button', { name: 'Try again' }).click();
  await answering(page);
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'Typed while away' })).toBeVisible();
});

test('in other units at once, though it rests', async ({ page }) => {
  await atRest(page, '/items/1');
  await page.getByRole('button', { name: /^Units:/ }).click();
  await answering(page);
  await expect(page.getByText(/in × .* in/).first()).toBeVisible();
});

test('a drawing stands there with what is said of it, and a file asked for at rest is written', async ({ page }) => {
  const release = await holdBack(page);
  await atRest(page, '/artwork/1');
  await expect(page.getByText('1 thing to look at before it is cut')).toBeVisible();
  await expect(page.getByText('oars: shapes cross each other')).toBeVisible();
  await page.getByRole('button', { name: 'Weeding map, PDF' }).click();
  const written = page.waitForEvent('download');
  release();
  expect((await written).suggestedFilename()).toBe('Crossed oars weeding map.pdf');
});

test('what a page works out by itself comes without a touch', async ({ page }) => {
  await atRest(page, '/shelf/buy');
  await expect(page.getByText('Working out the cheapest basket…')).toBeVisible();
  await expect(page.getByRole('heading', { name: /^Buy for/ })).toBeVisible();
  await atRest(page, '/items/compare/5');
  await expect(page.getByText('Where it flips')).toBeVisible();
});
