// npm run bench-load -- FOLDER: how the rest of the shop answers while twenty layouts and ten baskets are under way, how
// soon what nobody waits for any more ends, and how a queue that is full says so.

import { setMaxListeners } from 'node:events';
import { get, readMemoryMb, startShop } from './bench-shop.mjs';
import { ensureBuild, ensurePackages } from './prepare.mjs';

const LIMIT_P95_MS = 150;
const LIMIT_REFUSAL_MS = 2000;
const NESTS = 20;
const BASKETS = 10;
const NEST_SECONDS = 10;
const ROUNDS = Number(process.env.ROUNDS ?? 20);
const PAGES = [
  '/',
  '/items',
  '/orders',
  '/bench/cut',
  '/shelf',
  '/books',
  '/api/today',
  '/api/orders',
  '/api/work-sessions',
];

const folder = process.argv[2];
if (!folder)
  throw new Error('Name the folder of a shop: npm run bench-load -- FOLDER (npm run big-shop -- FOLDER makes one).');
await ensurePackages();
ensureBuild();
const { port, server } = await startShop(folder);
try {
  for (const page of PAGES) await get(port, page);
  const keys = await findVinylKeys();
  const alone = await get(port, '/api/basket', { body: makeBasket(keys, 99), caller: 'alone' });
  const { solvedMs, basket, problem } = JSON.parse(alone.body.toString('utf8'));
  console.log(`One basket alone: ${solvedMs} ms, ${basket ? `${basket.orders.length} orders` : problem}.`);
  const quiet = await timePages();
  const leave = new AbortController();
  setMaxListeners(0, leave.signal);
  const heavy = [
    ...Array.from({ length: NESTS }, (_, seed) => ask('/api/nest', makeNest(seed), `nest ${seed % 4}`, leave.signal)),
    ...Array.from({ length: BASKETS }, (_, seed) =>
      ask('/api/basket', makeBasket(keys, seed), `basket ${seed % 3}`, leave.signal),
    ),
  ];
  await new Promise((resolve) => setTimeout(resolve, 2000));
  const before = await get(port, '/api/work', { caller: 'basket 0' });
  const busy = await timePages();
  const last = await get(port, '/api/work', { caller: 'basket 0' });
  console.log(`Of one window's baskets there waited ${count(before)} at first and ${count(last)} at last.`);
  print(quiet, busy);
  const refusals = await overfill(leave.signal);
  const left = performance.now();
  leave.abort();
  await Promise.all(heavy);
  const refusedStill = await layOutOnce();
  console.log(
    `Left by all who asked: the next layout of 1 s was there after ${Math.round(performance.now() - left)} ms, refused ${refusedStill} times before.`,
  );
  console.log(refusals);
  console.log(`${Math.round(readMemoryMb(server.pid))} MB with its threads.`);
} finally {
  server.kill('SIGTERM');
}

/** Asked for anew until it is there: the server hears a moment later that the others have left. */
async function layOutOnce() {
  for (let refused = 0; ; refused += 1) {
    const { status } = await get(port, '/api/nest', { body: makeNest(0, 1), caller: 'after' });
    if (status === 200) return refused;
    if (status !== 503) throw new Error(`A layout was answered with ${status}.`);
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
}

function count({ body }) {
  return JSON.parse(body.toString('utf8')).jobs.length;
}

/** Its answer or how it failed, whatever it is: what counts is what else goes on. */
async function ask(path, body, caller, signal) {
  try {
    return await get(port, path, { body, caller, signal });
  } catch (error) {
    return { status: error.name };
  }
}

async function timePages() {
  const rows = [];
  for (const page of PAGES) {
    const times = [];
    for (let round = 0; round < ROUNDS; round++) times.push((await get(port, page)).ms);
    times.sort((a, b) => a - b);
    rows.push({ page, p50: times[Math.floor(ROUNDS / 2)], p95: times[Math.floor(ROUNDS * 0.95)] });
  }
  return rows;
}

function print(quiet, busy) {
  console.log(`${'address'.padEnd(24)} quiet: p50   p95 | with ${NESTS} layouts and ${BASKETS} baskets: p50   p95`);
  for (const [at, { page, p50, p95 }] of quiet.entries()) {
    const cell = (value) => String(Math.round(value)).padStart(6);
    const over = busy[at].p95 > LIMIT_P95_MS ? ' !' : '';
    console.log(
      `${page.padEnd(24)} ${cell(p50).padStart(10)}${cell(p95)} | ${cell(busy[at].p50).padStart(32)}${cell(busy[at].p95)}${over}`,
    );
  }
  console.log(`Limit: p95 ${LIMIT_P95_MS} ms while busy; over the limit: !`);
}

/** Far more than may wait: the ones too many are refused, and how soon. */
async function overfill(signal) {
  const answers = await Promise.all(
    Array.from({ length: 60 }, async (_, seed) => {
      const answer = ask('/api/nest', makeNest(seed), 'crowd', signal);
      return Promise.race([answer, new Promise((resolve) => setTimeout(() => resolve(null), LIMIT_REFUSAL_MS))]);
    }),
  );
  const refused = answers.filter((answer) => answer?.status === 503);
  const slowest = Math.max(0, ...refused.map(({ ms }) => ms));
  return `60 layouts more: ${refused.length} refused within ${Math.round(slowest)} ms (limit ${LIMIT_REFUSAL_MS}): ${String(refused[0]?.body ?? '')}`;
}

function makeNest(seed, seconds = NEST_SECONDS) {
  const piece = (_, index) => {
    const size = 15 + ((index * 7 + seed * 3) % 30);
    const ring = Array.from({ length: 24 }, (__, corner) => {
      const angle = (corner / 24) * 2 * Math.PI;
      const reach = size * (corner % 2 === 0 ? 1 : 0.6);
      return { x: reach * Math.cos(angle), y: reach * Math.sin(angle) };
    });
    return { id: `p${index}`, rings: [ring], copies: 1 };
  };
  return {
    pieces: Array.from({ length: 40 }, piece),
    stock: [{ kind: 'roll', id: 'roll', widthMm: 500, lengthMm: 20_000 }],
    seconds,
    gapMm: 2,
    rounds: 1_000_000,
    seed: (seed % 100) / 100,
  };
}

/** Sixty vinyls of the shelf, half a square metre to two of each, proven cheapest: others for each basket. */
function makeBasket(keys, seed) {
  const extra = Array.from({ length: 60 }, (_, index) => ({
    key: keys[(index * 37 + seed * 211) % keys.length],
    amount: 500_000 + ((index * 7 + seed) % 4) * 500_000,
  }));
  return { extra, withOrders: false, withMinimums: false, alike: 'sell', thorough: true };
}

/** Of vinyls that somebody offers. */
async function findVinylKeys() {
  const keys = [];
  for (let offset = 0; keys.length < 400 && offset < 2000; offset += 60) {
    const { body } = await get(port, `/api/offers?words=&offset=${offset}`);
    const { offers } = JSON.parse(body.toString('utf8'));
    keys.push(...offers.flatMap(({ parts }) => parts.flatMap(({ key }) => (key?.startsWith('vinyl:') ? [key] : []))));
  }
  return [...new Set(keys)];
}
