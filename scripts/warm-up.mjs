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
/** Holes in a row: measured once, so that the first drawing finds a thread that has begun. More of it takes memory. */
const HOLES = 100;
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
    while (!asked.isQuiet()) await wait(STEP_MS);
    await (await fetch(`${origin}/api/artwork/measure`, { method: 'POST', headers, body: drawHoles() })).arrayBuffer();
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

function drawHoles() {
  const holes = Array.from({ length: HOLES }, (_, at) => `M${at * 6 + 1} 3a2 2 0 1 0 4 0a2 2 0 1 0 -4 0z`);
  const size = `width="${HOLES * 6}mm" height="6mm" viewBox="0 0 ${HOLES * 6} 6"`;
  const path = `<path fill-rule="evenodd" d="M0 0H${HOLES * 6}V6H0z${holes.join('')}"/>`;
  return `<svg xmlns="http://www.w3.org/2000/svg" ${size}>${path}</svg>`;
}

const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms).unref());
