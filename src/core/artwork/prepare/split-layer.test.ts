import { describe, expect, it } from 'vitest';
import {
  getWornLayers,
  inspectArtwork,
  measureResolved,
  prepareLayers,
  readSvg,
  DETAIL_FLOORS,
  type LayerMaterials,
  type PrepStep,
  type StepAction,
} from '../index';

const svg = (body: string) => `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 400 100">${body}</svg>`;
function prepare(body: string, ...steps: readonly StepAction[]) {
  const read = readSvg(svg(body));
  if (!read.ok) throw new Error(read.problem.kind);
  const result = prepareLayers(
    read.value,
    steps.map((step): PrepStep => ({ ...step, on: true })),
  );
  if (!result.ok) throw new Error(result.problem.kind);
  return { resolved: result.value, measured: measureResolved(result.value) };
}
const RED = '#ff0000';
const SIZE = { kind: 'size', widthMm: 400 } as const;
const BARS =
  '<g fill="red"><rect width="90" height="50"/><rect x="110" width="120" height="50"/><rect x="245" width="155" height="50"/></g>';

describe('a layer in loads', () => {
  it('is parted through the gaps, nothing cut, and all of it there', () => {
    const { measured } = prepare(BARS, SIZE, { kind: 'split', layer: RED, mostMm: 250, overlapMm: 1 });
    expect(measured.layers.map((layer) => layer.key)).toEqual([`${RED} load 1`, `${RED} load 2`]);
    expect(measured.layers.map((layer) => layer.pieces)).toEqual([2, 1]);
    expect(measured.layers.map((layer) => Math.round(layer.box.width))).toEqual([230, 155]);
    expect(measured.overlaps).toEqual([]);
    expect(measured.layers.reduce((sum, layer) => sum + layer.netMm2, 0)).toBeCloseTo((90 + 120 + 155) * 50, 1);
  });

  it('where a shape is wider than the stock, is cut through it with an overlap', () => {
    const { measured } = prepare('<rect fill="red" width="400" height="50"/>', SIZE, {
      kind: 'split',
      layer: RED,
      mostMm: 150,
      overlapMm: 1,
    });
    expect(measured.layers).toHaveLength(3);
    for (const layer of measured.layers) expect(layer.box.width).toBeLessThanOrEqual(150);
    expect(measured.layers.reduce((sum, layer) => sum + layer.netMm2, 0)).toBeCloseTo(400 * 50 + 2 * 1 * 50, 1);
  });

  it('stays one where it fits, and marks stay with the load they stand by', () => {
    expect(
      prepare(BARS, SIZE, { kind: 'split', layer: RED, mostMm: 500, overlapMm: 1 }).measured.layers.map(
        (layer) => layer.key,
      ),
    ).toEqual([RED]);
    const { resolved } = prepare(
      BARS,
      SIZE,
      { kind: 'weed-boxes', layer: RED, marginMm: 2, joinMm: 6 },
      { kind: 'split', layer: RED, mostMm: 250, overlapMm: 1 },
    );
    expect(resolved.layers.map((layer) => layer.extras.length)).toEqual([2, 1]);
  });

  it('is the remedy offered for a layer too wide for its vinyl, and mends it', () => {
    const materials: LayerMaterials = {
      all: { floor: DETAIL_FLOORS.smooth, hasOwnFloor: false, takesLayers: true, usableMm: 280, turnable: false },
    };
    const before = prepare(BARS, SIZE);
    const finding = inspectArtwork(before.resolved, before.measured, materials).find(
      (entry) => entry.kind === 'too-wide',
    )!;
    const split = finding.remedies.find((remedy) => remedy.kind === 'split')!;
    const after = prepare(BARS, SIZE, split);
    expect(
      inspectArtwork(after.resolved, after.measured, materials).filter((entry) => entry.kind === 'too-wide'),
    ).toEqual([]);
  });
});

describe('what layers are for', () => {
  const TWO = '<rect fill="red" width="200" height="80"/><rect fill="blue" x="20" y="10" width="80" height="40"/>';
  it('worn ones come first, others lie on nothing and are part of no item', () => {
    const { measured } = prepare(TWO, SIZE, { kind: 'role', layer: RED, role: 'stencil' });
    expect(measured.layers.map((layer) => [layer.key, layer.role])).toEqual([
      ['#0000ff', 'worn'],
      [RED, 'stencil'],
    ]);
    expect(getWornLayers(measured).map((layer) => layer.key)).toEqual(['#0000ff']);
    expect(measured.overlaps).toEqual([]);
    expect(prepare(TWO, SIZE).measured.overlaps).toHaveLength(1);
  });

  it('a negative is a product of its own until told otherwise', () => {
    expect(
      prepare(TWO, SIZE, { kind: 'negative', layer: RED, marginMm: 4 }).measured.layers.map((layer) => layer.role),
    ).toEqual(['worn', 'worn', 'product']);
    expect(
      prepare(
        TWO,
        SIZE,
        { kind: 'negative', layer: RED, marginMm: 4 },
        { kind: 'role', layer: `${RED} negative`, role: 'worn' },
      ).measured.layers.map((layer) => layer.role),
    ).toEqual(['worn', 'worn', 'worn']);
  });
});

it('a drawing without a stated size is read at the units an inch that are given', () => {
  const widths = [undefined, 72, 90].map((pxPerInch) => {
    const read = readSvg(
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 72 72"><rect width="72" height="36"/></svg>',
      pxPerInch === undefined ? {} : { pxPerInch },
    );
    const shape = read.ok ? read.value.layers[0]!.shapes[0]! : null;
    return Math.max(...shape!.contours[0]!.segments.map((segment) => segment.to.x));
  });
  expect(widths[0]).toBeCloseTo(72 * (25.4 / 96), 6);
  expect(widths[1]).toBeCloseTo(25.4, 6);
  expect(widths[2]).toBeCloseTo(72 * (25.4 / 90), 6);
  const stated = readSvg(
    '<svg xmlns="http://www.w3.org/2000/svg" width="50mm" viewBox="0 0 72 72"><rect width="72" height="36"/></svg>',
    { pxPerInch: 72 },
  );
  expect(
    stated.ok && Math.max(...stated.value.layers[0]!.shapes[0]!.contours[0]!.segments.map((segment) => segment.to.x)),
  ).toBeCloseTo(50, 6);
});
