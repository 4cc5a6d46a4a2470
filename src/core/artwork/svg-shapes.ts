// The outline of a basic shape or path, in its own user units.

import type { Contour, Point, Segment } from '../geometry';
import { parsePathData } from './path-contours';
import { parseNumbers, parseSvgLength } from './svg-lengths';

export type Viewport = { readonly width: number; readonly height: number };
export type Outline = { readonly contours: readonly Contour[]; readonly complete: boolean };

export const SHAPE_NAMES: ReadonlySet<string> = new Set([
  'path',
  'rect',
  'circle',
  'ellipse',
  'line',
  'polyline',
  'polygon',
]);

/**
 * The contours of a shape element; none when its size is nought (SVG: it is not drawn). `get` gives an attribute or its
 * style.
 */
export function outlineShape(
  name: string,
  get: (attribute: string) => string | undefined,
  viewport: Viewport,
): Outline {
  const across = (attribute: string) => parseSvgLength(get(attribute), viewport.width) ?? 0;
  const down = (attribute: string) => parseSvgLength(get(attribute), viewport.height) ?? 0;
  // SVG 2, 8.9: a percentage of neither width nor height refers to the diagonal over √2.
  const diagonal = Math.hypot(viewport.width, viewport.height) / Math.SQRT2;
  switch (name) {
    case 'path': {
      const data = get('d')?.replace(/^path\(\s*["']?|["']?\s*\)$/g, '') ?? '';
      return data.trim() === '' || data.trim() === 'none' ? whole([]) : parsePathData(data);
    }
    case 'rect':
      return whole(
        outlineRectangle(
          across('x'),
          down('y'),
          across('width'),
          down('height'),
          parseRadius(get('rx'), viewport.width),
          parseRadius(get('ry'), viewport.height),
        ),
      );
    case 'circle': {
      const radius = parseSvgLength(get('r'), diagonal) ?? 0;
      return whole(outlineEllipse({ x: across('cx'), y: down('cy') }, radius, radius));
    }
    case 'ellipse': {
      const rx = parseRadius(get('rx'), viewport.width);
      const ry = parseRadius(get('ry'), viewport.height);
      return whole(outlineEllipse({ x: across('cx'), y: down('cy') }, rx ?? ry ?? 0, ry ?? rx ?? 0));
    }
    case 'line':
      return whole(
        outlinePoints(
          [
            { x: across('x1'), y: down('y1') },
            { x: across('x2'), y: down('y2') },
          ],
          false,
        ),
      );
    case 'polyline':
    case 'polygon': {
      const numbers = parseNumbers(get('points') ?? '');
      const points = Array.from({ length: Math.floor(numbers.length / 2) }, (_, index) => ({
        x: numbers[index * 2]!,
        y: numbers[index * 2 + 1]!,
      }));
      return { contours: outlinePoints(points, name === 'polygon'), complete: numbers.length % 2 === 0 };
    }
    default:
      return whole([]);
  }
}

const whole = (contours: readonly Contour[]): Outline => ({ contours, complete: true });

const parseRadius = (text: string | undefined, of: number): number | null =>
  text === undefined || text === 'auto' ? null : parseSvgLength(text, of);

function outlinePoints(points: readonly Point[], closed: boolean): readonly Contour[] {
  const [start, ...others] = points;
  return start && others.length > 0 ? [{ start, closed, segments: others.map((to) => ({ kind: 'line', to })) }] : [];
}

function outlineEllipse(centre: Point, rx: number, ry: number): readonly Contour[] {
  if (!(rx > 0 && ry > 0)) return [];
  const start = { x: centre.x + rx, y: centre.y };
  return [
    {
      start,
      closed: true,
      segments: [
        { kind: 'arc', centre, u: { x: rx, y: 0 }, v: { x: 0, y: ry }, from: 0, until: 2 * Math.PI, to: start },
      ],
    },
  ];
}

function outlineRectangle(
  x: number,
  y: number,
  width: number,
  height: number,
  givenRx: number | null,
  givenRy: number | null,
): readonly Contour[] {
  if (!(width > 0 && height > 0)) return [];
  const rx = Math.min(Math.max(givenRx ?? givenRy ?? 0, 0), width / 2);
  const ry = Math.min(Math.max(givenRy ?? givenRx ?? 0, 0), height / 2);
  const right = x + width,
    bottom = y + height;
  if (rx === 0 || ry === 0)
    return outlinePoints(
      [
        { x, y },
        { x: right, y },
        { x: right, y: bottom },
        { x, y: bottom },
      ],
      true,
    );
  const corner = (cx: number, cy: number, from: number, to: Point): Segment => ({
    kind: 'arc',
    centre: { x: cx, y: cy },
    u: { x: rx, y: 0 },
    v: { x: 0, y: ry },
    from,
    until: from + Math.PI / 2,
    to,
  });
  const line = (toX: number, toY: number): Segment => ({ kind: 'line', to: { x: toX, y: toY } });
  return [
    {
      start: { x: x + rx, y },
      closed: true,
      segments: [
        line(right - rx, y),
        corner(right - rx, y + ry, -Math.PI / 2, { x: right, y: y + ry }),
        line(right, bottom - ry),
        corner(right - rx, bottom - ry, 0, { x: right - rx, y: bottom }),
        line(x + rx, bottom),
        corner(x + rx, bottom - ry, Math.PI / 2, { x, y: bottom - ry }),
        line(x, y + ry),
        corner(x + rx, y + ry, Math.PI, { x: x + rx, y }),
      ],
    },
  ];
}
