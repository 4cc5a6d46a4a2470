// Outlines made of lines, cubic curves and elliptic arcs, kept exact until they are flattened at the size they are cut.

import { mapPoint, mapVector, type Matrix, type Point } from './matrix';

export type Segment =
  | { readonly kind: 'line'; readonly to: Point }
  | { readonly kind: 'cubic'; readonly control1: Point; readonly control2: Point; readonly to: Point }
  /** centre + u·cos(t) + v·sin(t) for t from `from` to `until`, radians: an affine image of a circle's arc. */
  | {
      readonly kind: 'arc';
      readonly centre: Point;
      readonly u: Point;
      readonly v: Point;
      readonly from: number;
      readonly until: number;
      readonly to: Point;
    };

export type Arc = Extract<Segment, { kind: 'arc' }>;

export type Contour = { readonly start: Point; readonly segments: readonly Segment[]; readonly closed: boolean };

export function transformContour(contour: Contour, matrix: Matrix): Contour {
  const map = (point: Point) => mapPoint(matrix, point);
  return {
    start: map(contour.start),
    closed: contour.closed,
    segments: contour.segments.map((segment): Segment => {
      switch (segment.kind) {
        case 'line':
          return { kind: 'line', to: map(segment.to) };
        case 'cubic':
          return {
            kind: 'cubic',
            control1: map(segment.control1),
            control2: map(segment.control2),
            to: map(segment.to),
          };
        case 'arc':
          return {
            ...segment,
            centre: map(segment.centre),
            u: mapVector(matrix, segment.u),
            v: mapVector(matrix, segment.v),
            to: map(segment.to),
          };
        default:
          return segment satisfies never;
      }
    }),
  };
}
