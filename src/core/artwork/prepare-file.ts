// From a file's text and its steps to all that is kept and shown of it, in one go: what the worker and the server do
// alike.

import { succeed, type Result } from '../units';
import type { Artwork, LeftOut, MeasureProblem, ReadProblem } from './artwork';
import { resolveLettering } from './lettering/resolve-lettering';
import { measureResolved } from './measure-artwork';
import type { ThinnessOptions } from './measure-thinness';
import { drawPicture, type ArtworkPicture } from './picture';
import { prepareLayers } from './prepare/prepare-layers';
import { proposeFirstSteps, type PrepStep } from './prepare/steps';
import { readDrawing } from './read-drawing';
import type { ResolvedArtwork } from './resolve-artwork';
import type { ArtworkMeasurement } from './measurement';

type PreparedFacts = {
  readonly measurement: ArtworkMeasurement;
  readonly picture: ArtworkPicture;
  readonly leftOut: readonly LeftOut[];
  readonly gradients: number;
  readonly sizeStated: boolean;
};
export type Prepared = { readonly facts: PreparedFacts; readonly resolved: ResolvedArtwork };

/** `steps` null: those that the drawing needs at once; `widthMm` null: at the size that it states. */
export function prepareFile(
  text: string,
  steps: readonly PrepStep[] | null,
  widthMm: number | null,
): Result<Prepared, ReadProblem | MeasureProblem> {
  const artwork = readDrawing(text);
  return artwork.ok ? prepareRead(artwork.value, steps ?? startSteps(artwork.value, widthMm)) : artwork;
}

const startSteps = (artwork: Artwork, widthMm: number | null): readonly PrepStep[] => [
  ...(widthMm === null ? [] : [{ kind: 'size', widthMm, on: true } as const]),
  ...proposeFirstSteps(artwork),
];

export function prepareRead(
  artwork: Artwork,
  steps: readonly PrepStep[],
  options: ThinnessOptions = {},
): Result<Prepared, MeasureProblem> {
  const resolved = prepareLayers(artwork, steps);
  if (!resolved.ok) return resolved;
  const outlined = steps.some((step) => step.on && step.kind === 'outline-strokes');
  const leftOut = outlined ? artwork.leftOut.filter((entry) => entry.kind !== 'stroke') : artwork.leftOut;
  return succeed(describe({ ...artwork, leftOut }, resolved.value, options));
}

/** A text as it was set: what `prepareRead` says of it without steps. */
export function prepareText(settled: Artwork, options: ThinnessOptions = {}): Result<Prepared, MeasureProblem> {
  const resolved = resolveLettering(settled);
  return resolved ? succeed(describe(settled, resolved, options)) : prepareRead(settled, [], options);
}

const describe = (
  { gradients, size, leftOut }: Artwork,
  resolved: ResolvedArtwork,
  options: ThinnessOptions,
): Prepared => ({
  resolved,
  facts: {
    measurement: measureResolved(resolved, options),
    picture: drawPicture(resolved),
    gradients,
    sizeStated: size === 'stated',
    leftOut,
  },
});
