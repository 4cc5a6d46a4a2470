import { describe, expect, it } from 'vitest';
import { measureArtwork, readSvg } from '../index';
import type { Pixels } from './flatten-colours';
import { TRACE_DEFAULTS, traceImage, type TraceOptions } from './trace-image';

type Paint = (x: number, y: number) => readonly [number, number, number, number];
const WHITE = [255, 255, 255, 255] as const,
  RED = [200, 30, 40, 255] as const,
  BLUE = [30, 60, 180, 255] as const,
  NOTHING = [0, 0, 0, 0] as const;
function picture(width: number, height: number, paint: Paint): Pixels {
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) data.set(paint(x + 0.5, y + 0.5), (y * width + x) * 4);
  return { width, height, data };
}
function trace(pixels: Pixels, options: Partial<TraceOptions> = {}) {
  const svg = traceImage(pixels, { ...TRACE_DEFAULTS, ...options });
  if (!svg.ok) throw new Error(svg.problem.kind);
  const read = readSvg(svg.value);
  if (!read.ok) throw new Error(read.problem.kind);
  // A unit a pixel: measured at as many mm as the traced shapes are pixels wide.
  const box = measureArtwork(read.value, { widthMm: 100 });
  if (!box.ok) throw new Error(box.problem.kind);
  return {
    svg: svg.value,
    colours: read.value.layers.map((layer) => layer.colour),
    at: (widthMm: number) => measureArtwork(read.value, { widthMm }),
  };
}
const layersAt = (traced: ReturnType<typeof trace>, widthMm: number) => {
  const measured = traced.at(widthMm);
  if (!measured.ok) throw new Error(measured.problem.kind);
  return measured.value;
};

describe('traceImage', () => {
  it('traces a disc on a white ground: one colour, its area within 1 %', () => {
    const traced = trace(
      picture(200, 160, (x, y) => (Math.hypot(x - 100, y - 80) < 60 ? RED : WHITE)),
      { colours: 1 },
    );
    expect(traced.colours).toEqual(['#c81e28']);
    const { layers } = layersAt(traced, 120);
    expect(layers[0]).toMatchObject({ pieces: 1, cavities: 0 });
    expect(layers[0]!.netMm2 / (Math.PI * 60 ** 2)).toBeCloseTo(1, 1.7);
  });

  it('keeps a square’s corners and a ring’s cavity', () => {
    const square = layersAt(
      trace(
        picture(120, 120, (x, y) => (x > 20 && x < 100 && y > 20 && y < 100 ? BLUE : WHITE)),
        { colours: 1 },
      ),
      80,
    );
    expect(square.layers[0]!.netMm2).toBeCloseTo(6400, -2);
    expect(square.layers[0]!.cutLengthMm).toBeLessThan(325);
    const ring = layersAt(
      trace(
        picture(160, 160, (x, y) => (Math.abs(Math.hypot(x - 80, y - 80) - 50) < 12 ? BLUE : WHITE)),
        { colours: 1 },
      ),
      124,
    );
    expect(ring.layers[0]).toMatchObject({ pieces: 1, cavities: 1 });
  });

  it('shares the edge where two colours meet: no overlap, no gap', () => {
    const halves = layersAt(
      trace(
        picture(200, 200, (x, y) =>
          Math.hypot(x - 100, y - 100) > 80 ? WHITE : x + 14 * Math.sin(y / 12) < 100 ? RED : BLUE,
        ),
        { colours: 2 },
      ),
      160,
    );
    expect(halves.layers).toHaveLength(2);
    const overlap = halves.overlaps.reduce((sum, entry) => sum + entry.areaMm2, 0);
    expect(overlap).toBeLessThan(2);
    expect(halves.layers.reduce((sum, layer) => sum + layer.netMm2, 0) / (Math.PI * 80 ** 2)).toBeCloseTo(1, 1.7);
  });

  it('takes transparent ground for nothing, and a rim of another colour too', () => {
    const badge: Paint = (x, y) => (Math.hypot(x - 60, y - 60) < 40 ? RED : NOTHING);
    expect(trace(picture(120, 120, badge), { colours: 1 }).colours).toHaveLength(1);
    expect(trace(picture(120, 120, badge), { colours: 2, withoutGround: false }).colours.length).toBeGreaterThanOrEqual(
      1,
    );
  });

  it('drops speckles under the limit and keeps those above', () => {
    const dirty: Paint = (x, y) =>
      x > 20 && x < 80 && y > 20 && y < 80
        ? RED
        : Math.hypot(x - 10, y - 10) < 2
          ? RED
          : Math.hypot(x - 90, y - 90) < 6
            ? RED
            : WHITE;
    expect(layersAt(trace(picture(100, 100, dirty), { colours: 1, specklePixels: 30 }), 80).layers[0]!.pieces).toBe(2);
    expect(layersAt(trace(picture(100, 100, dirty), { colours: 1, specklePixels: 0 }), 80).layers[0]!.pieces).toBe(3);
  });

  it('holds to the number of colours asked for', () => {
    const rainbow: Paint = (x, y) => (y < 10 || y > 90 || x < 10 || x > 190 ? WHITE : [x, 255 - x, (x * 3) % 256, 255]);
    for (const colours of [1, 4, 8])
      expect(trace(picture(200, 100, rainbow), { colours }).colours.length).toBeLessThanOrEqual(colours + 1);
  });

  it('says when there is nothing but ground', () => {
    expect(
      traceImage(
        picture(40, 40, () => WHITE),
        TRACE_DEFAULTS,
      ),
    ).toEqual({ ok: false, problem: { kind: 'empty-picture' } });
    expect(
      traceImage(
        picture(40, 40, () => NOTHING),
        TRACE_DEFAULTS,
      ),
    ).toEqual({ ok: false, problem: { kind: 'empty-picture' } });
  });
});
