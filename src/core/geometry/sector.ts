// The directions that are seen from a corner: from one on, turning left, up to half a turn.

import { LENGTH_NOISE_MM } from '../units';

export class Sector {
  private readonly fromX: number;
  private readonly fromY: number;
  private readonly untilX: number;
  private readonly untilY: number;

  /** From the direction `from` on, turning left by `turn`, from 0 up to half a turn; radians. */
  constructor(from: number, turn: number) {
    this.fromX = Math.cos(from);
    this.fromY = Math.sin(from);
    this.untilX = Math.cos(from + turn);
    this.untilY = Math.sin(from + turn);
  }

  /** Whether what lies (dx, dy) away, mm, is seen: not where it is looked from, nor on the bounds. */
  holds(dx: number, dy: number): boolean {
    return this.holdsAny(dx, dy, -LENGTH_NOISE_MM);
  }

  /** Whether anything less than `reach` mm away from (dx, dy) may be seen. No is certain. */
  holdsAny(dx: number, dy: number, reach: number): boolean {
    return this.fromX * dy - this.fromY * dx > -reach && this.untilY * dx - this.untilX * dy > -reach;
  }
}
