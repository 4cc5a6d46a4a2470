// Contours of DXF entities: lines, arcs, circles, ellipses and polylines with their bulges.

import { type Point, type Contour, type Segment } from '../geometry';
import { ANGLE_NOISE } from '../units';

export type Entity = {
  readonly type: string;
  readonly layer?: string;
  readonly color?: number;
  readonly vertices?: readonly (Point & { readonly bulge?: number })[];
  readonly shape?: boolean;
  readonly center?: Point;
  readonly radius?: number;
  readonly startAngle?: number;
  readonly endAngle?: number;
  readonly majorAxisEndPoint?: Point;
  readonly axisRatio?: number;
  readonly name?: string;
  readonly position?: Point;
  readonly xScale?: number;
  readonly yScale?: number;
  readonly rotation?: number;
  readonly visible?: boolean;
  readonly text?: string;
};

export function outlineEntity(entity: Entity): Contour | null {
  switch (entity.type) {
    case 'LINE':
    case 'LWPOLYLINE':
    case 'POLYLINE':
      return entity.vertices && entity.vertices.length > 1
        ? outlineVertices(entity.vertices, entity.shape ?? false)
        : null;
    case 'CIRCLE':
      return entity.center && entity.radius
        ? outlineArc(entity.center, { x: entity.radius, y: 0 }, { x: 0, y: entity.radius }, 0, 2 * Math.PI)
        : null;
    case 'ARC': {
      if (!entity.center || !entity.radius) return null;
      const from = entity.startAngle ?? 0;
      return outlineArc(
        entity.center,
        { x: entity.radius, y: 0 },
        { x: 0, y: entity.radius },
        from,
        from + sweepOf(from, entity.endAngle ?? 0),
      );
    }
    case 'ELLIPSE': {
      const { center, majorAxisEndPoint: major, axisRatio = 1 } = entity;
      if (!center || !major) return null;
      const from = entity.startAngle ?? 0;
      return outlineArc(
        center,
        major,
        { x: -major.y * axisRatio, y: major.x * axisRatio },
        from,
        from + sweepOf(from, entity.endAngle ?? 2 * Math.PI),
      );
    }
    default:
      return null;
  }
}

/** Counter-clockwise from one angle to the other, radians: once round at most, however large the angles are. */
function sweepOf(from: number, until: number): number {
  const round = 2 * Math.PI;
  const sweep = (((until - from) % round) + round) % round;
  return sweep < ANGLE_NOISE ? round : sweep;
}

function outlineArc(centre: Point, u: Point, v: Point, from: number, until: number): Contour {
  const at = (angle: number): Point => ({
    x: centre.x + u.x * Math.cos(angle) + v.x * Math.sin(angle),
    y: centre.y + u.y * Math.cos(angle) + v.y * Math.sin(angle),
  });
  return {
    start: at(from),
    closed: until - from >= 2 * Math.PI - ANGLE_NOISE,
    segments: [
      { kind: 'arc', centre: { x: centre.x, y: centre.y }, u: { x: u.x, y: u.y }, v, from, until, to: at(until) },
    ],
  };
}

function outlineVertices(vertices: NonNullable<Entity['vertices']>, closed: boolean): Contour {
  const count = closed ? vertices.length : vertices.length - 1;
  const segments = Array.from({ length: count }, (_, index) =>
    bulgeSegment(vertices[index]!, vertices[(index + 1) % vertices.length]!, vertices[index]!.bulge ?? 0),
  );
  return { start: { x: vertices[0]!.x, y: vertices[0]!.y }, segments, closed };
}

/** A bulge is the tangent of a quarter of the arc's angle, positive to the left (DXF reference, LWPOLYLINE 42). */
function bulgeSegment(from: Point, to: Point, bulge: number): Segment {
  const end = { x: to.x, y: to.y };
  const chord = Math.hypot(to.x - from.x, to.y - from.y);
  if (Math.abs(bulge) < ANGLE_NOISE || chord === 0) return { kind: 'line', to: end };
  const sweep = 4 * Math.atan(bulge);
  const radius = chord / (2 * Math.sin(Math.abs(sweep) / 2));
  const away = (radius * Math.cos(sweep / 2) * Math.sign(bulge)) / chord;
  const centre = { x: (from.x + to.x) / 2 - (to.y - from.y) * away, y: (from.y + to.y) / 2 + (to.x - from.x) * away };
  const start = Math.atan2(from.y - centre.y, from.x - centre.x);
  return {
    kind: 'arc',
    centre,
    u: { x: radius, y: 0 },
    v: { x: 0, y: radius },
    from: start,
    until: start + sweep,
    to: end,
  };
}
