// The largest circle in each of many shapes. Fields of equal dots are common: a shape that another one is a shifted
// copy of is looked into once.

import polylabel from 'polylabel';
import { boundPoints, type Box } from './box';
import type { Point } from './matrix';
import type { Polyline } from './polyline';
import { boundShape, isShifted, tellLook, type Shape } from './same-shape';

export type Circle = { readonly widthMm: number; readonly x: number; readonly y: number };

export class InscribedCircles {
  /** For each shape the first one that it is a copy of, which may be itself. */
  private readonly model: readonly number[];
  private readonly copies = new Map<number, number[]>();
  private readonly boxes: readonly (Box | null)[];
  private readonly known = new Map<number, Circle | null>();

  constructor(private readonly shapes: readonly Shape[]) {
    this.boxes = shapes.map(boundShape);
    const byLook = new Map<string, number[]>();
    this.model = shapes.map((rings, index) => {
      const box = this.boxes[index];
      if (!box) return index;
      const look = tellLook(rings, box);
      const alike = byLook.get(look);
      if (!alike) {
        byLook.set(look, [index]);
        return index;
      }
      const model = alike.find((other) => isShifted(rings, box, shapes[other]!, this.boxes[other]!));
      if (model !== undefined) this.addCopy(model, index);
      if (model === undefined && alike.length < MODELS_KEPT) alike.push(index);
      return model ?? index;
    });
  }

  countPoints(shape: number): number {
    return this.shapes[shape]!.reduce((sum, ring) => sum + ring.length, 0);
  }

  isCopy(shape: number): boolean {
    return shape >= 0 && this.model[shape] !== shape;
  }

  /** A place in a shape, and the same place in its copies. */
  inCopies(shape: number, place: Circle): readonly Circle[] {
    return [place, ...(this.copies.get(shape) ?? []).map((copy) => this.shift(place, shape, copy))];
  }

  private shift(place: Circle, from: number, to: number): Circle {
    const a = this.boxes[from]!,
      b = this.boxes[to]!;
    return { widthMm: place.widthMm, x: place.x + b.x - a.x, y: place.y + b.y - a.y };
  }

  /** Whether a circle so wide lies in a shape in the middle of its box: quickly told of most that are round. */
  hasRoom(shape: number, widthMm: number): boolean {
    const box = this.boxes[shape];
    if (!box) return false;
    const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    return isRoundFree(this.shapes[shape]!, middle, widthMm / 2);
  }

  /** To within a hundredth of its size; null for a shape without any inside. */
  find(shape: number): Circle | null {
    let circle = this.known.get(shape);
    if (circle === undefined) this.known.set(shape, (circle = inscribe(this.shapes[shape]!)));
    return circle;
  }

  private addCopy(model: number, copy: number): void {
    const known = this.copies.get(model);
    if (known) known.push(copy);
    else this.copies.set(model, [copy]);
  }
}

/** Circles are found no truer than this, mm. */
const FINEST_MM = 1e-4;
/** Different shapes of the same look that are kept for comparison. */
const MODELS_KEPT = 8;

/** Whether a point lies within closed rings, an odd number of them round it, and further than `radius` from their edges. */
function isRoundFree(rings: Shape, { x, y }: Point, radius: number): boolean {
  let within = false;
  for (const ring of rings)
    for (let at = 0, before = ring[ring.length - 1]!; at < ring.length; at++) {
      const { x: bx, y: by } = ring[at]!;
      const { x: ax, y: ay } = before;
      const dx = bx - ax,
        dy = by - ay;
      if (ay > y !== by > y && x < ax + ((y - ay) / dy) * dx) within = !within;
      const along = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
      if ((ax + dx * along - x) ** 2 + (ay + dy * along - y) ** 2 < radius * radius) return false;
      before = ring[at]!;
    }
  return within;
}

function inscribe(rings: readonly Polyline[]): Circle | null {
  const box = boundPoints(rings.slice(0, 1));
  if (!box || rings[0]!.length < 3) return null;
  const found = polylabel(
    rings.map((ring) => ring.map((point) => [point.x, point.y])),
    Math.max(FINEST_MM, Math.min(box.width, box.height) / 200),
  );
  return { widthMm: 2 * (found as unknown as { distance: number }).distance, x: found[0]!, y: found[1]! };
}
