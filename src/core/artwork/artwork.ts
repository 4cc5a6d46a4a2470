// What a drawing is to Chiral once read: layers of exact shapes, one layer a colour, and what had to be left out.

import type { Cap, Contour, FillRuleName, Join, Matrix } from '../geometry';

export type Shape = {
  readonly contours: readonly Contour[];
  readonly rule: FillRuleName;
  /** Each entry is a union of shapes; only what lies inside every entry is painted. */
  readonly clips: readonly (readonly Shape[])[];
};

/**
 * A line drawn with a pen: `contours` and `width` in its own units, which `matrix` brings to mm as the file states
 * them.
 */
export type StrokeShape = {
  readonly colour: string;
  readonly contours: readonly Contour[];
  readonly width: number;
  readonly matrix: Matrix;
  readonly join: Join;
  readonly cap: Cap;
  readonly miterLimit: number;
  readonly clips: Shape['clips'];
};

/**
 * All shapes of one fill colour (#rrggbb, without its alpha), in drawing order, coordinates in mm as the file states
 * them.
 */
export type ArtworkLayer = { readonly colour: string; readonly shapes: readonly Shape[] };

export type LeftOutKind =
  | 'text'
  | 'image'
  | 'stroke'
  | 'mask'
  | 'filter'
  | 'pattern'
  | 'script'
  | 'outside-link'
  | 'unknown-shape'
  | 'bad-path'
  | 'style-rule';
/** Something that was not taken over, by kind, how often, and up to three names (ids or what was written). */
export type LeftOut = { readonly kind: LeftOutKind; readonly count: number; readonly names: readonly string[] };

export type Artwork = {
  readonly layers: readonly ArtworkLayer[];
  /** Strokes, apart from the layers: they are not cut until they are turned into outlines. */
  readonly strokes: readonly StrokeShape[];
  readonly leftOut: readonly LeftOut[];
  /** Fills that fade from one colour to another, taken as one layer of their first colour. */
  readonly gradients: number;
  /** 'stated': width and height were given as lengths. 'assumed': taken from the drawing's units at 96 to the inch. */
  readonly size: 'stated' | 'assumed';
};

export type ReadProblem =
  | { readonly kind: 'empty-file' }
  | { readonly kind: 'file-too-large'; readonly bytes: number; readonly limitBytes: number }
  | { readonly kind: 'not-svg'; readonly found: string }
  | { readonly kind: 'broken-file'; readonly line: number; readonly column: number; readonly detail: string }
  | { readonly kind: 'forbidden-entity'; readonly name: string }
  | { readonly kind: 'too-deep'; readonly limit: number }
  | { readonly kind: 'too-many-elements'; readonly limit: number }
  | { readonly kind: 'nothing-to-cut'; readonly leftOut: readonly LeftOut[] };

export type MeasureProblem =
  | { readonly kind: 'nothing-to-cut'; readonly leftOut: readonly LeftOut[] }
  | { readonly kind: 'too-many-segments'; readonly segments: number; readonly limit: number }
  | { readonly kind: 'width-out-of-range'; readonly leastMm: number; readonly mostMm: number };

/** Largest file read, bytes. */
export const FILE_LIMIT_BYTES = 20 * 1024 * 1024;
/** Widths a piece may be measured at, mm: from a small bead to the widest roll there is. */
export const WIDTH_RANGE_MM = { least: 3, most: 3000 } as const;

/**
 * What a layer is for: worn on the blank, a stencil or template that is used and kept, a product of its own, or a guide
 * that is not cut.
 */
export const LAYER_ROLES = ['worn', 'stencil', 'product', 'guide'] as const;
export type LayerRole = (typeof LAYER_ROLES)[number];

/**
 * What the seller knows of the right to use a drawing. Unknown and personal-only ones are cautioned on things for sale.
 */
export const LICENCES = ['unknown', 'own', 'for-sale', 'customer', 'open', 'personal-only'] as const;
export type Licence = (typeof LICENCES)[number];
