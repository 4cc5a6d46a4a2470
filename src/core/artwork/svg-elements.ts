// Small facts of an SVG element: what is never drawn, what groups, links, view boxes, names.

import type { XmlElement } from './xml-tree';
import { parseNumbers } from './svg-lengths';
import { type Contour, type Matrix, transformContour } from '../geometry';

export const NEVER_DRAWN = new Set([
  'defs',
  'clipPath',
  'mask',
  'marker',
  'pattern',
  'linearGradient',
  'radialGradient',
  'filter',
  'style',
  'script',
  'title',
  'desc',
  'metadata',
  'symbol',
  'animate',
  'animateTransform',
  'animateMotion',
  'set',
  'view',
  'cursor',
  'font',
  'font-face',
  'namedview',
  'color-profile',
]);

export const GROUPS = new Set(['g', 'a', 'switch', 'svg']);

export const isSet = (value: string | undefined): boolean => value !== undefined && value !== 'none' && value !== '';

export const isOutside = (link: string | undefined): boolean =>
  link !== undefined && link !== '' && !link.startsWith('#') && !link.startsWith('data:');

export const nameOf = (element: XmlElement): string => element.attributes['id'] ?? `<${element.name}>`;

export const collectText = (element: XmlElement): string =>
  (element.text + element.children.map(collectText).join(' ')).replace(/\s+/g, ' ').trim();

export function readViewBox(element: XmlElement): readonly number[] | null {
  const numbers = parseNumbers(element.attributes['viewBox'] ?? '');
  return numbers.length === 4 && numbers[2]! > 0 && numbers[3]! > 0 ? numbers : null;
}

export const placeContours = (contours: readonly Contour[], matrix: Matrix): readonly Contour[] =>
  contours.map((contour) => transformContour(contour, matrix)).filter(isFinite);

function isFinite(contour: Contour): boolean {
  const sound = (point: { x: number; y: number }) => Math.abs(point.x) < 1e7 && Math.abs(point.y) < 1e7;
  return sound(contour.start) && contour.segments.every((segment) => sound(segment.to));
}
