// Drawings of rectangles, measured on paper: every figure of a measurement.

import { describe, expect, it } from 'vitest';
import {
  getFineLength,
  getWornLayers,
  measureArtwork,
  measureResolved,
  readSvg,
  resolveArtwork,
  scaleMeasurement,
  type ArtworkMeasurement,
} from './index';

const read = (body: string) => {
  const result = readSvg(`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 200 200">${body}</svg>`);
  if (!result.ok) throw new Error(result.problem.kind);
  return result.value;
};
const resolve = (body: string) => {
  const result = resolveArtwork(read(body), { widthMm: 200 });
  if (!result.ok) throw new Error(result.problem.kind);
  return result.value;
};
const measure = (body: string, widthMm = 200): ArtworkMeasurement => {
  const result = measureArtwork(read(body), { widthMm });
  if (!result.ok) throw new Error(result.problem.kind);
  return result.value;
};

/** A frame of 100 × 60 with cavities of 20 × 10 and 10 × 10, and a bar of 20 × 100: together 200 × 200. */
const FRAME_AND_BAR =
  '<path fill-rule="evenodd" d="M0 0H100V60H0z M10 10H30V20H10z M60 10H70V20H60z"/><rect x="180" y="100" width="20" height="100"/>';

describe('a frame and a bar', () => {
  const layerOf = () => measure(FRAME_AND_BAR).layers[0]!;

  it('have these areas and lengths', () => {
    const layer = layerOf();
    expect(layer.netMm2).toBeCloseTo(100 * 60 - 20 * 10 - 10 * 10 + 20 * 100, 6);
    expect(layer.outerLengthMm).toBeCloseTo(320 + 240, 6);
    expect(layer.outlineLengthMm).toBeCloseTo(320 + 240 + 60 + 40, 6);
    expect(layer.cutLengthMm).toBeCloseTo(660, 6);
    expect(layer.box).toEqual({ x: 0, y: 0, width: 200, height: 200 });
  });

  it('have these counts', () => {
    expect(layerOf()).toMatchObject({
      role: 'worn',
      contours: 4,
      pieces: 2,
      cavities: 2,
      sharpCorners: 16,
      openPaths: 0,
      zeroLengthPaths: 0,
      doubledContours: 0,
    });
  });

  it('have these bits, smallest first', () => {
    const layer = layerOf();
    expect(layer.bitAreasMm2).toEqual([100, 200, 2000, 5700]);
    expect(layer.cavityAreasMm2).toEqual([100, 200]);
  });

  it('have their thinnest wall and gap where they are', () => {
    const layer = layerOf();
    expect(layer.thinnestStroke!.widthMm).toBeCloseTo(10, 6);
    expect(layer.thinnestGap!.widthMm).toBeCloseTo(10, 6);
  });

  it('keep areas to a thousandth of a square millimetre', () => {
    const thin = measure('<rect width="200" height="200"/><rect x="0.5" y="0" width="0" height="0"/>');
    expect(thin.layers[0]!.bitAreasMm2).toEqual([40_000]);
    const third = measure('<path fill-rule="evenodd" d="M0 0H200V200H0z M10 10H10.7V10.9H10z M20 20H20.3333V21H20z"/>');
    expect(third.layers[0]!.cavityAreasMm2).toEqual([0.333, 0.63]);
  });
});

describe('colours over one another', () => {
  const two = (shift: number, size: number) =>
    `<rect width="30" height="30" fill="#a00"/><rect x="${shift}" y="${shift}" width="${size}" height="${size}" fill="#00a"/>` +
    '<rect x="199" y="199" width="1" height="1" fill="#a00"/>';

  it('share this area, with what goes round it', () => {
    const [overlap] = measure(two(20, 30)).overlaps;
    expect(overlap).toMatchObject({ lower: '#aa0000', upper: '#0000aa' });
    expect(overlap!.areaMm2).toBeCloseTo(100, 6);
    expect(overlap!.perimeterMm).toBeCloseTo(40, 6);
  });

  it('that only touch, or overlap by less than a hundredth, share none', () => {
    expect(measure(two(30, 30)).overlaps).toEqual([]);
    expect(measure(two(29.95, 30)).overlaps).toEqual([]);
    expect(measure(two(29.8, 30)).overlaps).toHaveLength(1);
  });

  it('count where both are worn; products and guides are not', () => {
    const resolved = resolve(two(20, 30));
    const helped = {
      ...resolved,
      layers: resolved.layers.map((one, at) => (at === 1 ? { ...one, role: 'product' } : one)),
    };
    const measured = measureResolved(helped as typeof resolved);
    expect(measured.overlaps).toEqual([]);
    expect(getWornLayers(measured).map(({ key }) => key)).toEqual(['#aa0000']);
    expect(getWornLayers(measureResolved(resolved))).toHaveLength(2);
  });
});

describe('scaled', () => {
  const body = `${FRAME_AND_BAR}<rect x="90" y="50" width="40" height="30" fill="#a00"/>`;
  const scale = () => scaleMeasurement(measure(body), 340);

  it('it is what it is when it is measured at that size', () => {
    const [scaled, anew] = [scale(), measure(body, 340)];
    /** Numbers to a thousandth; how finely it was flattened, and where strokes are added up, differ by size. */
    const plain = ({ segments: _segments, layers, ...rest }: ArtworkMeasurement): unknown =>
      JSON.parse(
        JSON.stringify(
          { ...rest, layers: layers.map(({ fineLengths: _fine, ...layer }) => layer) },
          (_, value: unknown) => (typeof value === 'number' ? Math.round(value * 1000) / 1000 : value),
        ),
      );
    expect(plain(scaled)).toEqual(plain(anew));
    expect(scaled.overlaps).toHaveLength(1);
    expect(scaled.heightMm).toBeCloseTo(340, 6);
  });

  it('its fine strokes are wider and longer by as much', () => {
    const before = measure(body).layers[0]!.fineLengths;
    expect(scale().layers[0]!.fineLengths).toEqual(
      before.map(({ underMm, lengthMm }) => ({ underMm: underMm * 1.7, lengthMm: lengthMm * 1.7 })),
    );
    expect(before.length).toBeGreaterThan(5);
  });

  it('what has no thinnest place has none at any size', () => {
    const one = scaleMeasurement(measure('<rect width="200" height="200"/>'), 100);
    expect(one.layers[0]!.thinnestGap).toBeNull();
    expect(one.layers[0]!.thinnestStroke?.widthMm ?? 100).toBeCloseTo(100, 6);
  });
});

describe('outline of fine strokes', () => {
  const layer = {
    fineLengths: [
      { underMm: 0.4, lengthMm: 10 },
      { underMm: 0.6, lengthMm: 12 },
      { underMm: 1, lengthMm: 20 },
    ],
  };

  it.each([
    [0.2, 5],
    [0.4, 10],
    [0.5, 11],
    [0.6, 12],
    [0.8, 16],
    [1, 20],
    [5, 20],
  ])('under %f mm is %f mm', (under, length) => expect(getFineLength(layer, under)).toBeCloseTo(length, 9));

  it('is none where none was found', () => expect(getFineLength({ fineLengths: [] }, 1)).toBe(0));
});
