// From an artwork and its list of steps to layers ready to cut.

import { fail, succeed, type Result } from '../../units';
import type { Artwork, MeasureProblem } from '../artwork';
import { countSegments, type FlatLayer } from '../flat-layers';
import {
  assembleArtwork,
  flattenAtSize,
  resolveLayer,
  shiftArtwork,
  type ArtworkSize,
  type ResolvedArtwork,
  type ResolveOptions,
  measureOwnWidth,
} from '../resolve-artwork';
import {
  addNegative,
  addRegistration,
  addStoneTemplate,
  addWeedBoxes,
  knockOut,
  mergeLayers,
  offsetLayer,
  removeDoubled,
  removeSpecks,
  treatOpenPaths,
  uniteShapes,
} from './layer-steps';
import { splitLayer } from './split-layer';
import type { PrepStep, StepAction } from './steps';

/** A drawing that would move by less stays where it is, mm. */
const UNMOVED_MM = 1e-3;

/** As wide is a drawing that states no size, until one is chosen. */
export const START_WIDTH_MM = 200;

/**
 * The artwork after its steps, in their order; those that are off are skipped, as are those that name a layer that is
 * not there. Turning, strokes and size come first in any case, since lengths of the others count at real size.
 * Problems as `resolveArtwork`; nothing-to-cut when no step leaves anything.
 */
export function prepareLayers(artwork: Artwork, steps: readonly PrepStep[]): Result<ResolvedArtwork, MeasureProblem> {
  const on = steps.filter((step) => step.on);
  const options: ResolveOptions = {
    strokes: on.some((step) => step.kind === 'outline-strokes'),
    rotateDegrees: on.reduce((sum, step) => sum + (step.kind === 'rotate' ? step.degrees : 0), 0),
  };
  const flat = flattenToSize(artwork, on, options);
  if (!flat.ok) return flat;
  const layers = on.reduce<readonly FlatLayer[]>((before, step) => applyStep(before, step), flat.value);
  const prepared = assembleArtwork(layers.map(resolveLayer), {
    segments: countSegments(artwork),
    strokesApart: options.strokes ? 0 : artwork.strokes.length,
  });
  return prepared.layers.length > 0
    ? succeed(moveToOrigin(prepared))
    : fail({ kind: 'nothing-to-cut', leftOut: artwork.leftOut });
}

function flattenToSize(
  artwork: Artwork,
  on: readonly PrepStep[],
  options: ResolveOptions,
): Result<readonly FlatLayer[], MeasureProblem> {
  const size = [...on].reverse().find((step) => step.kind === 'size');
  const asked: ArtworkSize =
    size?.kind !== 'size' || (size.widthMm === undefined && size.heightMm === undefined)
      ? { widthMm: measureOwnWidth(artwork, options) ?? START_WIDTH_MM }
      : size.widthMm !== undefined
        ? { widthMm: size.widthMm }
        : { heightMm: size.heightMm! };
  const flat = flattenAtSize(artwork, asked, options);
  if (!flat.ok || size?.kind !== 'size' || !size.fit || size.heightMm === undefined || size.widthMm === undefined)
    return flat;
  // To fit both: by width unless that makes it too high.
  const heightMm = assembleArtwork(flat.value.map(resolveLayer), { segments: 0, strokesApart: 0 }).heightMm;
  return heightMm <= size.heightMm ? flat : flattenAtSize(artwork, { heightMm: size.heightMm }, options);
}

function applyStep(layers: readonly FlatLayer[], step: StepAction): readonly FlatLayer[] {
  switch (step.kind) {
    case 'size':
    case 'rotate':
    case 'outline-strokes':
      return layers;
    case 'merge':
      return mergeLayers(layers, step.layer, step.into);
    case 'leave-out':
      return layers.filter((layer) => layer.key !== step.layer);
    case 'open-paths':
      return treatOpenPaths(layers, step.how, step.widthMm);
    case 'remove-doubled':
      return removeDoubled(layers, step.withinMm);
    case 'remove-specks':
      return removeSpecks(layers, step.underMm2);
    case 'unite':
      return uniteShapes(layers);
    case 'offset':
      return offsetLayer(layers, step.layer, step.byMm, step.copy);
    case 'knock-out':
      return knockOut(layers, step.lower, step.upper, step.overlapMm);
    case 'negative':
      return addNegative(layers, step.layer, step.marginMm);
    case 'registration':
      return addRegistration(layers, step.sizeMm, step.gapMm);
    case 'weed-boxes':
      return addWeedBoxes(layers, step.layer, step.marginMm, step.joinMm);
    case 'loose':
      return layers.map((layer) => (layer.key === step.layer ? { ...layer, loose: true } : layer));
    case 'role':
      return layers.map((layer) => (layer.key === step.layer ? { ...layer, role: step.role } : layer));
    case 'split':
      return splitLayer(layers, step.layer, step.mostMm, step.overlapMm);
    case 'stone-template':
      return addStoneTemplate(layers, step);
    default:
      return step satisfies never;
  }
}

/** Steps may have grown or cut the design: its top left corner is the origin again. */
function moveToOrigin(artwork: ResolvedArtwork): ResolvedArtwork {
  const x = Math.min(...artwork.layers.map((layer) => layer.box.x)),
    y = Math.min(...artwork.layers.map((layer) => layer.box.y));
  return Math.abs(x) < UNMOVED_MM && Math.abs(y) < UNMOVED_MM ? artwork : shiftArtwork(artwork, -x, -y);
}
