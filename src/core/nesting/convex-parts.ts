// A polygon as convex parts: triangles, joined over their common edges while they stay convex (Hertel and Mehlhorn
// 1983).

import earcut from 'earcut';
import type { Polyline } from '../geometry';

/** Each part as indices of corners, counter-clockwise with y upward; corners are numbered through all rings. */
export type Part = readonly number[];

/** Rings: an outer one, then its holes. Corners so many that a part has at most `MOST_CORNERS`. */
export function splitConvex(rings: readonly Polyline[], first: number): readonly Part[] {
  const flat = rings.flat(),
    holes: number[] = [];
  let count = 0;
  for (const ring of rings.slice(0, -1)) holes.push((count += ring.length));
  const triangles = earcut(
    flat.flatMap((point) => [point.x, point.y]),
    holes,
  );
  const turn = (a: number, b: number, c: number) =>
    (flat[b]!.x - flat[a]!.x) * (flat[c]!.y - flat[a]!.y) - (flat[b]!.y - flat[a]!.y) * (flat[c]!.x - flat[a]!.x);
  const parts: (number[] | null)[] = [];
  for (let at = 0; at < triangles.length; at += 3) {
    const [a, b, c] = [triangles[at]!, triangles[at + 1]!, triangles[at + 2]!];
    const area = turn(a, b, c);
    if (Math.abs(area) > LEAST_TURN) parts.push(area > 0 ? [a, b, c] : [a, c, b]);
  }
  // Which part has the edge from a to b; its neighbour has it from b to a.
  const owner = new Map<string, number>();
  parts.forEach((part, index) =>
    part!.forEach((corner, at) => owner.set(`${corner} ${part![(at + 1) % part!.length]!}`, index)),
  );
  for (let index = 0; index < parts.length; index++) {
    for (let again = true; again && parts[index];) {
      again = false;
      const part = parts[index]!;
      for (let at = 0; at < part.length; at++) {
        const a = part[at]!,
          b = part[(at + 1) % part.length]!;
        const other = owner.get(`${b} ${a}`);
        const mate = other === undefined || other === index ? null : parts[other];
        if (!mate || part.length + mate.length - 2 > MOST_CORNERS) continue;
        const joined = join(part, at, mate, mate.indexOf(b));
        if (
          !joined.every(
            (corner, k) =>
              turn(joined[(k + joined.length - 1) % joined.length]!, corner, joined[(k + 1) % joined.length]!) >=
              -LEAST_TURN,
          )
        )
          continue;
        parts[other!] = null;
        parts[index] = joined;
        joined.forEach((corner, k) => owner.set(`${corner} ${joined[(k + 1) % joined.length]!}`, index));
        again = true;
        break;
      }
    }
  }
  return parts.flatMap((part) => (part ? [part.map((corner) => corner + first)] : []));
}

/** The two over the edge that begins at `at` in one and, the other way, at `from` in the other. */
function join(part: readonly number[], at: number, mate: readonly number[], from: number): number[] {
  const around = [...part.slice(at + 1), ...part.slice(0, at + 1)];
  const rest = [...mate.slice(from + 1), ...mate.slice(0, from + 1)];
  // `around` ends with a; `rest` begins with a and ends with b: its inner corners lie between.
  return [...around, ...rest.slice(1, -1)];
}

const LEAST_TURN = 1e-9;
const MOST_CORNERS = 40;
