// What was found out about shapes, for copies of them that come later, wherever those lie.

import type { Box } from './box';
import { boundShape, isShifted, tellLook, type Shape } from './same-shape';

/** How far a copy lies from where the shape lay that something is known of, mm. */
export type Shift = { readonly dx: number; readonly dy: number };
type Known<Value> = { readonly shape: Shape; readonly box: Box; readonly value: Value };

export class ShapeMemory<Value> {
  private readonly byLook = new Map<string, Known<Value>[]>();
  private kept = 0;

  /** @param mostPoints it forgets all it knows when the shapes that it keeps have more points than this */
  constructor(private readonly mostPoints: number) {}

  /** What is known of the shape, or else what `find` says of it; and how far off it lies from where that was said. */
  recall(shape: Shape, find: () => Value): { readonly value: Value; readonly shift: Shift } {
    const box = boundShape(shape);
    if (!box) return { value: find(), shift: { dx: 0, dy: 0 } };
    const look = tellLook(shape, box);
    const known = this.byLook.get(look)?.find((other) => isShifted(shape, box, other.shape, other.box));
    if (known) return { value: known.value, shift: { dx: box.x - known.box.x, dy: box.y - known.box.y } };
    const value = find();
    this.keep(look, { shape, box, value });
    return { value, shift: { dx: 0, dy: 0 } };
  }

  private keep(look: string, known: Known<Value>): void {
    const points = known.shape.reduce((sum, ring) => sum + ring.length, 0);
    if (this.kept + points > this.mostPoints) {
      this.byLook.clear();
      this.kept = 0;
    }
    this.kept += points;
    const alike = this.byLook.get(look);
    if (alike) alike.push(known);
    else this.byLook.set(look, [known]);
  }
}
