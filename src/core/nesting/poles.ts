// The largest circles in a polygon, each clear of those before it: they tell at once that a place is hopeless. The
// first is the pole of inaccessibility; found on a grid of starts that are followed inward, after Garcia-Castellanos
// and Lombardo (2007).

export type Poles = { readonly x: Float64Array; readonly y: Float64Array; readonly r: Float64Array };

const MOST_POLES = 6;
/** Circles smaller than this share of the first say little. */
const LEAST_SHARE = 0.2;
const CELLS = 12;

/** `next`: the corner after each along its ring. */
export function findPoles(xs: Float64Array, ys: Float64Array, next: Uint32Array): Poles {
  const found: { readonly x: number; readonly y: number; readonly r: number }[] = [];
  let minX = Infinity,
    minY = Infinity,
    maxX = -Infinity,
    maxY = -Infinity;
  for (let at = 0; at < xs.length; at++) {
    minX = Math.min(minX, xs[at]!);
    maxX = Math.max(maxX, xs[at]!);
    minY = Math.min(minY, ys[at]!);
    maxY = Math.max(maxY, ys[at]!);
  }
  const cell = Math.max(maxX - minX, maxY - minY) / CELLS || 1;
  const starts: { readonly x: number; readonly y: number; depth: number }[] = [];
  for (let x = minX + cell / 2; x < maxX; x += cell)
    for (let y = minY + cell / 2; y < maxY; y += cell) starts.push({ x, y, depth: measureDepth(xs, ys, next, x, y) });
  const clear = (x: number, y: number, depth: number) =>
    found.reduce((least, circle) => Math.min(least, Math.hypot(x - circle.x, y - circle.y) - circle.r), depth);
  while (found.length < MOST_POLES) {
    let best = { x: 0, y: 0, r: 0 };
    for (const start of starts) {
      let { x, y } = start,
        r = clear(x, y, start.depth);
      if (r + cell * 0.71 <= best.r) continue;
      for (let step = cell / 2; step > cell / 32; step /= 2) {
        for (const [dx, dy] of [
          [step, 0],
          [-step, 0],
          [0, step],
          [0, -step],
        ] as const) {
          const deeper = clear(x + dx, y + dy, measureDepth(xs, ys, next, x + dx, y + dy));
          if (deeper > r) [x, y, r] = [x + dx, y + dy, deeper];
        }
      }
      if (r > best.r) best = { x, y, r };
    }
    if (best.r <= (found[0]?.r ?? 0) * LEAST_SHARE) break;
    found.push(best);
  }
  return {
    x: Float64Array.from(found, (circle) => circle.x),
    y: Float64Array.from(found, (circle) => circle.y),
    r: Float64Array.from(found, (circle) => circle.r),
  };
}

/** How far inside the polygon a place is; below 0 outside. */
function measureDepth(xs: Float64Array, ys: Float64Array, next: Uint32Array, x: number, y: number): number {
  let inside = false,
    nearest = Infinity;
  for (let at = 0; at < xs.length; at++) {
    const x1 = xs[at]!,
      y1 = ys[at]!,
      x2 = xs[next[at]!]!,
      y2 = ys[next[at]!]!;
    if (y1 > y !== y2 > y && x < ((x2 - x1) * (y - y1)) / (y2 - y1) + x1) inside = !inside;
    const dx = x2 - x1,
      dy = y2 - y1,
      square = dx * dx + dy * dy;
    const along = square > 0 ? Math.min(1, Math.max(0, ((x - x1) * dx + (y - y1) * dy) / square)) : 0;
    const ex = x - x1 - along * dx,
      ey = y - y1 - along * dy;
    nearest = Math.min(nearest, ex * ex + ey * ey);
  }
  return inside ? Math.sqrt(nearest) : -Math.sqrt(nearest);
}
