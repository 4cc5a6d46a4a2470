// What each step does to the layers. Every function returns new layers; a layer that is not named stays as it is.

import {
  boundPoints,
  boundRegion,
  computeRingArea,
  fillRegion,
  groupByOverlap,
  makeRegion,
  offsetRegion,
  splitPieces,
  strokeLine,
  subtractRegions,
  uniteBoxes,
  uniteRegions,
  type Box,
  type Piece,
  type Polyline,
  type Region,
} from '../../geometry';
import { findDoubledContours } from '../doubled-contours';
import { makeFlatShape, type FlatLayer, type FlatLine, type FlatShape } from '../flat-layers';
import { findDots } from './dots';

export const regionOf = (layer: FlatLayer): Region => uniteRegions(layer.shapes.map((shape) => shape.region));
export const withRegion = (layer: FlatLayer, region: Region): FlatLayer => ({
  ...layer,
  shapes: region.rings.length > 0 ? [makeFlatShape(region)] : [],
});
const refill = (shape: FlatShape, lines: readonly FlatLine[]): FlatShape => ({
  ...shape,
  lines,
  region: fillRegion(
    lines.map((line) => line.points),
    shape.rule,
  ),
});

type Layers = readonly FlatLayer[];
const change = (layers: Layers, key: string, to: (layer: FlatLayer) => FlatLayer): Layers =>
  layers.map((layer) => (layer.key === key ? to(layer) : layer));

export function mergeLayers(layers: Layers, key: string, into: string): Layers {
  const moved = layers.find((layer) => layer.key === key);
  if (!moved || key === into || !layers.some((layer) => layer.key === into)) return layers;
  return change(
    layers.filter((layer) => layer !== moved),
    into,
    (target) => ({
      ...target,
      shapes: [...target.shapes, ...moved.shapes],
      extras: [...target.extras, ...moved.extras],
    }),
  );
}

/** Open contours closed with a straight line, left out, or taken as a band of the given width. */
export function treatOpenPaths(layers: Layers, how: 'close' | 'leave-out' | 'stroke', widthMm: number): Layers {
  return layers.map((layer) => ({
    ...layer,
    shapes: layer.shapes.flatMap((shape): FlatShape[] => {
      if (!shape.lines.some((line) => line.open)) return [shape];
      if (how === 'close') return [{ ...shape, lines: shape.lines.map((line) => ({ ...line, open: false })) }];
      const bands =
        how === 'stroke'
          ? shape.lines
              .filter((line) => line.open)
              .map((line) =>
                makeFlatShape(strokeLine(line.points, false, { widthMm, join: 'round', cap: 'round', miterLimit: 4 })),
              )
          : [];
      return [
        refill(
          shape,
          shape.lines.filter((line) => !line.open),
        ),
        ...bands,
      ].filter((part) => part.region.rings.length > 0);
    }),
  }));
}

export function removeDoubled(layers: Layers, withinMm: number): Layers {
  return layers.map((layer) => {
    const places = layer.shapes
      .flatMap((shape, shapeIndex) =>
        shape.lines.map((line, lineIndex) => ({ shapeIndex, lineIndex, points: line.points })),
      )
      .filter((place) => computeRingArea(place.points) > 0);
    const doubled = new Set(
      findDoubledContours(
        places.map((place) => place.points),
        withinMm,
      ).map((index) => `${places[index]!.shapeIndex}/${places[index]!.lineIndex}`),
    );
    if (doubled.size === 0) return layer;
    const shapes = layer.shapes.map((shape, shapeIndex) => {
      const kept = shape.lines.filter((_, lineIndex) => !doubled.has(`${shapeIndex}/${lineIndex}`));
      return kept.length === shape.lines.length ? shape : refill(shape, kept);
    });
    return { ...layer, shapes: shapes.filter((shape) => shape.region.rings.length > 0) };
  });
}

const toRegion = (pieces: readonly Piece[]): Region =>
  makeRegion(pieces.flatMap((piece) => [piece.outer, ...piece.cavities]));

export function removeSpecks(layers: Layers, underMm2: number): Layers {
  return layers.map((layer) => {
    const pieces = splitPieces(regionOf(layer));
    const kept = pieces
      .map((piece) => ({ ...piece, cavities: piece.cavities.filter((cavity) => computeRingArea(cavity) >= underMm2) }))
      .filter((piece) => computeRingArea(piece.outer) >= underMm2);
    const same =
      kept.length === pieces.length &&
      kept.every((piece, index) => piece.cavities.length === pieces[index]!.cavities.length);
    return same ? layer : withRegion(layer, toRegion(kept));
  });
}

export const uniteShapes = (layers: Layers): Layers =>
  layers.map((layer) => (layer.shapes.length === 0 ? layer : withRegion(layer, regionOf(layer))));

export function offsetLayer(layers: Layers, key: string, byMm: number, copy: boolean): Layers {
  return layers.flatMap((layer) => {
    if (layer.key !== key) return [layer];
    const grown = withRegion(layer, offsetRegion(regionOf(layer), byMm));
    return copy ? [{ ...grown, key: `${key} outline ${byMm}`, extras: [] }, layer] : [grown];
  });
}

export function knockOut(layers: Layers, lower: string, upper: string, overlapMm: number): Layers {
  const over = layers.find((layer) => layer.key === upper);
  if (!over) return layers;
  const hole = offsetRegion(regionOf(over), -overlapMm);
  return change(layers, lower, (layer) => withRegion(layer, subtractRegions(regionOf(layer), hole)));
}

const boxRing = (box: Box, byMm: number): Polyline => {
  const left = box.x - byMm,
    top = box.y - byMm,
    right = box.x + box.width + byMm,
    bottom = box.y + box.height + byMm;
  return [
    { x: left, y: top },
    { x: right, y: top },
    { x: right, y: bottom },
    { x: left, y: bottom },
  ];
};

export function addNegative(layers: Layers, key: string, marginMm: number): Layers {
  return layers.flatMap((layer) => {
    const region = layer.key === key ? regionOf(layer) : null;
    const box = region && boundRegion(region);
    if (!region || !box) return [layer];
    return [
      layer,
      {
        ...withRegion(layer, subtractRegions(makeRegion([boxRing(box, marginMm)]), region)),
        key: `${key} negative`,
        role: 'product' as const,
        extras: [],
      },
    ];
  });
}

/**
 * The same three marks on every layer, outside the whole design: two squares and a diamond, so that no turn or flip
 * fits.
 */
export function addRegistration(layers: Layers, sizeMm: number, gapMm: number): Layers {
  const box = uniteBoxes(layers.flatMap((layer) => boundRegion(regionOf(layer)) ?? []));
  if (!box) return layers;
  const half = sizeMm / 2;
  const left = box.x - gapMm - half,
    right = box.x + box.width + gapMm + half,
    top = box.y - gapMm - half,
    bottom = box.y + box.height + gapMm + half;
  const square = (x: number, y: number): Polyline => [
    { x: x - half, y: y - half },
    { x: x + half, y: y - half },
    { x: x + half, y: y + half },
    { x: x - half, y: y + half },
  ];
  const diamond = (x: number, y: number): Polyline => [
    { x, y: y - half },
    { x: x + half, y },
    { x, y: y + half },
    { x: x - half, y },
  ];
  const marks = [square(left, top), square(right, bottom), diamond(right, top)];
  return layers.map((layer) => ({ ...layer, extras: [...layer.extras, ...marks] }));
}

export function addWeedBoxes(layers: Layers, key: string, marginMm: number, joinMm: number): Layers {
  return change(layers, key, (layer) => {
    const boxes = splitPieces(regionOf(layer)).map((piece) => boundPoints([piece.outer])!);
    const near = boxes.map((box) => ({
      x: box.x - joinMm / 2,
      y: box.y - joinMm / 2,
      width: box.width + joinMm,
      height: box.height + joinMm,
    }));
    const around = groupByOverlap(near).map((members) =>
      boxRing(uniteBoxes(members.map((index) => boxes[index]!))!, marginMm),
    );
    return { ...layer, extras: [...layer.extras, ...around] };
  });
}

export function addStoneTemplate(
  layers: Layers,
  step: { readonly layer: string; readonly diameterMm: number; readonly playMm: number; readonly marginMm: number },
): Layers {
  return layers.flatMap((layer) => {
    const box = layer.key === step.layer ? boundRegion(regionOf(layer)) : null;
    if (!box) return [layer];
    const dots = findDots(splitPieces(regionOf(layer))).find(
      (group) => Math.abs(group.diameterMm - step.diameterMm) < 0.03,
    );
    if (!dots) return [layer];
    const holes = offsetRegion(makeRegion(dots.rings), step.playMm / 2);
    const template = subtractRegions(makeRegion([boxRing(box, step.marginMm)]), holes);
    return [
      layer,
      {
        ...withRegion(layer, template),
        key: `${step.layer} template ${step.diameterMm}`,
        role: 'stencil' as const,
        extras: [],
      },
    ];
  });
}
