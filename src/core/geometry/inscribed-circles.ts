// The largest circle in each of many shapes. Fields of equal dots are common: a shape that another one is a shifted
// copy of is looked into once.

import polylabel from 'polylabel';
import { boundPoints, type Box } from './box';
import type { Polyline } from './polygon';

export type Circle = { readonly widthMm: number; readonly x: number; readonly y: number };

/** Points of copies lie as near as this to where the shift takes them, mm: files round differently here and there. */
const SAME_PLACE_MM = 0.002;

export class InscribedCircles {
  /** For each shape the first one that it is a copy of, which may be itself. */
  private readonly model: readonly number[];
  private readonly copies = new Map<number, number[]>();
  private readonly boxes: readonly (Box | null)[];
  private readonly known = new Map<number, Circle | null>();

  /** Each shape is its outer ring and its holes. */
  constructor(private readonly shapes: readonly (readonly Polyline[])[]) {
    this.boxes = shapes.map((rings) => boundPoints(rings.slice(0, 1)));
    const byLook = new Map<string, number[]>();
    this.model = shapes.map((rings, index) => {
      const box = this.boxes[index];
      if (!box) return index;
      const looks = `${rings.map((ring) => ring.length).join()} ${Math.round(box.width * 20)} ${Math.round(box.height * 20)}`;
      const alike = byLook.get(looks);
      if (!alike) {
        byLook.set(looks, [index]);
        return index;
      }
      const model = alike.find((other) => this.isShifted(index, other));
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

  private isShifted(shape: number, model: number): boolean {
    const from = this.boxes[model]!,
      to = this.boxes[shape]!;
    const dx = to.x - from.x,
      dy = to.y - from.y;
    const theirs = this.shapes[model]!;
    return this.shapes[shape]!.every((ring, index) =>
      ring.every((point, at) => {
        const other = theirs[index]![at]!;
        return Math.abs(point.x - other.x - dx) < SAME_PLACE_MM && Math.abs(point.y - other.y - dy) < SAME_PLACE_MM;
      }),
    );
  }
}

/** Circles are found no truer than this, mm. */
const FINEST_MM = 1e-4;
/** Different shapes of the same look that are kept for comparison. */
const MODELS_KEPT = 8;

function inscribe(rings: readonly Polyline[]): Circle | null {
  const box = boundPoints(rings.slice(0, 1));
  if (!box || rings[0]!.length < 3) return null;
  const found = polylabel(
    rings.map((ring) => ring.map((point) => [point.x, point.y])),
    Math.max(FINEST_MM, Math.min(box.width, box.height) / 200),
  );
  return { widthMm: 2 * (found as unknown as { distance: number }).distance, x: found[0]!, y: found[1]! };
}
