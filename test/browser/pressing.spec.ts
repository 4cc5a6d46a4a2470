// At the press: four pieces that cool while others are pressed, a hoodie with things in the way, a cup with five layers.

import { expect, test, type Page } from '@playwright/test';
import { open, ShopServer } from './server';

const server = new ShopServer(4383, true);
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());

type Json = Record<string, unknown>;
async function ask<Answer>(path: string, method = 'GET', body?: unknown): Promise<Answer> {
  const answer = await fetch(`${server.address}${path}`, {
    method,
    headers: { 'Content-Type': 'application/json', Origin: server.address },
    ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
  });
  if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${await answer.text()}`);
  return (await answer.json()) as Answer;
}

type Item = Json & { readonly version: number; readonly placements: readonly Json[]; readonly details: Json };
const readItem = (id: number) => ask<Item>(`/api/items/${id}`);

/** The item anew with what is changed of it. */
async function addItem(like: number, change: (item: Item) => Json): Promise<number> {
  const item = await readItem(like);
  return (await ask<{ id: number }>('/api/items', 'POST', { ...item, ...change(item) })).id;
}

/** Ordered, cut and weeded: it waits at the press. */
async function orderToPress(title: string, line: Json): Promise<number> {
  const { id } = await ask<{ id: number }>('/api/orders', 'POST', {
    title,
    customerName: 'Ansel Thrush',
    contact: '',
    dueDay: '2031-03-03',
    agreed: 5000,
    note: '',
    lines: [line],
  });
  for (const station of ['cut', 'weed']) {
    const { parts } = await ask<{ parts: { partId: number; orderId: number; layerIndex: number }[] }>(
      `/api/bench?station=${station}`,
    );
    const own = parts.filter(({ orderId }) => orderId === id);
    const { bench } = await ask<{ bench: { running: { id: number; station: string }[] } }>(
      `/api/work-sessions?station=${station}`,
      'POST',
      { station, partIds: own.map(({ partId }) => partId) },
    );
    const running = bench.running.find((work) => work.station === station)!;
    await ask(`/api/work-sessions/${running.id}?station=${station}`, 'POST', { outcome: 'done' });
  }
  return id;
}

async function start(page: Page, title: string): Promise<void> {
  await open(page, `${server.address}/bench/press`);
  await page
    .getByRole('list', { name: 'Batches' })
    .getByRole('button', { name: new RegExp(title) })
    .first()
    .click();
  await page.getByRole('button', { name: /^Start/ }).click();
  await expect(page.getByText(/^1 of \d+/)).toBeVisible();
}

test('four pieces peeled cold: the next is laid on while one cools, and the log tells how they were pressed', async ({
  page,
}) => {
  const coldItem = await addItem(5, ({ details }) => ({
    name: 'Paw, peeled cold',
    details: { ...details, recipe: { ...(details['recipe'] as Json), peel: 'cold' } },
  }));
  const line = { itemId: coldItem, quantity: 4, sizeName: 'M', colourName: 'denim' };
  const orderId = await orderToPress('Cold bandanas', line);
  await open(page, `${server.address}/bench/press`);
  await page
    .getByRole('list', { name: 'Batches' })
    .getByRole('button', { name: /Cold bandanas/ })
    .click();
  await expect(page.getByText(/Laid on while one cools: .* Keep room for \d pieces? to cool\./)).toBeVisible();
  await start(page, 'Cold bandanas');
  const seen: number[] = [];
  let mostCooling = 0;
  for (;;) {
    const card = await page.getByText(/^\d+ of \d+/).textContent();
    const [, at, count, piece] = /^(\d+) of (\d+).*piece (\d+)/.exec(card!)!;
    seen.push(Number(piece));
    mostCooling = Math.max(mostCooling, await page.getByTitle(/^Cools: piece/).count());
    const begin = page.getByRole('button', { name: /^Count 0:1/ });
    if (await begin.isVisible()) {
      await begin.click();
      await expect(page.getByRole('timer', { name: 'Time left' })).toBeVisible();
    }
    if (at === count) break;
    await page.getByRole('button', { name: /^Next/ }).click();
    await expect(page.getByText(new RegExp(`^${Number(at) + 1} of `))).toBeVisible();
  }
  // Another piece is begun before the first one is done.
  expect(seen.indexOf(2)).toBeLessThan(seen.lastIndexOf(1));
  expect(mostCooling).toBeGreaterThanOrEqual(1);
  expect(new Set(seen)).toEqual(new Set([1, 2, 3, 4]));
  await page.getByRole('button', { name: /^Finish/ }).click();
  await expect(page.getByText('Press: 4 parts done.')).toBeVisible();
  await open(page, `${server.address}/orders/${orderId}`);
  await expect(page.getByRole('region', { name: 'What happened' })).toContainText(
    /piece 1, 2, 3, 4 pressed with Penny Flex, fern at 158 °C \(read 2\d °C.*\), 15 s, peel cold/,
  );
  await expect(page.getByText(/It rests until .*: say not to wash it before\./)).toBeVisible();
});

test('a hoodie: what is in the way is told, and where the drawing lies clear of it', async ({ page }) => {
  const { id: blankId } = await ask<{ id: number }>('/api/shelf/blanks', 'POST', {
    name: 'Hooded top',
    supplier: '',
    fabric: 'cotton-poly',
    heating: 'flat',
    sizes: [{ name: 'M', price: 1900 }],
    colours: [{ name: 'grey', hex: '#777777' }],
    areas: [
      {
        name: 'front',
        sizeName: '',
        datum: 'neckline',
        dropMm: 75,
        widthMm: 300,
        heightMm: 300,
        curve: null,
        obstacles: [
          { kind: 'drawstring', xMm: 130, yMm: 0, widthMm: 40, heightMm: 60 },
          { kind: 'pocket', xMm: 30, yMm: 210, widthMm: 240, heightMm: 90 },
        ],
      },
    ],
  });
  const itemId = await addItem(5, ({ placements }) => ({
    name: 'Paw hoodie',
    blankId,
    sizeName: 'M',
    colourName: 'grey',
    placements: [{ ...placements[0], place: 'front, centred', widthMm: 130, widths: {} }],
  }));
  await open(page, `${server.address}/items/${itemId}/placing`);
  await expect(page.getByText(/it lies on the drawstring/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Move it 60 mm down' }).click();
  await expect(page.getByText(/it lies on the/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Saved with the item.')).toBeVisible();
  await orderToPress('One hoodie', { itemId, quantity: 1, sizeName: 'M', colourName: 'grey' });
  await start(page, 'One hoodie');
  await expect(page.getByText('board in the pocket').first()).toBeVisible();
  await expect(page.getByText('drawstrings pulled out of the way, their knots off the platen').first()).toBeVisible();
  await expect(page.getByRole('img', { name: /^Front: 135 mm down from the neckline/ })).toBeVisible();
  await page.getByRole('button', { name: /^Done with all/ }).click();
  await expect(page.getByText('Press: 1 part done.')).toBeVisible();
});

const COLOURS = ['#111111', '#aa2222', '#22aa22', '#2222aa', '#ccaa22'];
const RINGS = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100">${COLOURS.map(
  (colour, at) => `<circle cx="50" cy="50" r="${48 - at * 9}" fill="${colour}"/>`,
).join('')}</svg>`;

test('a cup with five layers, one after another and all on one carrier', async ({ page }) => {
  const { id: artworkId } = await ask<{ id: number }>(
    '/api/artwork?name=Five%20rings&fileName=rings.svg&widthMm=50',
    'POST',
    RINGS,
  );
  const { vinyls, blanks } = await ask<{
    vinyls: { id: number; kind: string }[];
    blanks: { id: number; name: string; sizes: { name: string }[]; colours: { name: string }[] }[];
  }>('/api/shelf');
  const smooth = vinyls.filter(({ kind }) => kind === 'smooth').map(({ id }) => id);
  const cup = blanks.find(({ name }) => name === 'Enamel camp cup')!;
  const made = (layers: string) =>
    addItem(5, ({ placements, details }) => ({
      name: `Ringed cup, ${layers}`,
      blankId: cup.id,
      sizeName: cup.sizes[0]!.name,
      colourName: cup.colours[0]!.name,
      placements: [
        {
          ...placements[0],
          artworkId,
          place: 'wall',
          widthMm: 50,
          widths: {},
          vinylIds: COLOURS.map((_, at) => smooth[at % smooth.length]),
        },
      ],
      details: { ...details, recipe: { ...(details['recipe'] as Json), layers } },
    }));
  const line = { quantity: 1, sizeName: cup.sizes[0]!.name, colourName: cup.colours[0]!.name };
  await orderToPress('Cup, layer by layer', { ...line, itemId: await made('tack, then full') });
  await orderToPress('Cup, one carrier', { ...line, itemId: await made('on one carrier') });

  await start(page, 'Cup, layer by layer');
  await expect(page.getByText(/Keep the decoration clear of lip and food/)).toBeVisible();
  expect(await tellSteps(page)).toEqual({ place: 5, tack: 4, press: 1, stack: 0 });
  await page.getByRole('button', { name: /^Finish/ }).click();
  await expect(page.getByText('Press: 5 parts done.')).toBeVisible();

  await start(page, 'Cup, one carrier');
  await expect(page.getByText('5 layers on one carrier do not lie flat: three at the most.')).toBeVisible();
  expect(await tellSteps(page)).toEqual({ place: 1, tack: 0, press: 1, stack: 5 });
  await page.getByRole('button', { name: /^Finish/ }).click();
  await expect(page.getByText('Press: 5 parts done.')).toBeVisible();
});

test('a look at the bench that was taken before a step, and arrives after it, brings nothing back', async ({
  page,
}) => {
  await orderToPress('Crest, looked at late', {
    itemId: 1,
    quantity: 1,
    ...(({ sizeName, colourName }) => ({ sizeName, colourName }))(await readItem(1)),
  });
  await start(page, 'Crest, looked at late');
  let letArrive = () => {};
  const arrives = new Promise<void>((resolve) => {
    letArrive = resolve;
  });
  let looks = 0;
  await page.route('**/api/bench?*', async (route) => {
    looks += 1;
    const before = await route.fetch();
    if (looks === 1) await arrives;
    // The page may have let go of it.
    await route.fulfill({ response: before }).catch(() => undefined);
  });
  // Another window's change makes the page look.
  await addItem(5, () => ({ name: 'Made elsewhere' }));
  await expect.poll(() => looks, { timeout: 10_000 }).toBe(1);
  await page.getByRole('button', { name: /^Next/ }).click();
  await expect(page.getByText(/^2 of/)).toBeVisible();
  letArrive();
  await page.waitForTimeout(300);
  // As it is now: the page looks again soon, and would be right by then.
  expect(await page.getByText(/^\d+ of/).textContent()).toMatch(/^2 of/);
});

/** Goes through all steps, up to the last one, and counts what was said. */
async function tellSteps(page: Page): Promise<Json> {
  const said: string[] = [];
  for (;;) {
    const [, at, count] = /^(\d+) of (\d+)/.exec((await page.getByText(/^\d+ of \d+/).textContent())!)!;
    said.push((await page.locator('.step-what').textContent())!);
    if (at === count) break;
    await page.getByRole('button', { name: /^Next/ }).click();
    await expect(page.getByText(new RegExp(`^${Number(at) + 1} of `))).toBeVisible();
  }
  const count = (start: string) => said.filter((words) => words.startsWith(start)).length;
  return { place: count('Place'), tack: count('Tack'), press: count('Press'), stack: count('Lay on the carrier') };
}
