// Affine maps of the plane, in the order SVG writes them: x' = a·x + c·y + e, y' = b·x + d·y + f.

/** A sine or cosine below this is of a quarter turn: π has no exact value. */
const TURN_NOISE = 1e-15;

export type Point = { readonly x: number; readonly y: number };
export type Matrix = {
  readonly a: number;
  readonly b: number;
  readonly c: number;
  readonly d: number;
  readonly e: number;
  readonly f: number;
};

export const IDENTITY: Matrix = { a: 1, b: 0, c: 0, d: 1, e: 0, f: 0 };

/** The map that does `inner` first and `outer` after it. */
export function composeMatrices(outer: Matrix, inner: Matrix): Matrix {
  return {
    a: outer.a * inner.a + outer.c * inner.b,
    b: outer.b * inner.a + outer.d * inner.b,
    c: outer.a * inner.c + outer.c * inner.d,
    d: outer.b * inner.c + outer.d * inner.d,
    e: outer.a * inner.e + outer.c * inner.f + outer.e,
    f: outer.b * inner.e + outer.d * inner.f + outer.f,
  };
}

export const translation = (e: number, f: number): Matrix => ({ ...IDENTITY, e, f });
export const scaling = (a: number, d: number = a): Matrix => ({ ...IDENTITY, a, d });

/** Rotation by `degrees`, clockwise on a screen whose y points down. */
export function rotation(degrees: number): Matrix {
  const angle = (degrees * Math.PI) / 180;
  // Quarter turns exactly: an upright rectangle stays one.
  const [cosine, sine] = [Math.cos(angle), Math.sin(angle)].map((value) =>
    Math.abs(value) < TURN_NOISE ? 0 : value,
  ) as [number, number];
  return { a: cosine, b: sine, c: -sine, d: cosine, e: 0, f: 0 };
}

export function mapPoint(matrix: Matrix, point: Point): Point {
  return {
    x: matrix.a * point.x + matrix.c * point.y + matrix.e,
    y: matrix.b * point.x + matrix.d * point.y + matrix.f,
  };
}

/** The image of a direction: like `mapPoint`, but not moved. */
export function mapVector(matrix: Matrix, vector: Point): Point {
  return { x: matrix.a * vector.x + matrix.c * vector.y, y: matrix.b * vector.x + matrix.d * vector.y };
}
