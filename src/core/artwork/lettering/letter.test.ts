import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import type { Point } from '../../geometry';
import { measureArtwork, readSvg, type Artwork } from '../index';
import { letter, openFont, settleLettering, writeLettering, type LetterOptions } from './letter';
import { TYPEFACES, type Typeface } from './typefaces';

const load = (face: Typeface) =>
  openFont(
    readFileSync(join('node_modules/@fontsource', face.key, 'files', `${face.key}-latin-${face.weight}-normal.woff2`)),
  );
const fonts = new Map(TYPEFACES.map((face) => [face.key, load(face)]));
const set = (text: string, key = 'anton', options: Partial<LetterOptions> = {}): Artwork => {
  const result = letter(text, fonts.get(key)!, { capHeightMm: 30, ...options });
  if (!result.ok) throw new Error(result.problem.kind);
  return result.value;
};
function measure(artwork: Artwork) {
  // Letters are in mm at real size: read back from the file they are kept as.
  const { svg, widthMm } = writeLettering(settleLettering(artwork), 'x');
  const kept = readSvg(svg);
  if (!kept.ok) throw new Error(kept.problem.kind);
  const result = measureArtwork(kept.value, { widthMm });
  if (!result.ok) throw new Error(result.problem.kind);
  return result.value;
}

describe('letter', () => {
  it.each(TYPEFACES.map((face) => [face.key]))(
    'sets capitals, umlauts and figures in %s as one outline without overlap',
    (key) => {
      const measured = measure(set('Häher 24', key));
      const [layer] = measured.layers;
      expect(layer!.cutLengthMm / layer!.outlineLengthMm).toBeCloseTo(1, 3);
      expect(layer!.pieces).toBeGreaterThanOrEqual(key === 'pacifico' || key === 'dancing-script' ? 3 : 7);
      expect(measured.heightMm).toBeGreaterThan(25);
      expect(measured.heightMm).toBeLessThan(70);
    },
  );

  it('has at least ten typefaces of six kinds, each with its licence', () => {
    expect(TYPEFACES.length).toBeGreaterThanOrEqual(10);
    expect(new Set(TYPEFACES.map((face) => face.kind))).toEqual(
      new Set(['slab', 'script', 'stencil', 'block', 'hand', 'condensed']),
    );
    for (const face of TYPEFACES)
      expect(readFileSync(join('node_modules/@fontsource', face.key, 'LICENSE'), 'utf8')).toMatch(
        /SIL OPEN FONT LICENSE/i,
      );
  });

  it('makes capitals as high as asked', () => {
    for (const key of ['anton', 'zilla-slab', 'oswald'])
      expect(measure(set('H', key, { capHeightMm: 42 })).heightMm).toBeCloseTo(42, 0);
  });

  it('joins a script into one piece, keeps the counters of O and A', () => {
    expect(measure(set('mellow', 'pacifico')).layers[0]!.pieces).toBe(1);
    expect(measure(set('OAB', 'anton')).layers[0]).toMatchObject({ pieces: 3, cavities: 4 });
  });

  it('kerns and tracks', () => {
    const width = (text: string, options?: Partial<LetterOptions>) => measure(set(text, 'oswald', options)).widthMm;
    // What A and V would take by their own side bearings alone, read off beside an H.
    expect(width('AV')).toBeLessThan(width('AH') + width('HV') - width('HH') - 0.5);
    expect(width('TEAM', { tracking: 0.1 }) - width('TEAM')).toBeGreaterThan(5);
  });

  it('sets lines below one another and in the asked case', () => {
    expect(measure(set('ab\ncd', 'anton', { letterCase: 'upper' })).layers[0]!.pieces).toBe(
      measure(set('ABCD', 'anton')).layers[0]!.pieces,
    );
    expect(measure(set('H\nH', 'anton', { lineSpacing: 2 })).heightMm).toBeCloseTo(90, 0);
  });

  it('bends a line around a circle, outside and inside', () => {
    const straight = measure(set('HARBOUR', 'anton')),
      outside = measure(set('HARBOUR', 'anton', { arcRadiusMm: 90 })),
      inside = measure(set('HARBOUR', 'anton', { arcRadiusMm: -90, tracking: 0.3 }));
    expect(outside.heightMm).toBeGreaterThan(straight.heightMm + 5);
    expect(inside.heightMm).toBeGreaterThan(straight.heightMm + 5);
    for (const bent of [outside, inside]) expect(bent.layers[0]!.netMm2 / straight.layers[0]!.netMm2).toBeCloseTo(1, 2);
  });

  it('makes a pair hollow beneath, but for the overlap', () => {
    const [full, inner] = measure(set('I', 'anton', { insetMm: 1.2 })).layers;
    const [hollow, same] = measure(set('I', 'anton', { insetMm: 1.2, overlapMm: 0.4 })).layers;
    expect(same!.netMm2).toBeCloseTo(inner!.netMm2, 1);
    expect(hollow).toMatchObject({ pieces: 1, cavities: 1 });
    expect(hollow!.box.width).toBeCloseTo(full!.box.width, 6);
    // An I is a rectangle: the two share a frame of 0.4 mm along the inner one's edge.
    const { width, height } = inner!.box;
    const shared = width * height - (width - 0.8) * (height - 0.8);
    expect(hollow!.netMm2 + inner!.netMm2 - full!.netMm2).toBeCloseTo(shared, 0);
  });

  it('makes a pair: the letters, and a smaller copy inside by the inset', () => {
    const [outer, inner] = measure(set('24', 'anton', { insetMm: 1.2 })).layers;
    expect(inner!.netMm2).toBeLessThan(outer!.netMm2);
    expect(inner!.netMm2).toBeCloseTo(outer!.netMm2 - outer!.outlineLengthMm * 1.2, -2);
    expect(letter('24', fonts.get('anton')!, { capHeightMm: 30, insetMm: 40 })).toMatchObject({
      ok: false,
      problem: { kind: 'inset-too-large' },
    });
  });

  it('says which letters a font lacks, and that there is nothing to set', () => {
    expect(letter('Crew 漢', fonts.get('anton')!, { capHeightMm: 30 })).toEqual({
      ok: false,
      problem: { kind: 'no-glyphs', characters: '漢' },
    });
    expect(letter('  \n ', fonts.get('anton')!, { capHeightMm: 30 })).toMatchObject({
      ok: false,
      problem: { kind: 'no-text' },
    });
  });
});

describe('the outline of a letter', () => {
  /** Points along the true curves of a glyph, mm, y downwards; 40 to a curve. */
  function sampleGlyph(font: ReturnType<typeof load>, character: string, capHeightMm: number): readonly Point[] {
    const scale = capHeightMm / font.capHeight;
    const points: Point[] = [];
    let at: Point = { x: 0, y: 0 };
    for (const { command, args } of font.layout(character).glyphs[0]!.path.commands) {
      const ends = Array.from({ length: args.length / 2 }, (_, pair) => ({
        x: args[2 * pair]!,
        y: args[2 * pair + 1]!,
      }));
      const knots = [at, ...ends];
      if (command === 'quadraticCurveTo' || command === 'bezierCurveTo')
        for (let step = 0; step <= 40; step++) points.push(evaluate(knots, step / 40));
      at = ends.at(-1) ?? at;
    }
    return points.map(({ x, y }) => ({ x: x * scale, y: -y * scale }));
  }
  /** By de Casteljau: any degree. */
  const evaluate = (knots: readonly Point[], t: number): Point =>
    knots.length === 1
      ? knots[0]!
      : evaluate(
          knots.slice(1).map((to, at) => ({
            x: knots[at]!.x + (to.x - knots[at]!.x) * t,
            y: knots[at]!.y + (to.y - knots[at]!.y) * t,
          })),
          t,
        );
  const distance = (p: Point, a: Point, b: Point): number => {
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const t = Math.max(0, Math.min(1, ((p.x - a.x) * dx + (p.y - a.y) * dy) / (dx * dx + dy * dy || 1)));
    return Math.hypot(p.x - a.x - t * dx, p.y - a.y - t * dy);
  };

  it.each([
    ['oswald', 'S', 32],
    ['oswald', 'O', 8],
    ['zilla-slab', 'G', 120],
    ['pacifico', 'e', 60],
  ])('in %s, %s %d mm high strays from the font’s own curves by less than a cutter’s step', (key, character, capMm) => {
    const [layer] = set(character, key, { capHeightMm: capMm }).layers;
    const rings = layer!.shapes.flatMap(({ contours }) =>
      contours.map(({ start, segments }) => [start, ...segments.map(({ to }) => to), start]),
    );
    const sampled = sampleGlyph(fonts.get(key)!, character, capMm);
    expect(sampled.length).toBeGreaterThan(100);
    const worst = Math.max(
      ...sampled.map((point) =>
        Math.min(...rings.flatMap((ring) => ring.slice(1).map((to, at) => distance(point, ring[at]!, to)))),
      ),
    );
    // HPGL counts in steps of 0.025 mm.
    expect(worst).toBeLessThan(0.025);
  });
});
