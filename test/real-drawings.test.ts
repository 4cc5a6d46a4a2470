// Drawings that others drew: an open set of icons, whole and damaged. Every one is read; what was damaged never
// crashes, hangs or counts to NaN.

import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { makeCutLayer, measureArtwork, prepareLayers, readSvg, writeSvg, type PrepStep } from '../src/core/artwork';

const ICONS = join('node_modules', 'heroicons', '24');
const load = (kind: string) =>
  readdirSync(join(ICONS, kind))
    .filter((name) => name.endsWith('.svg'))
    .map((name) => ({ name, text: readFileSync(join(ICONS, kind, name), 'utf8') }));
const solid = load('solid'),
  outline = load('outline');
const DEMO = join('src', 'data', 'demo', 'drawings');
const demo = readdirSync(DEMO).map((name) => ({ name, text: readFileSync(join(DEMO, name), 'utf8') }));
const size: PrepStep = { kind: 'size', widthMm: 60, on: true };

function prepare(text: string, ...steps: readonly PrepStep[]) {
  const read = readSvg(text);
  if (!read.ok) throw new Error(JSON.stringify(read.problem));
  const prepared = prepareLayers(read.value, [size, ...steps]);
  if (!prepared.ok) throw new Error(JSON.stringify(prepared.problem));
  return prepared.value;
}

describe('an open set of icons', () => {
  it('the filled ones are all read and measure the same when written and reopened', () => {
    expect(solid.length).toBeGreaterThan(250);
    for (const { name, text } of solid.filter((_, index) => index % 8 === 0)) {
      const artwork = prepare(text);
      const layer = artwork.layers[0]!;
      const again = readSvg(
        writeSvg(makeCutLayer(artwork, layer, { name, mirrored: false }), { colour: layer.colour }),
      );
      if (!again.ok) throw new Error(name);
      const area = (measured: ReturnType<typeof measureArtwork>) =>
        measured.ok ? measured.value.layers[0]!.netMm2 : NaN;
      const first = readSvg(text);
      expect(
        area(measureArtwork(again.value, { widthMm: layer.box.width })) /
          area(
            first.ok
              ? measureArtwork(first.value, { widthMm: 60 })
              : { ok: false, problem: { kind: 'nothing-to-cut', leftOut: [] } },
          ),
        name,
      ).toBeCloseTo(1, 3);
    }
  }, 60_000);

  it('every one is read; those drawn in strokes once their strokes are outlines', () => {
    for (const { text } of solid) expect(prepare(text).layers.length).toBeGreaterThan(0);
    for (const { name, text } of outline) {
      const artwork = prepare(text, { kind: 'outline-strokes', on: true });
      // Strokes of 1.5 on a grid of 24: scaled to 60 mm, a line is about 3 to 6 mm wide.
      expect(artwork.layers[0]!.pieces.length, name).toBeGreaterThan(0);
    }
  }, 120_000);
});

describe('damaged files', () => {
  const originals = [...demo, ...solid.slice(0, 40), ...outline.slice(0, 40)].map(({ text }) => text);
  const cut = fc.record({
    at: fc.double({ min: 0, max: 1, noNaN: true }),
    length: fc.integer({ min: 0, max: 60 }),
    put: fc.oneof(
      fc.constantFrom(
        '',
        '"',
        '<',
        '>',
        '</g>',
        'NaN',
        '1e999',
        '-',
        'M0 0',
        'url(#a)',
        '&',
        '\u0000',
        '<use href="#a"/>',
        'matrix(0 0 0 0 0 0)',
      ),
      fc.string({ maxLength: 8 }),
    ),
  });

  it('end in a problem or in finite figures, whatever was cut out or put in', () => {
    fc.assert(
      fc.property(fc.constantFrom(...originals), fc.array(cut, { minLength: 1, maxLength: 6 }), (original, cuts) => {
        const text = cuts.reduce(
          (left, { at, length, put }) =>
            left.slice(0, Math.floor(at * left.length)) + put + left.slice(Math.floor(at * left.length) + length),
          original,
        );
        const read = readSvg(text);
        if (!read.ok) return read.problem.kind.length > 0;
        const measured = measureArtwork(read.value, { widthMm: 60 }, { strokes: true });
        if (!measured.ok) return true;
        return (
          JSON.stringify(measured.value, (_, value: unknown) =>
            typeof value === 'number' && !Number.isFinite(value) ? 'BAD' : value,
          ).includes('"BAD"') === false
        );
      }),
      { numRuns: 400 },
    );
  }, 120_000);
});
