// A load goes through the simulated cutter, whatever befalls it, and its pieces through all stations after it.

import { expect, test, type Page } from '@playwright/test';
import { layOutCoats, orderCoats } from './coats';
import { open, running, ShopServer } from './server';

const server = new ShopServer(4385, true);
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());

/** So many that the knife is still at it when the slowest machine has killed the server, started it, and shows the page. */
const COATS = 10;

const say = (seen: string): RegExp => {
  if (seen.startsWith('The square')) return /^not through/;
  if (seen.startsWith('It lifts, and tears')) return /^hangs/;
  if (seen.startsWith('It lifts by itself')) return /^clean/;
  return seen.startsWith('It lifts, and the') ? /^marks/ : /^cuts through/;
};

/** As the simulated film looks, until one is clean. */
async function testCut(page: Page): Promise<void> {
  for (let cut = 0; cut < 6; cut++) {
    await page.getByRole('button', { name: /^Cut (the figure|another)/ }).click();
    const film = page.getByText(/^The simulated film: /);
    await expect(film).toBeVisible();
    const seen = (await film.textContent())!.replace('The simulated film: ', '');
    await page.getByRole('button', { name: say(seen) }).click();
    await expect(film).toHaveCount(0);
    if (await page.getByText('Clean: this setting is kept with the vinyl.').isVisible()) return;
  }
  throw new Error('Expected: clean within six cuts');
}

const done = async (page: Page): Promise<number> =>
  Number(/^line (\d+) of/.exec((await page.getByText(/^line \d+ of \d+/).textContent())!)![1]);

test('a load is loaded, tested, cut and booked, through a reload, a pulled plug and a server that is killed', async ({
  page,
}) => {
  await orderCoats(server.address, 'Coats for the cutter', COATS);
  await layOutCoats(page, server.address, new RegExp(`^${COATS} parts on \\d`));
  await open(page, `${server.address}/bench/cut`);
  await page.getByRole('button', { name: `laid out: ${COATS} parts` }).click();
  await page.getByRole('button', { name: /^Start/ }).click();
  await expect(page.getByText('Carrier down, dull side up')).toBeVisible();
  await expect(page.getByRole('img', { name: /the letter is seen backwards/ })).toBeVisible();
  await expect(page.getByRole('img', { name: new RegExp(`^How it lies: ${COATS} pieces`) })).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByText('Read the width at the machine')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Next' })).toBeDisabled();
  await page.getByRole('button', { name: /^Read the width/ }).click();
  await expect(page.getByText(/as it should be|and enough/)).toBeVisible();
  await page.getByRole('button', { name: /^Next/ }).click();
  await expect(page.getByText(/this lot was never cut/)).toBeVisible();
  await page.getByRole('button', { name: '60 times as fast' }).click();
  await testCut(page);
  await page.getByLabel('Keep it as').fill('Slate, coats');
  await page.getByRole('button', { name: 'Keep this setting' }).click();
  await expect(page.getByText('Kept as “Slate, coats”: loads of this vinyl begin with it.')).toBeVisible();
  await page.getByRole('button', { name: /^Next/ }).click();
  await page.getByRole('button', { name: '60 times as fast' }).click();
  await expect(page.getByRole('button', { name: '60 times as fast' })).toHaveAttribute('aria-pressed', 'false');
  await page.getByRole('button', { name: /^Send to the cutter/ }).click();
  await expect(page.getByRole('button', { name: /^Pause/ })).toBeVisible();
  await page.reload();
  await running(page);
  await expect(page.getByRole('button', { name: /^Pause/ })).toBeVisible();
  await expect.poll(() => done(page)).toBeGreaterThan(1);
  await page.getByRole('button', { name: 'pull the plug' }).click();
  await expect(page.getByRole('alert')).toContainText('gone in the middle of the cut');
  await page.getByRole('button', { name: 'plug it in' }).click();
  await page.getByRole('button', { name: /^Go on from line/ }).click();
  await expect(page.getByRole('button', { name: /^Pause/ })).toBeVisible();
  const before = await done(page);
  await server.kill();
  await server.start();
  await page.reload();
  await running(page);
  await expect.poll(() => done(page)).toBeGreaterThanOrEqual(before);
  await page.getByRole('button', { name: '60 times as fast' }).click();
  await expect(page.getByText(/^Cut\. Lift a corner/)).toBeVisible();
  await page.getByRole('button', { name: /^Next/ }).click();
  await expect(page.getByText(/stay on the roll/)).toBeVisible();
  await page.getByRole('button', { name: /^Book the load/ }).click();
  await expect(page.getByText(`Booked: ${COATS} parts are cut`)).toBeVisible();
  await expect(page.getByRole('button', { name: `laid out: ${COATS} parts` })).toHaveCount(0);
});

/** Cut in one go at the bench, without a load. */
async function cutByHand(
  wanted: (part: { orderTitle: string; layerName: string }) => boolean,
  most: number,
): Promise<void> {
  const answer = await fetch(`${server.address}/api/bench?station=cut`);
  const { parts } = (await answer.json()) as {
    parts: { partId: number; orderTitle: string; layerName: string; state: string }[];
  };
  const partIds = parts
    .filter((part) => part.state === 'to-cut' && wanted(part))
    .map(({ partId }) => partId)
    .slice(0, most);
  const post = async (path: string, body: object) =>
    (
      await fetch(`${server.address}${path}?station=cut`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json', Origin: server.address },
        body: JSON.stringify(body),
      })
    ).json() as Promise<{ bench: { running: { id: number; station: string }[] } }>;
  const { bench } = await post('/api/work-sessions', { station: 'cut', partIds });
  const { id } = bench.running.find(({ station }) => station === 'cut')!;
  await post(`/api/work-sessions/${id}`, { outcome: 'done' });
}

test('what was cut is weeded, pressed and checked, and its order is ready', async ({ page }) => {
  // Its other colour.
  await cutByHand(({ orderTitle }) => orderTitle === 'Coats for the cutter', COATS);
  for (const station of ['weed', 'weed', 'press', 'check'] as const) {
    await open(page, `${server.address}/bench/${station}`);
    await page
      .getByRole('list', { name: 'Batches' })
      .getByRole('button', { name: /Coats for the cutter/ })
      .first()
      .click();
    await page.getByRole('button', { name: /^Start/ }).click();
    await expect(page.getByRole('timer', { name: 'Time on this batch' })).toBeVisible();
    await page.getByRole('button', { name: /^Done with all/ }).click();
    await expect(page.getByText(/: [12]0 parts done\./)).toBeVisible();
  }
  await open(page, `${server.address}/orders`);
  await expect(page.getByRole('row', { name: /Coats for the cutter/ })).toContainText('to be collected');
});

test('what is weeded is counted down, also through a reload', async ({ page }) => {
  await cutByHand(({ layerName }) => layerName === 'comb', 1);
  await open(page, `${server.address}/bench/weed`);
  await page.getByRole('button', { name: /comb/ }).click();
  await page.getByRole('button', { name: /^Start/ }).click();
  const left = page.getByRole('status', { name: 'Cavities still in it' });
  await expect(left).toHaveText('91 of 91 still in');
  await page.keyboard.press('Space');
  await expect(left).toHaveText('80 of 91 still in');
  await page.getByRole('button', { name: '8: 11' }).click();
  await expect(left).toHaveText('69 of 91 still in');
  await page.reload();
  await running(page);
  await expect(left).toHaveText('69 of 91 still in');
  await page.getByRole('button', { name: '1: out' }).click();
  await expect(left).toHaveText('80 of 91 still in');
});
