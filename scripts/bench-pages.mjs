// npm run bench-pages [-- FOLDER…]: every page and every GET on the demo shop and on a big shop; how long the server
// takes (p50, p95), how much of it the processor works, and how much is sent. Each against its limit.

import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { gzipSync } from 'node:zlib';
import { get, readCpuMs, readMemoryMb, startShop } from './bench-shop.mjs';
import { ensureBuild, ensurePackages, root } from './prepare.mjs';

/** The server asks itself for its pages when it has started: measured is one that stands since a quarter of a minute. */
const WARM_UP_MS = 15_000;
const ROUNDS = Number(process.env.ROUNDS ?? 15);
const LIMIT_P95_MS = 100;
const LIMIT_GZIP_KB = 60;
const LIMIT_START_MS = 1500;
const LIMIT_MEMORY_MB = 300;
const LIMIT_GROWTH = 1.5;
const BIG_ORDERS = 10_000;

/** `ITEM` and the like stand for an id of the shop. */
const ADDRESSES = [
  '/',
  '/items',
  '/items/ITEM',
  '/items/compare/ITEM',
  '/items/new',
  '/artwork',
  '/artwork/ARTWORK',
  '/artwork/new',
  '/artwork/letter',
  '/cut-sheets',
  '/orders',
  '/orders/ORDER',
  '/orders/new',
  '/orders/owed',
  '/orders/stall',
  '/orders/feed',
  '/customers',
  '/bench',
  '/bench/cut',
  '/bench/weed',
  '/bench/press',
  '/bench/check',
  '/trials',
  '/shelf',
  '/shelf/stock',
  '/shelf/offers',
  '/shelf/buy',
  '/shelf/supplies',
  '/books',
  '/books/hours',
  '/books/start',
  '/shop',
  '/api/today',
  '/api/items',
  '/api/items/ITEM',
  '/api/artwork',
  '/api/artwork/ARTWORK',
  '/api/cut-sheets',
  '/api/orders',
  '/api/orders/ORDER',
  '/api/stall',
  '/api/feed',
  '/api/bench',
  '/api/work-sessions',
  '/api/shelf',
  '/api/shelf/things',
  '/api/stock',
  '/api/suppliers',
  '/api/offers?words=&offset=0',
  '/api/purchases',
  '/api/channels',
  '/api/price-list',
  '/api/hours',
  '/api/plan',
  '/api/shop',
  '/api/find?q=crest',
];

await ensurePackages();
ensureBuild();
const made = [];
let shops = [];
try {
  const folders = process.argv.length > 2 ? process.argv.slice(2) : [await makeBigShop()];
  const demo = makeFolder();
  await seedDemo(demo);
  shops = await openShops([
    { name: 'demo', folder: demo, isDemo: true },
    ...folders.map((folder) => ({ name: basename(folder), folder, isDemo: false })),
  ]);
  await measureShops(shops);
  printShops(shops);
  if (folders.length > 1) printGrowth(shops.slice(1));
} finally {
  for (const { server } of shops) server.kill('SIGTERM');
  for (const folder of made) rmSync(folder, { recursive: true, force: true });
}

/** The first start of a demo writes its shop; measured is one that has it. */
async function seedDemo(folder) {
  const { server, startMs } = await startShop(folder, true);
  console.log(`The demo shop was written and open in ${(startMs / 1000).toFixed(1)} s.`);
  const ended = once(server, 'exit');
  server.kill('SIGTERM');
  await ended;
}

function makeFolder() {
  const folder = mkdtempSync(join(tmpdir(), 'chiral-bench-'));
  made.push(folder);
  return folder;
}

async function makeBigShop() {
  const folder = makeFolder();
  process.env.CHIRAL_ROOT = root;
  const started = performance.now();
  const tool = await import(pathToFileURL(join(root, 'dist', 'tools', 'big-shop.mjs')).href);
  await tool.makeBigShop(folder, BIG_ORDERS, Date.now());
  console.log(
    `A big shop of ${BIG_ORDERS} orders was written in ${Math.round((performance.now() - started) / 1000)} s.`,
  );
  return folder;
}

/** One after another, so that each start has the machine for itself. */
async function openShops(named) {
  const shops = [];
  for (const { name, folder, isDemo } of named) {
    shops.push({ name, ...(await startShop(folder, isDemo)) });
    await new Promise((resolve) => setTimeout(resolve, WARM_UP_MS));
  }
  for (const shop of shops) Object.assign(shop, { ids: await findIds(shop.port), rows: [] });
  return shops;
}

/** Every address in turns between the shops: what the machine does meanwhile, it does to all of them. */
async function measureShops(shops) {
  for (const address of ADDRESSES) {
    const looks = shops.map(({ ids, port, server }) => ({
      port,
      pid: server.pid,
      path: address.replace(/ITEM|ARTWORK|ORDER/, (word) => String(ids[word] ?? 1)),
      times: [],
    }));
    // Its screen is drawn for the first, and kept from then on where its data stays as it is.
    for (const look of looks) look.first = (await get(look.port, look.path)).ms;
    for (const look of looks) look.cpuBefore = readCpuMs(look.pid);
    for (let round = 0; round < ROUNDS; round++)
      for (const look of looks) {
        // One that takes seconds shows it at once.
        if (round > 2 && look.times.at(-1) > 2000) continue;
        look.last = await get(look.port, look.path);
        look.times.push(look.last.ms);
      }
    for (const [at, look] of looks.entries()) shops[at].rows.push({ address, ...sumUp(look) });
  }
  for (const shop of shops) shop.memoryMb = readMemoryMb(shop.server.pid);
}

/** An item, an artwork and an order that are there. */
async function findIds(port) {
  const first = async (path, pick) => {
    const { body } = await get(port, path);
    return body.length > 0 ? pick(body.toString('utf8')) : 1;
  };
  const idIn = (pattern) => (text) => pattern.exec(text)?.[1] ?? 1;
  return {
    ITEM: await first('/items', idIn(/href="\/items\/(\d+)"/)),
    ARTWORK: await first('/artwork', idIn(/href="\/artwork\/(\d+)"/)),
    ORDER: await first('/orders', idIn(/href="\/orders\/(\d+)"/)),
  };
}

function sumUp({ first, times, last, pid, cpuBefore }) {
  const rising = [...times].sort((a, b) => a - b);
  return {
    status: last.status,
    first,
    p50: rising[Math.floor(rising.length / 2)],
    p95: rising[Math.min(rising.length - 1, Math.floor(rising.length * 0.95))],
    cpuMs: (readCpuMs(pid) - cpuBefore) / rising.length,
    plainKb: last.body.length / 1024,
    gzipKb: gzipSync(last.body).length / 1024,
  };
}

function printShops(shops) {
  const cell = (value, width) => String(value).padStart(width);
  const over = (value, limit) => `${value < 10 ? value.toFixed(1) : Math.round(value)}${value > limit ? ' !' : '  '}`;
  console.log(
    `${'address'.padEnd(30)} ${shops.map(({ name }) => `${cell(name, 6)}: first   p50     p95     cpu      KB    gzip`).join(' |')}`,
  );
  for (const [at, { address }] of shops[0].rows.entries()) {
    const figures = shops.map(({ rows }) => {
      const { status, first, p50, p95, cpuMs, plainKb, gzipKb } = rows[at];
      const noted = status === 200 ? '' : ` (${status})`;
      return [
        over(first, Infinity),
        over(p50, Infinity),
        over(p95, LIMIT_P95_MS),
        over(cpuMs, Infinity),
        over(plainKb, Infinity),
      ]
        .concat(over(gzipKb, LIMIT_GZIP_KB) + noted)
        .map((text) => cell(text, 8))
        .join('');
    });
    console.log(`${address.padEnd(30)} ${figures.join(' |')}`);
  }
  for (const { name, startMs, memoryMb } of shops)
    console.log(
      `${name}: open after ${over(startMs, LIMIT_START_MS)} ms (limit ${LIMIT_START_MS}), ${over(memoryMb, LIMIT_MEMORY_MB)} MB at the end (limit ${LIMIT_MEMORY_MB})`,
    );
  console.log(`Limits: p95 ${LIMIT_P95_MS} ms, ${LIMIT_GZIP_KB} KB gzipped; over the limit: !`);
}

/** From the first shop named to the last: pages that take more than that many times as long. */
function printGrowth(shops) {
  const [first, last] = [shops[0], shops.at(-1)];
  const grown = first.rows
    .map(({ address, p50 }, at) => ({ address, times: last.rows[at].p50 / p50, ms: last.rows[at].p50 }))
    .sort((a, b) => b.times - a.times);
  const over = grown.filter(({ times }) => times > LIMIT_GROWTH);
  console.log(
    `From ${first.name} to ${last.name}: ${over.length} of ${grown.length} addresses take more than ${LIMIT_GROWTH} times as long.`,
  );
  for (const { address, times, ms } of over)
    console.log(`  ${address}: ${times.toFixed(1)} times, ${Math.round(ms)} ms`);
}
