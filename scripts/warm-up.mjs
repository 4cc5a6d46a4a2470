// The first dozen times a page is asked for take three times as long as later ones: the engine has not compiled it yet.
// So the server asks itself for the pages that are opened most, once the shop is open, and to measure a drawing, and
// gives way to whoever else asks.

const PAGES = [
  '/',
  '/orders',
  '/orders/new',
  '/items',
  '/artwork',
  '/bench/cut',
  '/bench/press',
  '/cut-sheets',
  '/customers',
  '/shelf',
  '/shelf/stock',
  '/shelf/offers',
  '/books',
];
/**
 * Holes of a lace that is measured a few times over, so that the first drawing finds a thread that has begun and knows
 * its work. Each has its own size: a copy of another is not measured.
 */
const HOLES = 100;
const LACES = 6;
const HOLE_STEP_MM = 6;
const MOST_ROUNDS = 15;
/** A page that is this quick twice running is warm; one of a small shop is so at once. */
const QUICK_MS = 45;
const QUIET_MS = 400;
const STEP_MS = 50;

/** Counts what others ask for; `isQuiet` says whether nobody has asked for a while. */
export function makeAsked() {
  let open = 0;
  let lastMs = 0;
  return {
    begin(response) {
      open += 1;
      response.once('close', () => {
        open -= 1;
        lastMs = Date.now();
      });
    },
    isQuiet: () => open === 0 && Date.now() - lastMs >= QUIET_MS,
  };
}

/** `origin`: of this server. What goes wrong here goes wrong again, and is told, when a person asks. */
export async function warmUp(origin, headers, asked) {
  try {
    for (const page of PAGES) await warmPage(origin + page, headers, asked);
    const lace = { method: 'POST', headers, body: drawLace() };
    for (let round = 0; round < LACES; round += 1) {
      while (!asked.isQuiet()) await wait(STEP_MS);
      await (await fetch(`${origin}/api/artwork/measure`, lace)).arrayBuffer();
    }
  } catch {
    // It closes, or a page has a fault of its own.
  }
}

async function warmPage(address, headers, asked) {
  for (let round = 0, quick = 0; round < MOST_ROUNDS && quick < 2; round += 1) {
    while (!asked.isQuiet()) await wait(STEP_MS);
    const began = performance.now();
    await (await fetch(address, { headers })).arrayBuffer();
    quick = performance.now() - began < QUICK_MS ? quick + 1 : 0;
  }
}

function drawLace() {
  const row = Math.sqrt(HOLES);
  const holes = Array.from({ length: HOLES }, (_, at) => {
    const [x, y] = [at % row, Math.floor(at / row)].map((place) => (place + 0.5) * HOLE_STEP_MM);
    return `M${x} ${y}` + SHAPES[at % SHAPES.length](1 + at / HOLES);
  });
  const side = row * HOLE_STEP_MM;
  const size = `width="${side}mm" height="${side}mm" viewBox="0 0 ${side} ${side}"`;
  const path = `<path fill-rule="evenodd" d="M0 0H${side}V${side}H0z${holes.join('')}"/>`;
  return `<svg xmlns="http://www.w3.org/2000/svg" ${size}>${path}</svg>`;
}

/** About a place, as far from it as they are told: a round hole, a star, a leaf. */
const SHAPES = [
  (r) => `m${-r} 0a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0z`,
  (r) => {
    const h = r / 4;
    return `m0 ${-r}l${h} ${r - h} ${r - h} ${h} ${h - r} ${h} ${-h} ${r - h} ${-h} ${h - r} ${h - r} ${-h} ${r - h} ${-h}z`;
  },
  (r) => `m0 ${-r}c${r} ${r / 2} ${r} ${r * 1.5} 0 ${2 * r}c${-r} ${-r / 2} ${-r} ${-r * 1.5} 0 ${-2 * r}z`,
];

const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms).unref());
