// A figure with its working as lines of text, for tests that hold every step of it.

import type { Figure } from '../src/core/units';

/** One line a figure: label, value to two digits, unit, source and how it came about; its parts are set in. */
export function printWorking(figure: Figure, depth = Infinity, indent = ''): string {
  const { label, value, unit, source, how, parts = [] } = figure;
  const line = `${indent}${label}: ${Math.round(value * 100) / 100} ${unit}, ${source}${how ? ` (${how})` : ''}`;
  const below = depth > 0 ? parts.map((part) => printWorking(part, depth - 1, `${indent}  `)) : [];
  return [line, ...below].join('\n');
}
