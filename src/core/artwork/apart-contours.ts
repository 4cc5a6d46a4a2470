// Of a layer of many contours those that lie apart from all others: a field of dots, the holes of lace. They can be
// flattened to half as many points, for nothing that touches them could meet them by it.

import Flatbush from 'flatbush';
import { boundEllipse, boundPoints, flattenRoughly, type Box, type Contour } from '../geometry';
import type { ArtworkLayer } from './artwork';

/** With fewer, nothing is gained that anybody would notice. */
const MANY = 400;
/** Of its extent: how far the rough line of a contour strays, with room for what is flattened otherwise later. */
const ROOM = 0.02;

const known = new WeakMap<ArtworkLayer, ReadonlySet<Contour>>();
const NONE: ReadonlySet<Contour> = new Set();

/** None of a layer that has few contours. */
export function findApart(layer: ArtworkLayer): ReadonlySet<Contour> {
  let apart = known.get(layer);
  if (!apart) known.set(layer, (apart = seek(layer.shapes.flatMap(({ contours }) => contours))));
  return apart;
}

type Placed = {
  readonly contour: Contour;
  readonly box: Box;
  /** Its edges, once something lies within its box. */
  edges: Flatbush | null;
};

function seek(contours: readonly Contour[]): ReadonlySet<Contour> {
  if (contours.length < MANY) return NONE;
  const placed = contours.map(place);
  const index = new Flatbush(contours.length);
  for (const { box } of placed) addBox(index, box);
  index.finish();
  return new Set(
    contours.filter((_, id) => {
      const one = placed[id]!;
      const others = searchBox(index, one.box);
      return others.every((other) => other === id || lieApart(one, placed[other]!));
    }),
  );
}

function place(contour: Contour): Placed {
  const { x, y, width, height } = boundEllipse(contour) ?? boundPoints([flattenRoughly(contour)])!;
  const room = ROOM * Math.max(width, height);
  return {
    contour,
    box: { x: x - room, y: y - room, width: width + 2 * room, height: height + 2 * room },
    edges: null,
  };
}

/** Contours whose boxes meet: one lies within the other's box, and comes near to none of its edges. */
function lieApart(one: Placed, other: Placed): boolean {
  const [inner, outer] = holds(one.box, other.box) ? [other, one] : [one, other];
  return holds(outer.box, inner.box) && searchBox(edgesOf(outer), inner.box).length === 0;
}

const holds = (outer: Box, inner: Box): boolean =>
  outer.x <= inner.x &&
  outer.y <= inner.y &&
  outer.x + outer.width >= inner.x + inner.width &&
  outer.y + outer.height >= inner.y + inner.height;

function edgesOf(placed: Placed): Flatbush {
  if (placed.edges) return placed.edges;
  const { contour, box } = placed;
  const line = flattenRoughly(contour);
  const room = (ROOM / (1 + 2 * ROOM)) * Math.max(box.width, box.height);
  const edges = new Flatbush(line.length);
  for (const [at, from] of line.entries()) {
    const to = line[(at + 1) % line.length]!;
    edges.add(
      Math.min(from.x, to.x) - room,
      Math.min(from.y, to.y) - room,
      Math.max(from.x, to.x) + room,
      Math.max(from.y, to.y) + room,
    );
  }
  edges.finish();
  return (placed.edges = edges);
}

const addBox = (index: Flatbush, { x, y, width, height }: Box): number => index.add(x, y, x + width, y + height);
const searchBox = (index: Flatbush, { x, y, width, height }: Box): readonly number[] =>
  index.search(x, y, x + width, y + height);
