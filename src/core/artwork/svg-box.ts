// The box of an element and of what is in it, which some units of SVG count in.

import {
  boundPoints,
  composeMatrices,
  flattenContour,
  IDENTITY,
  scaling,
  translation,
  type Box,
  type Matrix,
  type Point,
} from '../geometry';
import { resolveDeclarations, type StyleSheet } from './style-sheet';
import { isShownHere, NEVER_DRAWN, placeContours } from './svg-elements';
import { parseSvgLength } from './svg-lengths';
import { outlineShape, SHAPE_NAMES, type Viewport } from './svg-shapes';
import { readTransform } from './svg-transform';
import type { XmlElement } from './xml-tree';

type Drawing = {
  readonly byId: ReadonlyMap<string, XmlElement>;
  readonly sheets: readonly StyleSheet[];
  readonly viewport: Viewport;
};

/** As large is a drawing looked at: curves are flattened to a fixed length. */
const LOOKED_AT = 1000;
/** Elements looked at most, repeats by <use> included. */
const MOST_ELEMENTS = 20_000;
const MOST_USES = 32;

/**
 * In the element's own units, whatever is painted or clipped of it (SVG 2, 8.10: the object bounding box without
 * strokes). Null where it draws nothing.
 */
export function findOwnBox(element: XmlElement, drawing: Drawing): Box | null {
  const k = LOOKED_AT / Math.max(drawing.viewport.width, drawing.viewport.height);
  const left = { elements: MOST_ELEMENTS };
  const box = boundPoints([listPoints(element, scaling(k), { ...drawing, left, uses: 0 })]);
  return box && { x: box.x / k, y: box.y / k, width: box.width / k, height: box.height / k };
}

type Walk = Drawing & { readonly left: { elements: number }; readonly uses: number };

function listPoints(element: XmlElement, matrix: Matrix, walk: Walk): readonly Point[] {
  if (--walk.left.elements < 0) return [];
  const { byId, sheets, viewport } = walk;
  if (SHAPE_NAMES.has(element.name)) {
    const styles = resolveDeclarations(element, sheets);
    const { contours } = outlineShape(element.name, (attribute) => styles.get(attribute), viewport);
    return placeContours(contours, matrix).flatMap((contour) => flattenContour(contour));
  }
  if (element.name !== 'use') return listPointsOf(element.children, matrix, walk);
  const target = byId.get((element.attributes['href'] ?? '').slice(1));
  if (!target || walk.uses >= MOST_USES) return [];
  const x = parseSvgLength(element.attributes['x'], viewport.width) ?? 0;
  const y = parseSvgLength(element.attributes['y'], viewport.height) ?? 0;
  const moved = composeMatrices(matrix, translation(x, y));
  return listPointsOf([target], moved, { ...walk, uses: walk.uses + 1 });
}

const listPointsOf = (elements: readonly XmlElement[], matrix: Matrix, walk: Walk): readonly Point[] =>
  elements.filter(isShownHere).flatMap((element) => {
    const styles = resolveDeclarations(element, walk.sheets);
    if (NEVER_DRAWN.has(element.name) || styles.get('display') === 'none') return [];
    const own = readTransform(styles, walk.viewport) ?? IDENTITY;
    return listPoints(element, composeMatrices(matrix, own), walk);
  });
