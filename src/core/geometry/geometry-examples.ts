// Examples that several tests share.

import type { Contour } from './index';

/** A whole circle round the origin, as one arc. */
export const circle = (radius: number): Contour => ({
  start: { x: radius, y: 0 },
  closed: true,
  segments: [
    {
      kind: 'arc',
      centre: { x: 0, y: 0 },
      u: { x: radius, y: 0 },
      v: { x: 0, y: radius },
      from: 0,
      until: 2 * Math.PI,
      to: { x: radius, y: 0 },
    },
  ],
});
