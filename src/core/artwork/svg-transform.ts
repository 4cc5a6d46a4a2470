// Transforms as attributes and styles write them (CSS Transforms 1): with or without units, about their origin.

import { composeMatrices, IDENTITY, rotation, scaling, translation, type Matrix, type Point } from '../geometry';
import { parseSvgLength } from './svg-lengths';

type Size = { readonly width: number; readonly height: number };

/**
 * The matrix of a `transform`; null when any part of it can't be read, since half a transform puts things elsewhere.
 */
export function parseTransform(text: string | undefined): Matrix | null {
  if (!text || /^\s*(none|initial|unset|inherit)\s*$/i.test(text)) return IDENTITY;
  let matrix = IDENTITY;
  let rest = text.trim();
  while (rest !== '') {
    const call = /^([a-zA-Z]+)\s*\(([^)]*)\)[\s,]*/.exec(rest);
    if (!call) return null;
    const one = readCall(call[1]!.toLowerCase(), listArguments(call[2]!));
    if (!one) return null;
    matrix = composeMatrices(matrix, one);
    rest = rest.slice(call[0].length);
  }
  return matrix;
}

/** Numbers with their units; signs and points part them too, as in "1-2" and "1.5.5". */
const listArguments = (text: string): readonly string[] =>
  text.match(/[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?(?:[a-z]+|%)?/gi) ?? [];

const DEGREES_PER_UNIT: Readonly<Record<string, number>> = {
  '': 1,
  deg: 1,
  rad: 180 / Math.PI,
  grad: 0.9,
  turn: 360,
};

function readAngle(text: string): number {
  const match = /^(.*?\d\.?)([a-z]*)$/i.exec(text);
  const perUnit = DEGREES_PER_UNIT[(match?.[2] ?? '').toLowerCase()];
  return match && perUnit !== undefined ? Number(match[1]) * perUnit : NaN;
}
/** A share of the element's own box is not known here. */
const readLength = (text: string): number => (text.endsWith('%') ? NaN : (parseSvgLength(text, 0) ?? NaN));
const readFactor = (text: string): number => (text.endsWith('%') ? Number(text.slice(0, -1)) / 100 : Number(text));

function readCall(name: string, given: readonly string[]): Matrix | null {
  const lengths = given.map(readLength);
  const angles = given.map(readAngle);
  const factors = given.map(readFactor);
  const matrix = toMatrix(name, lengths, angles, factors);
  return matrix && Object.values(matrix).every(Number.isFinite) ? matrix : null;
}

function toMatrix(
  name: string,
  lengths: readonly number[],
  angles: readonly number[],
  factors: readonly number[],
): Matrix | null {
  const [x = NaN, y = 0] = lengths;
  const [angle = NaN, second = 0] = angles;
  const [factor = NaN, down = factor] = factors;
  switch (name) {
    case 'matrix': {
      const [a = NaN, b = NaN, c = NaN, d = NaN, e = NaN, f = NaN] = factors;
      return factors.length === 6 ? { a, b, c, d, e, f } : null;
    }
    case 'translate':
      return translation(x, y);
    case 'translatex':
      return translation(x, 0);
    case 'translatey':
      return translation(0, x);
    case 'scale':
      return scaling(factor, down);
    case 'scalex':
      return scaling(factor, 1);
    case 'scaley':
      return scaling(1, factor);
    case 'rotate':
      return lengths.length === 3 ? turnAbout({ x: lengths[1]!, y: lengths[2]! }, rotation(angle)) : rotation(angle);
    case 'skew':
      return { ...IDENTITY, c: tangent(angle), b: tangent(second) };
    case 'skewx':
      return { ...IDENTITY, c: tangent(angle) };
    case 'skewy':
      return { ...IDENTITY, b: tangent(angle) };
    default:
      return null;
  }
}

const tangent = (degrees: number): number => Math.tan((degrees * Math.PI) / 180);

const turnAbout = ({ x, y }: Point, matrix: Matrix): Matrix =>
  composeMatrices(translation(x, y), composeMatrices(matrix, translation(-x, -y)));

const SIDES: Readonly<Record<string, string>> = { left: '0%', top: '0%', right: '100%', bottom: '100%', center: '50%' };

/**
 * Where a transform has its origin, in user units: in the top left corner of the viewport unless said otherwise. Null
 * when it can't be read.
 */
function parseOrigin(text: string | undefined, viewport: Size): Point | null {
  if (!text || /^\s*(initial|unset|inherit)\s*$/i.test(text)) return { x: 0, y: 0 };
  const [first = '', second = 'center'] = text.trim().toLowerCase().split(/\s+/);
  const swapped = first === 'top' || first === 'bottom' || second === 'left' || second === 'right';
  const [across, down] = swapped ? [second, first] : [first, second];
  const x = parseSvgLength(SIDES[across] ?? across, viewport.width);
  const y = parseSvgLength(SIDES[down] ?? down, viewport.height);
  return x === null || y === null ? null : { x, y };
}

/** The transform of an element's styles about its origin; null when either can't be read. */
export function readTransform(styles: ReadonlyMap<string, string>, viewport: Size): Matrix | null {
  const matrix = parseTransform(styles.get('transform'));
  if (!matrix || matrix === IDENTITY) return matrix;
  const origin = parseOrigin(styles.get('transform-origin'), viewport);
  // The box of what is drawn is not known before it is drawn.
  const ownBox = /^(fill|content|stroke|border)-box$/i.test(styles.get('transform-box') ?? '');
  if (!origin || (ownBox && styles.has('transform-origin'))) return null;
  return turnAbout(origin, matrix);
}
