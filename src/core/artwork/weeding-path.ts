// In which order a layer is weeded, and how much of it is still in: outside first from a corner, large and plain before
// detailed, each next one near the last.

import { distance, type Point } from '../geometry';
import type { ArtworkPicture } from './picture';

/** What is picked out in one go: the cavities of a piece, or a row of those of a large one. In units of the picture. */
export type WeedGroup = { readonly x: number; readonly y: number; readonly cavities: number; readonly path: string };

/** More than a dozen are not counted at a glance. */
const MOST_AT_ONCE = 12;
/** Of lace with thousands, so many rows at the most. */
const MOST_ROWS = 60;
type Cavity = { readonly x: number; readonly y: number; readonly path: string };

/** Of one layer of a picture; empty where nothing has to be picked out. */
export function listWeedGroups({ layers }: Pick<ArtworkPicture, 'layers'>, layerIndex: number): readonly WeedGroup[] {
  const { cavities = '', groups = [] } = layers[layerIndex] ?? {};
  const all = cavities.split(/(?=M)/).filter(Boolean).map(readCavity);
  let from = 0;
  const ofPieces = groups.map(({ cavities: count }) => all.slice(from, (from += count)));
  // Pictures name so many pieces at the most; what is in the others is picked out all the same.
  return [...ofPieces, all.slice(from)].flatMap((own) => splitRows(own).map(joinCavities));
}

/** Path data of one ring as pictures hold it: where it begins, then steps from point to point. */
function readCavity(path: string): Cavity {
  const numbers = (path.match(/-?\d+/g) ?? []).map(Number);
  let [x = 0, y = 0] = numbers;
  let [left, top, right, bottom] = [x, y, x, y];
  for (let at = 2; at + 1 < numbers.length; at += 2) {
    x += numbers[at]!;
    y += numbers[at + 1]!;
    [left, top, right, bottom] = [Math.min(left, x), Math.min(top, y), Math.max(right, x), Math.max(bottom, y)];
  }
  return { x: (left + right) / 2, y: (top + bottom) / 2, path };
}

/** From below upwards, each from left to right; as even as can be. */
function splitRows(cavities: readonly Cavity[]): readonly (readonly Cavity[])[] {
  const rows = Math.min(MOST_ROWS, Math.ceil(cavities.length / MOST_AT_ONCE));
  const upwards = [...cavities].sort((a, b) => b.y - a.y);
  return Array.from({ length: rows }, (_, row) => {
    const [start, end] = [row, row + 1].map((at) => Math.round((at * upwards.length) / rows));
    return upwards.slice(start, end).sort((a, b) => a.x - b.x);
  });
}

const joinCavities = (row: readonly Cavity[]): WeedGroup => ({
  x: Math.round(row.reduce((sum, { x }) => sum + x, 0) / row.length),
  y: Math.round(row.reduce((sum, { y }) => sum + y, 0) / row.length),
  cavities: row.length,
  path: row.map(({ path }) => path).join(''),
});

/** Groups with so many times as many cavities are the next class of detail. */
const DETAIL_STEP = 4;
const classOf = ({ cavities }: Pick<WeedGroup, 'cavities'>): number =>
  Math.floor(Math.log(cavities) / Math.log(DETAIL_STEP));

/**
 * The groups by their place in `groups`, in the order they are weeded: from the lower left corner, the plain ones first,
 * of each class of detail the nearest next. Cost of the square of a class.
 */
export function planWeeding(groups: readonly Omit<WeedGroup, 'path'>[], height: number): readonly number[] {
  let at: Point = { x: 0, y: height };
  const order: number[] = [];
  const classes = [...new Set(groups.map(classOf))].sort((a, b) => a - b);
  for (const own of classes) {
    const left = new Set(groups.flatMap((group, index) => (classOf(group) === own ? [index] : [])));
    while (left.size > 0) {
      const next = [...left].reduce((a, b) => (distance(at, groups[b]!) < distance(at, groups[a]!) ? b : a));
      left.delete(next);
      order.push(next);
      at = groups[next]!;
    }
  }
  return order;
}

export type WeedCount = { readonly out: number; readonly of: number };
/** Cavities that are out, and all of them. Groups that are named twice or do not exist count once, or not at all. */
type Counted = readonly Pick<WeedGroup, 'cavities'>[];
export function countWeeded(groups: Counted, out: readonly number[]): WeedCount {
  const sum = (list: Counted) => list.reduce((total, { cavities }) => total + cavities, 0);
  return { out: sum([...new Set(out)].flatMap((index) => groups[index] ?? [])), of: sum(groups) };
}
