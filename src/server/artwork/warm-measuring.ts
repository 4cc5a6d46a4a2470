// The first drawing after a while finds no thread, and one that has just begun takes twice as long as one that has
// measured before. So one is begun, and made to measure, when a drawing may come soon.

import { log } from '../errors';
import { runForNobody } from '../heavy/asking';
import { measureFile } from './measure-file';

/** A thread that had nothing to do is let go about then. */
const STAYS_WARM_MS = 2 * 60_000;
/** In lots: a drawing that comes meanwhile waits for one of them at most. */
const LOTS = 6;
/** Holes of arcs, in rows of so many, their middles so far apart, mm. */
const ROW = 16;
const APART_MM = 6;

let warmedAt = -Infinity;

/** Behind whatever is asked; nothing where it was done a moment ago. */
export function warmMeasuring(): void {
  if (Date.now() - warmedAt < STAYS_WARM_MS) return;
  warmedAt = Date.now();
  const drawing = new TextEncoder().encode(drawLace());
  const work = async () => {
    for (let lot = 0; lot < LOTS; lot++) await measureFile(drawing, { widthMm: null });
  };
  runForNobody(work).catch((error: unknown) => log.warn(error, 'the measuring of drawings could not be warmed'));
}

function drawLace(): string {
  const side = ROW * APART_MM;
  const holes = Array.from({ length: ROW * ROW }, (_, hole) => {
    // No two alike: of copies only the first is looked into.
    const radius = 1.5 + (hole % 97) * 0.01;
    const left = ((hole % ROW) + 0.5) * APART_MM - radius,
      middle = (Math.floor(hole / ROW) + 0.5) * APART_MM;
    const half = `${radius} ${radius} 0 1 0`;
    return `M${left} ${middle}a${half} ${2 * radius} 0a${half} ${-2 * radius} 0z`;
  });
  const path = `<path fill-rule="evenodd" d="M0 0H${side}V${side}H0z${holes.join('')}"/>`;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${side}mm" height="${side}mm" viewBox="0 0 ${side} ${side}">${path}</svg>`;
}
