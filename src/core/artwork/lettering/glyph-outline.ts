// The outline of a letter where it stands. A list of names is made of a few letters: the outline of each at a size is
// worked out once, and moved.

import type { Font, Glyph } from 'fontkit';
import {
  fillRegion,
  flattenEvenly,
  shiftRegion,
  transformContour,
  type Contour,
  type Matrix,
  type Point,
  type Region,
  type Segment,
} from '../../geometry';

/** A glyph of a font, and what takes its units to where it stands, mm. */
export type SetGlyph = { readonly face: Font; readonly glyph: Glyph; readonly matrix: Matrix };

/** Finer than the steps of any cutter (0.025 mm), and half as many points to measure, nest and cut as of a drawing. */
const OUTLINE_WITHIN_MM = 0.012;
const MOST_OUTLINES_KEPT = 1000;

/** By glyph and size, as they stand at the origin. */
const outlines = new WeakMap<Font, Map<string, Region>>();

export function outlineGlyph({ face, glyph, matrix }: SetGlyph): Region {
  const { e, f, ...turn } = matrix;
  const own = outlines.get(face) ?? new Map<string, Region>();
  outlines.set(face, own);
  const key = `${glyph.id} ${Object.values(turn).join(' ')}`;
  let known = own.get(key);
  if (!known) {
    if (own.size >= MOST_OUTLINES_KEPT) own.clear();
    own.set(key, (known = outlineAtOrigin(glyph, { ...turn, e: 0, f: 0 })));
  }
  return shiftRegion(known, e, f);
}

function outlineAtOrigin(glyph: Glyph, matrix: Matrix): Region {
  const lines = readGlyph(glyph).map((contour) => flattenEvenly(transformContour(contour, matrix), OUTLINE_WITHIN_MM));
  return fillRegion(lines, 'nonzero');
}

function readGlyph(glyph: Glyph): readonly Contour[] {
  const contours: Contour[] = [];
  let start: Point = { x: 0, y: 0 },
    at: Point = start;
  let segments: Segment[] = [];
  const finish = () => {
    if (segments.length > 0) contours.push({ start, segments, closed: true });
    segments = [];
  };
  for (const { command, args } of glyph.path.commands) {
    const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0] = args;
    switch (command) {
      case 'moveTo':
        finish();
        start = at = { x: a, y: b };
        break;
      case 'lineTo':
        at = { x: a, y: b };
        segments.push({ kind: 'line', to: at });
        break;
      case 'quadraticCurveTo': {
        const to = { x: c, y: d };
        segments.push({
          kind: 'cubic',
          control1: { x: at.x + (2 / 3) * (a - at.x), y: at.y + (2 / 3) * (b - at.y) },
          control2: { x: to.x + (2 / 3) * (a - to.x), y: to.y + (2 / 3) * (b - to.y) },
          to,
        });
        at = to;
        break;
      }
      case 'bezierCurveTo':
        at = { x: e, y: f };
        segments.push({ kind: 'cubic', control1: { x: a, y: b }, control2: { x: c, y: d }, to: at });
        break;
      case 'closePath':
        finish();
        at = start;
        break;
      default:
        break;
    }
  }
  finish();
  return contours;
}
