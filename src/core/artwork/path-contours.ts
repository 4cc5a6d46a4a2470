// Path data as contours. Arcs stay arcs: turned into cubics they would be a quarter of a thousandth off.

import { SVGPathData } from 'svg-pathdata';
import { SVGPathDataTransformer } from 'svg-pathdata';
import type { Contour, Point, Segment } from '../geometry';

/**
 * The contours of an SVG `d`. What stands before a mistake is kept, as SVG 2 asks (section 9.5.4); `complete` tells of
 * it.
 */
export function parsePathData(data: string): { readonly contours: readonly Contour[]; readonly complete: boolean } {
  const { commands, complete } = parseCommands(data);
  const contours: Contour[] = [];
  let start: Point = { x: 0, y: 0 };
  let at: Point = start;
  let segments: Segment[] = [];
  const finish = (closed: boolean) => {
    if (segments.length > 0) contours.push({ start, segments, closed });
    segments = [];
  };
  for (const command of commands) {
    switch (command.type) {
      case SVGPathData.MOVE_TO:
        finish(false);
        start = at = { x: command.x, y: command.y };
        break;
      case SVGPathData.LINE_TO:
        at = { x: command.x, y: command.y };
        segments.push({ kind: 'line', to: at });
        break;
      case SVGPathData.CURVE_TO: {
        const to = { x: command.x, y: command.y };
        segments.push({
          kind: 'cubic',
          control1: { x: command.x1, y: command.y1 },
          control2: { x: command.x2, y: command.y2 },
          to,
        });
        at = to;
        break;
      }
      case SVGPathData.QUAD_TO: {
        const to = { x: command.x, y: command.y };
        segments.push(quadratic(at, { x: command.x1, y: command.y1 }, to));
        at = to;
        break;
      }
      case SVGPathData.ARC: {
        const to = { x: command.x, y: command.y };
        segments.push(arc(command, at, to));
        at = to;
        break;
      }
      case SVGPathData.CLOSE_PATH:
        finish(true);
        at = start;
        break;
      default:
        break;
    }
  }
  finish(false);
  return { contours, complete };
}

type Commands = SVGPathData['commands'];
/** What a path is rewritten for, and by what: each takes as long as reading it. In this order. */
const REWRITES = [
  { where: /[a-y]/, by: () => SVGPathDataTransformer.TO_ABS() },
  { where: /[hv]/i, by: () => SVGPathDataTransformer.NORMALIZE_HVZ(false) },
  { where: /[st]/i, by: () => SVGPathDataTransformer.NORMALIZE_ST() },
  { where: /a/i, by: () => SVGPathDataTransformer.ANNOTATE_ARCS() },
] as const;

/** Absolute lines, curves and arcs with their middles. */
const normalise = (text: string): Commands =>
  REWRITES.reduce((path, { where, by }) => (where.test(text) ? path.transform(by()) : path), new SVGPathData(text))
    .commands;

function parseCommands(data: string): { commands: Commands; complete: boolean } {
  try {
    return { commands: normalise(data), complete: true };
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error;
  }
  // The longest beginning that ends before a command letter and still reads.
  const letters = [...data.matchAll(/[a-df-z]/gi)].map((match) => match.index);
  for (let keep = letters.length - 1, tries = 0; keep > 0 && tries < 50; keep--, tries++) {
    try {
      return { commands: normalise(data.slice(0, letters[keep])), complete: false };
    } catch (error) {
      if (!(error instanceof SyntaxError)) throw error;
    }
  }
  return { commands: [], complete: false };
}

/** A quadratic curve raised to the cubic that is the same curve. */
function quadratic(from: Point, control: Point, to: Point): Segment {
  return {
    kind: 'cubic',
    control1: { x: from.x + (2 / 3) * (control.x - from.x), y: from.y + (2 / 3) * (control.y - from.y) },
    control2: { x: to.x + (2 / 3) * (control.x - to.x), y: to.y + (2 / 3) * (control.y - to.y) },
    to,
  };
}

function arc(command: Extract<Commands[number], { type: typeof SVGPathData.ARC }>, from: Point, to: Point): Segment {
  const { cX, cY, phi1, phi2 } = command;
  const usable =
    [cX, cY, phi1, phi2].every((value) => value !== undefined && Number.isFinite(value)) &&
    command.rX !== 0 &&
    command.rY !== 0;
  // Without radii, or from a point to itself, an arc is a straight line (SVG 2, 9.5.1).
  if (!usable || (from.x === to.x && from.y === to.y)) return { kind: 'line', to };
  const turn = (command.xRot * Math.PI) / 180;
  return {
    kind: 'arc',
    centre: { x: cX!, y: cY! },
    u: { x: Math.abs(command.rX) * Math.cos(turn), y: Math.abs(command.rX) * Math.sin(turn) },
    v: { x: -Math.abs(command.rY) * Math.sin(turn), y: Math.abs(command.rY) * Math.cos(turn) },
    from: (phi1! * Math.PI) / 180,
    until: (phi2! * Math.PI) / 180,
    to,
  };
}
