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
} from '../geometry';
import { fail, MM_PER_INCH, succeed, type Result } from '../units';
import { FILE_LIMIT_BYTES, type Artwork, type LeftOutKind, type ReadProblem, type Shape } from './artwork';
import { LeftOutTally } from './left-out';
import { outlineEntity, type Entity } from './dxf-outlines';
import { joinEnds } from './join-ends';

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
const BLOCK_DEPTH = 16;
/** Blocks that insert blocks multiply. */
const VISIT_LIMIT = 200_000;
type Drawing = {
  readonly header?: Readonly<Record<string, unknown>>;
  readonly entities: readonly Entity[];
  readonly blocks?: Readonly<Record<string, { readonly entities?: readonly Entity[]; readonly position?: Point }>>;
  readonly tables?: { readonly layer?: { readonly layers?: Readonly<Record<string, { readonly color?: number }>> } };
};

export function readDxf(text: string): Result<Artwork, ReadProblem> {
  if (text.length > FILE_LIMIT_BYTES)
    return fail({ kind: 'file-too-large', bytes: text.length, limitBytes: FILE_LIMIT_BYTES });
  const lie = findImpossibleCount(text);
  if (lie) return fail({ kind: 'broken-file', ...lie });
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
  const tally = { visits: 0 };
  const matrix = { a: unit, b: 0, c: 0, d: -unit, e: 0, f: 0 };
  collect(drawing, drawing.entities, { matrix, depth: 0, leftOut, byColour, tally });
  if (tally.visits > VISIT_LIMIT) return fail({ kind: 'too-many-elements', limit: VISIT_LIMIT });
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

/**
 * A polyline that promises more points than the file has lines for: the parser would make room for them all. A point
 * takes two pairs of lines. Null where every count is possible.
 */
function findImpossibleCount(
  text: string,
): { readonly line: number; readonly column: 0; readonly detail: string } | null {
  const lines = text.split('\n');
  let entity = '';
  for (let at = 0; at + 1 < lines.length; at += 2) {
    const code = lines[at]!.trim();
    if (code === '0') entity = lines[at + 1]!.trim();
    if (code !== '90' || entity !== 'LWPOLYLINE') continue;
    const points = Number(lines[at + 1]);
    const most = Math.floor((lines.length - at) / 4);
    if (points > most)
      return { line: at + 2, column: 0, detail: `a line of ${points} points is promised, and ${most} have room` };
  }
  return null;
}

type Collecting = {
  readonly matrix: Matrix;
  readonly depth: number;
  readonly leftOut: LeftOutTally;
  readonly byColour: Map<string, Contour[]>;
  /** Of entities, those of inserted blocks counted each time. */
  readonly tally: { visits: number };
};
const LEFT_OUT: Readonly<Record<string, LeftOutKind>> = { TEXT: 'text', MTEXT: 'text', ATTDEF: 'text', IMAGE: 'image' };

function collect(drawing: Drawing, entities: readonly Entity[], state: Collecting): void {
  for (const entity of entities) {
    if (++state.tally.visits > VISIT_LIMIT) return;
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
