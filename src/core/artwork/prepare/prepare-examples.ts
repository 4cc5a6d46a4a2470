// Small drawings, read and prepared, for tests.

import {
  measureResolved,
  prepareLayers,
  readSvg,
  type Artwork,
  type PrepStep,
  type ResolvedArtwork,
  type StepAction,
} from '../index';

const svg = (body: string) => `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 200 200">${body}</svg>`;
export function read(body: string): Artwork {
  const result = readSvg(svg(body));
  if (!result.ok) throw new Error(result.problem.kind);
  return result.value;
}
export function prepare(body: string, ...steps: readonly (StepAction & { on?: boolean })[]): ResolvedArtwork {
  const result = prepareLayers(
    read(body),
    steps.map((step): PrepStep => ({ on: true, ...step })),
  );
  if (!result.ok) throw new Error(result.problem.kind);
  return result.value;
}
export const areasOf = (artwork: ResolvedArtwork) =>
  Object.fromEntries(measureResolved(artwork).layers.map((layer) => [layer.key, Math.round(layer.netMm2 * 100) / 100]));
export const RED = '#ff0000',
  BLUE = '#0000ff';
export const SIZE = { kind: 'size', widthMm: 100 } as const;
export const TWO = '<rect fill="red" width="100" height="60"/><rect fill="blue" x="20" y="10" width="40" height="20"/>';
