// Which flat colour an element is filled with, after inheritance, paint servers and opacities.

import type { Cap, Join } from '../geometry';
import { parseColour } from './colour';
import { parseNumbers } from './svg-lengths';
import { resolveDeclarations, type StyleSheet } from './style-sheet';
import type { XmlElement } from './xml-tree';

/** The inherited state of painting at an element; `fill` and `stroke` are as written, `currentColor` resolved late. */
export type PaintState = {
  readonly fill: string;
  readonly stroke: string;
  readonly strokeWidth: string;
  readonly strokeJoin: Join;
  readonly strokeCap: Cap;
  readonly miterLimit: number;
  readonly color: string;
  readonly fillRule: 'nonzero' | 'evenodd';
  readonly clipRule: 'nonzero' | 'evenodd';
  readonly visible: boolean;
  readonly fillOpacity: number;
  readonly strokeOpacity: number;
};

export const INITIAL_PAINT: PaintState = {
  fill: 'black',
  stroke: 'none',
  strokeWidth: '1',
  strokeJoin: 'miter',
  strokeCap: 'butt',
  miterLimit: 4,
  color: 'black',
  fillRule: 'nonzero',
  clipRule: 'nonzero',
  visible: true,
  fillOpacity: 1,
  strokeOpacity: 1,
};

const JOIN_NAMES: readonly Join[] = ['miter', 'round', 'bevel'];
const CAP_NAMES: readonly Cap[] = ['butt', 'round', 'square'];
const asOneOf = <T extends string>(names: readonly T[], text: string | undefined, inherited: T): T =>
  names.find((name) => name === text?.toLowerCase()) ?? inherited;

const RULES = ['nonzero', 'evenodd'] as const;

export function parseOpacity(text: string | undefined, inherited: number): number {
  const [value] = parseNumbers(text ?? '');
  if (value === undefined) return inherited;
  return Math.min(1, Math.max(0, text?.includes('%') ? value / 100 : value));
}

/** All of these are inherited by themselves, so that `unset` means the same as `inherit`. */
const isInherited = (text: string | undefined): text is undefined | '' =>
  text === undefined || text === '' || /^(inherit|unset|revert|revert-layer)$/i.test(text);

const asPaint = (text: string | undefined, inherited: string, initial: string): string => {
  if (isInherited(text)) return inherited;
  if (/^initial$/i.test(text)) return initial;
  return /^(url\(|currentcolor$|context-)/i.test(text) || parseColour(text) !== null ? text : inherited;
};

const asWidth = (text: string | undefined, inherited: string): string => {
  if (isInherited(text)) return inherited;
  return /^initial$/i.test(text) ? INITIAL_PAINT.strokeWidth : text;
};

/** The painting state of an element under its parent's; unreadable values are as if not written. */
export function inheritPaint(parent: PaintState, styles: ReadonlyMap<string, string>): PaintState {
  const visibility = styles.get('visibility');
  return {
    color: asPaint(styles.get('color'), parent.color, INITIAL_PAINT.color),
    fill: asPaint(styles.get('fill'), parent.fill, INITIAL_PAINT.fill),
    stroke: asPaint(styles.get('stroke'), parent.stroke, INITIAL_PAINT.stroke),
    strokeWidth: asWidth(styles.get('stroke-width'), parent.strokeWidth),
    strokeJoin: asOneOf(JOIN_NAMES, styles.get('stroke-linejoin'), parent.strokeJoin),
    strokeCap: asOneOf(CAP_NAMES, styles.get('stroke-linecap'), parent.strokeCap),
    miterLimit: Math.max(1, parseNumbers(styles.get('stroke-miterlimit') ?? '')[0] ?? parent.miterLimit),
    fillRule: asOneOf(RULES, styles.get('fill-rule'), parent.fillRule),
    clipRule: asOneOf(RULES, styles.get('clip-rule'), parent.clipRule),
    visible: isInherited(visibility) ? parent.visible : /^(visible|initial)$/i.test(visibility),
    fillOpacity: parseOpacity(styles.get('fill-opacity'), parent.fillOpacity),
    strokeOpacity: parseOpacity(styles.get('stroke-opacity'), parent.strokeOpacity),
  };
}

export type ResolvedPaint =
  | { readonly kind: 'nothing' }
  | { readonly kind: 'flat' | 'gradient'; readonly colour: string }
  | { readonly kind: 'pattern'; readonly id: string };

export type PaintServers = {
  readonly findById: (id: string) => XmlElement | undefined;
  readonly sheets: readonly StyleSheet[];
};

export function resolvePaint(paint: string, color: string, servers: PaintServers): ResolvedPaint {
  const link = /^url\(\s*["']?#([^"')]+)["']?\s*\)\s*(.*)$/i.exec(paint);
  if (link) {
    const server = servers.findById(link[1]!);
    if (server?.name === 'pattern') return { kind: 'pattern', id: link[1]! };
    const colour = server && firstStopColour(server, servers, 0);
    if (colour === 'nothing') return { kind: 'nothing' };
    if (colour) return { kind: 'gradient', colour };
    return link[2] ? resolvePaint(link[2], color, servers) : { kind: 'nothing' };
  }
  const colour = parseColour(/^currentcolor$/i.test(paint) ? (/^currentcolor$/i.test(color) ? 'black' : color) : paint);
  return colour === null || colour === 'nothing' ? { kind: 'nothing' } : { kind: 'flat', colour };
}

function firstStopColour(gradient: XmlElement, servers: PaintServers, depth: number): string | null {
  let faintest: string | null = null;
  for (const stop of gradient.children) {
    if (stop.name !== 'stop') continue;
    const styles = resolveDeclarations(stop, servers.sheets);
    const colour = parseColour(styles.get('stop-color') ?? 'black');
    if (colour && colour !== 'nothing' && parseOpacity(styles.get('stop-opacity'), 1) > 0) return colour;
    faintest = 'nothing';
  }
  if (faintest) return faintest;
  const next = gradient.attributes['href']?.replace(/^#/, '');
  const target = next && depth < 8 ? servers.findById(next) : undefined;
  return target ? firstStopColour(target, servers, depth + 1) : null;
}
