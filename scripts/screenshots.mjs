// npm run shots: one picture of each main view of the demo shop, into docs/screenshots. The demo has to run (npm run
// demo). npm run shots -- item bench: of these alone; the cutter’s needs that of the cut sheets first.

import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { root } from './prepare.mjs';

const address = `http://localhost:${process.env.PORT ?? 4321}`;
const views = {
  today: '/',
  orders: '/orders',
  order: '/orders/120',
  'read-back': '/orders/120/read-back',
  stall: '/orders/stall',
  artwork: '/artwork/2',
  placing: '/items/7/placing',
  item: '/items/7',
  quote: '/items',
  'cut-sheets': '/cut-sheets',
  cutter: '/bench/cut',
  trials: '/trials',
  compare: '/items/compare/5',
  books: '/books',
  shelf: '/shelf',
  stock: '/shelf/stock',
  buy: '/shelf/buy',
  shop: '/shop',
  // Last, for its clock would run on in the others.
  bench: '/bench/press',
};
/** What a person does first on some views. */
const before = {
  buy: (page) => page.getByRole('region', { name: 'Basket' }).waitFor({ timeout: 30_000 }),
  'cut-sheets': async (page) => {
    await page.getByRole('navigation', { name: 'Vinyls' }).getByRole('button', { name: /slate/ }).click();
    await page.getByText(/^A new cut sheet, .*slate/).waitFor();
    await page.getByRole('button', { name: 'Lay out' }).click();
    await page.waitForTimeout(12_000);
    await page.getByRole('button', { name: 'Stop here' }).click();
    await page.getByRole('button', { name: 'Improve further' }).scrollIntoViewIfNeeded();
    await page.mouse.wheel(0, 260);
  },
  quote: async (page) => {
    await page.keyboard.press('q');
    await page.getByLabel('Drawing to quote').setInputFiles(join(root, 'src', 'data', 'demo', 'drawings', 'paw.svg'));
    await page.getByRole('heading', { name: /in total, ready on/ }).waitFor();
  },
  stall: async (page) => {
    await page.getByRole('button', { name: /^Crew jacket, crest and club mark/ }).click();
    await page.getByLabel('Surname', { exact: true }).fill('Barrow');
    await page.getByLabel('Seat', { exact: true }).fill('8');
    await page.getByText(/ready about/).waitFor();
  },
  bench: async (page) => {
    await page.getByRole('button', { name: /^Start/ }).click();
    const next = page.getByRole('button', { name: /^Next/ });
    for (let step = 0; step < 3; step++) {
      await next.click();
      await page.getByText(new RegExp(`^${step + 2} of`)).waitFor();
    }
    await page.getByRole('button', { name: /^Count/ }).click();
    await page.getByRole('timer', { name: 'Time left' }).waitFor();
    await page.waitForTimeout(1500);
  },
  cutter: async (page) => {
    const press = (name) => page.getByRole('button', { name }).click();
    await press(/laid out/);
    await press(/^Start/);
    await press(/^Next/);
    await press(/^Read the width/);
    await press(/^Next/);
    await press(/^Go on untested/);
    await press(/^Send to the cutter/);
    await page.waitForTimeout(25_000);
  },
};
const folder = join(root, 'docs', 'screenshots');
mkdirSync(folder, { recursive: true });
const browser = await chromium.launch({
  executablePath: process.env.CHIRAL_CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const wanted = process.argv.slice(2);
for (const [name, path] of Object.entries(views)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  await page.goto(address + path, { waitUntil: 'networkidle' });
  await before[name]?.(page);
  await page.waitForTimeout(1500);
  await page.screenshot({ path: join(folder, `${name}.png`) });
  console.log(`docs/screenshots/${name}.png`);
}
await browser.close();
