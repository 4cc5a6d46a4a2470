// What was measured of a layer, as figures that show what they are made of.

import { figure, type Figure } from '../units';
import type { LayerMeasurement } from './measurement';

export type LayerFigures = {
  readonly net: Figure;
  readonly path: Figure;
  readonly thinnest: Figure | null;
  readonly gap: Figure | null;
};

export function describeLayerFigures(layer: LayerMeasurement): LayerFigures {
  const measured = (label: string, value: number, unit: Figure['unit']) => figure(label, value, unit, 'measured');
  const cavityMm = layer.outlineLengthMm - layer.outerLengthMm,
    insideMm = layer.cutLengthMm - layer.outlineLengthMm;
  return {
    net: figure('Net area', layer.netMm2, 'mm²', 'measured', {
      how: 'what all shapes of the layer cover together at this size, holes out',
      parts: [
        figure('Outer box', layer.box.width * layer.box.height, 'mm²', 'measured', {
          how: 'width × height',
          parts: [measured('Width', layer.box.width, 'mm'), measured('Height', layer.box.height, 'mm')],
        }),
        measured('Pieces', layer.pieces, 'count'),
        measured('Cavities', layer.cavities, 'count'),
      ],
    }),
    path: figure('Knife path', layer.cutLengthMm, 'mm', 'measured', {
      how: 'every line the knife follows, as drawn',
      parts: [
        measured('Outer outlines', layer.outerLengthMm, 'mm'),
        measured('Round cavities', cavityMm, 'mm'),
        ...(Math.abs(insideMm) > 0.5
          ? [
              measured(
                insideMm > 0 ? 'Crossing, doubled and marking lines' : 'Lines shared by shapes that meet',
                insideMm,
                'mm',
              ),
            ]
          : []),
        measured('Contours', layer.contours, 'count'),
      ],
    }),
    thinnest:
      layer.thinnestStroke &&
      figure('Thinnest stroke', layer.thinnestStroke.widthMm, 'mm', 'measured', {
        how: 'where two edges face each other most nearly across the material, as a calliper takes it',
        parts: placeOf(layer.thinnestStroke),
      }),
    gap:
      layer.thinnestGap &&
      figure('Narrowest gap', layer.thinnestGap.widthMm, 'mm', 'measured', {
        how: 'where two edges face each other most nearly across what is weeded out',
        parts: placeOf(layer.thinnestGap),
      }),
  };
}

const placeOf = (place: { readonly x: number; readonly y: number }): readonly Figure[] => [
  figure('From the left', place.x, 'mm', 'measured'),
  figure('From the top', place.y, 'mm', 'measured'),
];
