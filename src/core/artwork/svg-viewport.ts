// Where things are drawn: the root's viewport in mm, and viewports within it.

import { composeMatrices, IDENTITY, scaling, transformContour, translation, type Matrix } from '../geometry';
import { MM_PER_INCH } from '../units';
import type { Shape } from './artwork';
import { INITIAL_PAINT, type PaintState } from './paint';
import { resolveDeclarations, type StyleSheet } from './style-sheet';
import { readViewBox } from './svg-elements';
import { fitViewBox, isRealLength, MM_PER_PX, parseSvgLength } from './svg-lengths';
import { outlineShape, type Viewport } from './svg-shapes';
import type { XmlElement } from './xml-tree';

/** What holds inside an element: lengths there are in its own units, `matrix` makes mm of them. */
export type Place = {
  readonly matrix: Matrix;
  readonly paint: PaintState;
  readonly opacity: number;
  readonly viewport: Viewport;
  readonly clips: Shape['clips'];
  readonly uses: readonly string[];
};

/** The outermost place, and whether the file states a size in lengths that are real ones. */
export function placeRoot(root: XmlElement, pxPerInch: number): { readonly place: Place; readonly isStated: boolean } {
  const { width, height } = root.attributes;
  const viewBox = readViewBox(root);
  const statedWidth = width?.includes('%') ? null : parseSvgLength(width, 0);
  const statedHeight = height?.includes('%') ? null : parseSvgLength(height, 0);
  const ratio = viewBox ? viewBox[3]! / viewBox[2]! : 1;
  const viewport: Viewport = {
    width: statedWidth ?? (statedHeight && viewBox ? statedHeight / ratio : (viewBox?.[2] ?? 300)),
    height: statedHeight ?? (statedWidth && viewBox ? statedWidth * ratio : (viewBox?.[3] ?? 150)),
  };
  const sized = statedWidth !== null || statedHeight !== null;
  // Pixels say how large it looks on a screen, not how large it is made.
  const isStated = isRealLength(width) || isRealLength(height);
  const inner = viewBox ? fitViewBox(viewBox, viewport, root.attributes['preserveAspectRatio']) : IDENTITY;
  const place: Place = {
    matrix: composeMatrices(scaling(sized ? MM_PER_PX : MM_PER_INCH / pxPerInch), inner),
    paint: INITIAL_PAINT,
    opacity: 1,
    clips: [],
    uses: [],
    viewport: viewBox ? { width: viewBox[2]!, height: viewBox[3]! } : viewport,
  };
  return { place, isStated };
}

/** A nested viewport: moved, scaled to its viewBox, and cut off at its edge unless overflow is visible. */
export function enterViewport(
  sheets: readonly StyleSheet[],
  element: XmlElement,
  place: Place,
  size: Readonly<Record<string, string>>,
): Place {
  const x = parseSvgLength(size['x'], place.viewport.width) ?? 0;
  const y = parseSvgLength(size['y'], place.viewport.height) ?? 0;
  const width = parseSvgLength(size['width'] ?? '100%', place.viewport.width) ?? place.viewport.width;
  const height = parseSvgLength(size['height'] ?? '100%', place.viewport.height) ?? place.viewport.height;
  const viewBox = readViewBox(element);
  const moved = composeMatrices(place.matrix, translation(x, y));
  const inner = viewBox
    ? composeMatrices(moved, fitViewBox(viewBox, { width, height }, element.attributes['preserveAspectRatio']))
    : moved;
  const overflow = resolveDeclarations(element, sheets).get('overflow');
  const edge = outlineShape(
    'rect',
    (attribute) => ({ x: '0', y: '0', width: String(width), height: String(height) })[attribute],
    { width, height },
  );
  const clip: Shape = {
    contours: edge.contours.map((contour) => transformContour(contour, moved)),
    rule: 'nonzero',
    clips: [],
  };
  const clipped = overflow === 'visible' || overflow === 'auto' ? place.clips : [...place.clips, [clip]];
  return {
    ...place,
    matrix: inner,
    clips: clipped,
    viewport: viewBox ? { width: viewBox[2]!, height: viewBox[3]! } : { width, height },
  };
}
