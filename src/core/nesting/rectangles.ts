// Rectangles are laid on a skyline: each on the lowest ledge where it fits best. Orders and turns are changed a little,
// and kept where the strip gets shorter. (Skyline heuristics for strip packing after Burke et al. 2004 and Leung et al.
// 2011.)

import { LENGTH_NOISE_MM, POINT_NOISE_MM } from '../units';
import type { Bin } from './bins';
import { Field, type Random, type Placing } from './field';
import { TURN_STEPS } from './pose';
import type { Shape } from './shape';

type Packed = { readonly placings: readonly Placing[]; readonly reach: number };
type Ledge = { x: number; y: number; width: number };
const QUARTER = TURN_STEPS / 4;
const ROUNDS = 40_000;
/**
 * Together they take about half a second at most; where they are tried again and again between other things, a
 * twentieth of one.
 */
const WORK = 6_000_000;
export const SHORT_WORK = 600_000;

const isRectangle = (shape: Shape): boolean => {
  const { minX, maxX, minY, maxY } = shape.pose(0),
    { xs, ys } = shape;
  return (
    xs.length === 4 &&
    xs.every((x, at) => (near(x, minX) || near(x, maxX)) && (near(ys[at]!, minY) || near(ys[at]!, maxY)))
  );
};
const near = (a: number, b: number): boolean => Math.abs(a - b) < LENGTH_NOISE_MM;
const canTurn = (shape: Shape): boolean =>
  shape.steps === null || shape.steps.includes(QUARTER) || shape.steps.includes(3 * QUARTER);

/** Null where not all are upright rectangles, the box has obstacles, or they don't all go in. */
export function packRectangles(
  bin: Bin,
  shapes: readonly Shape[],
  members: readonly number[],
  random: Random,
  work = WORK,
): { readonly field: Field; readonly inside: readonly number[]; readonly left: readonly number[] } | null {
  const own = members.map((at) => shapes[at]!);
  if (bin.obstacles.length > 0 || own.length === 0 || !own.every(isRectangle)) return null;
  const sizes = own.map((shape) => {
    const { minX, maxX, minY, maxY } = shape.pose(0);
    return { width: maxX - minX, height: maxY - minY, turnable: canTurn(shape) };
  });
  let order = sizes
    .map((_, at) => at)
    .sort((a, b) => sizes[b]!.width * sizes[b]!.height - sizes[a]!.width * sizes[a]!.height);
  const least = sizes.reduce((sum, size) => sum + size.width * size.height, 0) / bin.width;
  let now = pack(sizes, order, bin.width),
    best = now;
  const rounds = Math.min(ROUNDS, Math.ceil(work / (own.length * own.length)));
  for (let round = 0; round < rounds && best.reach > least + LENGTH_NOISE_MM; round++) {
    const next = [...order],
      a = Math.floor(random() * next.length),
      b = Math.floor(random() * next.length);
    [next[a], next[b]] = [next[b]!, next[a]!];
    const packed = pack(sizes, next, bin.width);
    // A little worse is let pass at first, less and less: so it gets out of dead ends.
    if (packed.reach <= now.reach + least * 0.02 * (1 - round / rounds) * random()) [order, now] = [next, packed];
    if (packed.reach < best.reach - POINT_NOISE_MM) best = packed;
  }
  if (best.reach > bin.length + LENGTH_NOISE_MM) return null;
  return { field: new Field(own, best.placings, own.length, bin.width, bin.length), inside: [...members], left: [] };
}

type Size = { readonly width: number; readonly height: number; readonly turnable: boolean };

/**
 * On the lowest ledge goes the next piece of the order that fits it, one that fills its width first; where none fits,
 * the ledge is raised to its neighbour.
 */
function pack(sizes: readonly Size[], order: readonly number[], width: number): Packed {
  const placings = new Array<Placing>(sizes.length);
  const skyline: Ledge[] = [{ x: 0, y: 0, width }];
  const waiting = [...order];
  let reach = 0;
  while (waiting.length > 0) {
    let low = 0;
    for (let at = 1; at < skyline.length; at++) if (skyline[at]!.y < skyline[low]!.y) low = at;
    const ledge = skyline[low]!;
    const choice = choose(sizes, waiting, ledge, skyline[low - 1]?.y ?? Infinity, skyline[low + 1]?.y ?? Infinity);
    if (!choice) {
      raise(skyline, low);
      // Nothing fits even the whole width: it never will.
      if (skyline.length === 1 && skyline[0]!.y === ledge.y && ledge.width >= width)
        return { placings, reach: Infinity };
      continue;
    }
    const { index, turned } = choice,
      piece = waiting.splice(index, 1)[0]!,
      size = sizes[piece]!;
    const across = turned ? size.height : size.width,
      along = turned ? size.width : size.height;
    // Against the higher neighbour.
    const left = (skyline[low - 1]?.y ?? Infinity) >= (skyline[low + 1]?.y ?? Infinity);
    const x = left ? ledge.x : ledge.x + ledge.width - across;
    placings[piece] = { x: x + across / 2, y: ledge.y + along / 2, step: turned ? QUARTER : 0 };
    reach = Math.max(reach, ledge.y + along);
    const rest = { x: left ? ledge.x + across : ledge.x, y: ledge.y, width: ledge.width - across },
      top = { x, y: ledge.y + along, width: across };
    skyline.splice(low, 1, ...(rest.width > POINT_NOISE_MM ? (left ? [top, rest] : [rest, top]) : [top]));
    merge(skyline);
  }
  return { placings, reach };
}

function choose(
  sizes: readonly Size[],
  waiting: readonly number[],
  ledge: Ledge,
  leftY: number,
  rightY: number,
): { readonly index: number; readonly turned: boolean } | null {
  let best: { readonly index: number; readonly turned: boolean } | null = null,
    score = -1;
  const wall = Math.min(leftY, rightY) - ledge.y;
  for (const [index, piece] of waiting.entries()) {
    const size = sizes[piece]!;
    for (const turned of size.turnable && size.width !== size.height ? [false, true] : [false]) {
      const across = turned ? size.height : size.width,
        along = turned ? size.width : size.height;
      if (across > ledge.width + POINT_NOISE_MM) continue;
      // Fills the ledge, and comes level with its wall; else simply the first that fits.
      const fit =
        (across >= ledge.width - LENGTH_NOISE_MM ? 4 : 0) +
        (Math.abs(along - wall) < LENGTH_NOISE_MM ? 2 : 0) +
        1 -
        index / (waiting.length + 1);
      if (fit > score) {
        best = { index, turned };
        score = fit;
      }
    }
    if (score >= 6) break;
  }
  return best;
}

function raise(skyline: Ledge[], low: number): void {
  const left = skyline[low - 1]?.y ?? Infinity,
    right = skyline[low + 1]?.y ?? Infinity;
  if (left === Infinity && right === Infinity) return;
  skyline[low]!.y = Math.min(left, right);
  merge(skyline);
}

function merge(skyline: Ledge[]): void {
  for (let at = skyline.length - 1; at > 0; at--) {
    if (Math.abs(skyline[at]!.y - skyline[at - 1]!.y) > POINT_NOISE_MM) continue;
    skyline[at - 1]!.width += skyline[at]!.width;
    skyline.splice(at, 1);
  }
}
