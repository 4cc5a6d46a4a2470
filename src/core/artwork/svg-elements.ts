// Small facts of an SVG element: what is never drawn, what groups, links, view boxes, names.

import { FILE_LIMIT_BYTES, type ReadProblem } from './artwork';
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

/** Conditions on an element (SVG 2, 5.9): no extension is known here, and drawings are read in English. */
export function isShownHere({ attributes }: XmlElement): boolean {
  if (attributes['requiredExtensions'] !== undefined) return false;
  const languages = attributes['systemLanguage'];
  return languages === undefined || languages.split(',').some((language) => /^\s*en(-|\s*$)/i.test(language));
}

/** What is no SVG at all, told before it is parsed. */
export function refuseEarly(text: string): ReadProblem | null {
  if (text.trim() === '') return { kind: 'empty-file' };
  if (text.length > FILE_LIMIT_BYTES)
    return { kind: 'file-too-large', bytes: text.length, limitBytes: FILE_LIMIT_BYTES };
  const beginning = text.replace(/^\uFEFF/, '').trimStart();
  if (!beginning.startsWith('<'))
    return { kind: 'not-svg', found: beginning.slice(0, 24).replace(/[^\x20-\x7e]+/g, '·') };
  if (/^<!doctype html|^<html/i.test(beginning)) return { kind: 'not-svg', found: '<html>' };
  return null;
}
