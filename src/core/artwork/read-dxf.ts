// From the text of a DXF file to an Artwork: closed lines, circles and ellipses are filled, single lines and arcs are
// joined end to end first. One layer a colour. What is neither is listed as left out.

import DxfParser from 'dxf-parser';
import {
  composeMatrices,
  rotation,
  scaling,
  transformContour,
  translation,
  type Contour,
  type Matrix,
  type Point,
  type Segment,
} from '../geometry';
import { fail, MM_PER_INCH, succeed, type Result, ANGLE_NOISE } from '../units';
import { FILE_LIMIT_BYTES, type Artwork, type LeftOutKind, type ReadProblem, type Shape } from './artwork';
import { LeftOutTally } from './left-out';

/** DXF begins with a group code on a line of its own; comments (999) may come first. */
export const looksLikeDxf = (text: string): boolean =>
  /^\uFEFF?\s*(999\r?\n[^\n]*\n\s*)*0\r?\n\s*SECTION\b/i.test(text.slice(0, 2000));

/** Millimetres a drawing unit, by $INSUNITS (DXF reference, header variables); without one a unit is a millimetre. */
const MM_PER_UNIT: Readonly<Record<number, number>> = {
  1: 25.4,
  2: 304.8,
  4: 1,
  5: 10,
  6: 1000,
  8: MM_PER_INCH / 1_000_000,
  9: 0.0254,
  13: 0.001,
  14: 100,
};
/** Ends nearer than this are one, mm: programs write coordinates to four places or fewer. */
const JOIN_MM = 0.05;
const BLOCK_DEPTH = 16;

type Entity = {
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
type Drawing = {
  readonly header?: Readonly<Record<string, unknown>>;
  readonly entities: readonly Entity[];
  readonly blocks?: Readonly<Record<string, { readonly entities?: readonly Entity[]; readonly position?: Point }>>;
  readonly tables?: { readonly layer?: { readonly layers?: Readonly<Record<string, { readonly color?: number }>> } };
};

export function readDxf(text: string): Result<Artwork, ReadProblem> {
  if (text.length > FILE_LIMIT_BYTES)
    return fail({ kind: 'file-too-large', bytes: text.length, limitBytes: FILE_LIMIT_BYTES });
  let drawing: Drawing | null;
  try {
    drawing = new DxfParser().parseSync(text) as unknown as Drawing | null;
  } catch (error) {
    // The parser throws plain errors on whatever it can't follow.
    return fail({
      kind: 'broken-file',
      line: 1,
      column: 0,
      detail: error instanceof Error ? error.message.slice(0, 120) : 'the DXF can’t be followed',
    });
  }
  if (!drawing?.entities)
    return fail({ kind: 'broken-file', line: 1, column: 0, detail: 'it has no ENTITIES section' });
  const unit = MM_PER_UNIT[Number(drawing.header?.['$INSUNITS'] ?? 4)] ?? 1;
  const leftOut = new LeftOutTally();
  const byColour = new Map<string, Contour[]>();
  collect(drawing, drawing.entities, {
    matrix: { a: unit, b: 0, c: 0, d: -unit, e: 0, f: 0 },
    depth: 0,
    leftOut,
    byColour,
  });
  const layers = [...byColour].flatMap(([colour, contours]) => {
    const { closed, open } = joinEnds(contours);
    for (let count = 0; count < open.length; count++) leftOut.add('bad-path', 'line that closes nothing');
    const shape: Shape = { contours: closed, rule: 'evenodd', clips: [] };
    return closed.length > 0 ? [{ colour, shapes: [shape] }] : [];
  });
  return layers.length > 0
    ? succeed({ layers, strokes: [], leftOut: leftOut.list(), gradients: 0, size: 'stated' })
    : fail({ kind: 'nothing-to-cut', leftOut: leftOut.list() });
}

type Collecting = {
  readonly matrix: Matrix;
  readonly depth: number;
  readonly leftOut: LeftOutTally;
  readonly byColour: Map<string, Contour[]>;
};
const LEFT_OUT: Readonly<Record<string, LeftOutKind>> = { TEXT: 'text', MTEXT: 'text', ATTDEF: 'text', IMAGE: 'image' };

function collect(drawing: Drawing, entities: readonly Entity[], state: Collecting): void {
  for (const entity of entities) {
    if (entity.visible === false) continue;
    if (entity.type === 'INSERT') {
      const block = drawing.blocks?.[entity.name ?? ''];
      if (!block?.entities || state.depth >= BLOCK_DEPTH) {
        state.leftOut.add('unknown-shape', entity.name ?? 'block');
        continue;
      }
      const { x = 0, y = 0 } = entity.position ?? {};
      const place = composeMatrices(
        translation(x, y),
        composeMatrices(
          rotation(entity.rotation ?? 0),
          composeMatrices(
            scaling(entity.xScale ?? 1, entity.yScale ?? 1),
            translation(-(block.position?.x ?? 0), -(block.position?.y ?? 0)),
          ),
        ),
      );
      collect(drawing, block.entities, {
        ...state,
        matrix: composeMatrices(state.matrix, place),
        depth: state.depth + 1,
      });
      continue;
    }
    const contour = outlineEntity(entity);
    if (!contour) {
      state.leftOut.add(LEFT_OUT[entity.type] ?? 'unknown-shape', entity.text ?? entity.type);
      continue;
    }
    const colour = entity.color ?? drawing.tables?.layer?.layers?.[entity.layer ?? '']?.color ?? 0;
    // White on a drawing program's black ground is ink on ours.
    const hex = colour === 0xffffff ? '#000000' : `#${(colour & 0xffffff).toString(16).padStart(6, '0')}`;
    const placed = transformContour(contour, state.matrix);
    const known = state.byColour.get(hex);
    if (known) known.push(placed);
    else state.byColour.set(hex, [placed]);
  }
}

function outlineEntity(entity: Entity): Contour | null {
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
      const from = entity.startAngle ?? 0,
        until = entity.endAngle ?? 0;
      return outlineArc(
        entity.center,
        { x: entity.radius, y: 0 },
        { x: 0, y: entity.radius },
        from,
        until > from ? until : until + 2 * Math.PI,
      );
    }
    case 'ELLIPSE': {
      const { center, majorAxisEndPoint: major, axisRatio = 1 } = entity;
      if (!center || !major) return null;
      const from = entity.startAngle ?? 0,
        until = entity.endAngle ?? 2 * Math.PI;
      return outlineArc(
        center,
        major,
        { x: -major.y * axisRatio, y: major.x * axisRatio },
        from,
        until > from ? until : until + 2 * Math.PI,
      );
    }
    default:
      return null;
  }
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

/** Open contours joined where their ends meet, until they close; those that never do come back apart. */
function joinEnds(contours: readonly Contour[]): {
  readonly closed: readonly Contour[];
  readonly open: readonly Contour[];
} {
  const closed = contours.filter((contour) => contour.closed);
  const ends = new EndIndex(contours.filter((contour) => !contour.closed));
  const open: Contour[] = [];
  for (let chain = ends.takeAny(); chain; chain = ends.takeAny()) {
    let whole: Contour = chain;
    while (!meet(whole.start, endOf(whole))) {
      const next = ends.takeAt(endOf(whole));
      if (!next) break;
      whole = {
        ...whole,
        segments: [...whole.segments, ...(meet(next.start, endOf(whole)) ? next : reverseContour(next)).segments],
      };
    }
    if (meet(whole.start, endOf(whole)) && whole.segments.length > 1) closed.push({ ...whole, closed: true });
    else open.push(whole);
  }
  return { closed, open };
}

const endOf = (contour: Contour): Point => contour.segments[contour.segments.length - 1]!.to;
const meet = (a: Point, b: Point): boolean => Math.hypot(a.x - b.x, a.y - b.y) <= JOIN_MM;

/** Finds contours by where they end, in cells as wide as ends may lie apart. */
class EndIndex {
  private readonly cells = new Map<string, Set<Contour>>();
  private readonly waiting: Set<Contour>;

  constructor(contours: readonly Contour[]) {
    this.waiting = new Set(contours);
    for (const contour of contours)
      for (const end of [contour.start, endOf(contour)])
        this.cellsAround(end, 0).forEach((key) => this.cells.set(key, (this.cells.get(key) ?? new Set()).add(contour)));
  }

  private cellsAround(point: Point, reach: number): string[] {
    const x = Math.floor(point.x / JOIN_MM),
      y = Math.floor(point.y / JOIN_MM);
    const keys: string[] = [];
    for (let dx = -reach; dx <= reach; dx++) for (let dy = -reach; dy <= reach; dy++) keys.push(`${x + dx}/${y + dy}`);
    return keys;
  }

  takeAny(): Contour | undefined {
    const [first] = this.waiting;
    if (first) this.waiting.delete(first);
    return first;
  }

  takeAt(point: Point): Contour | undefined {
    for (const key of this.cellsAround(point, 1)) {
      for (const contour of this.cells.get(key) ?? []) {
        if (this.waiting.has(contour) && (meet(contour.start, point) || meet(endOf(contour), point))) {
          this.waiting.delete(contour);
          return contour;
        }
      }
    }
    return undefined;
  }
}

function reverseContour(contour: Contour): Contour {
  const starts = [contour.start, ...contour.segments.map((segment) => segment.to)];
  const segments = contour.segments
    .map((segment, index): Segment => {
      const to = starts[index]!;
      if (segment.kind === 'line') return { kind: 'line', to };
      if (segment.kind === 'cubic')
        return { kind: 'cubic', control1: segment.control2, control2: segment.control1, to };
      return { ...segment, from: segment.until, until: segment.from, to };
    })
    .reverse();
  return { start: starts[starts.length - 1]!, segments, closed: contour.closed };
}
