// Customers' texts in their places: with real typefaces, at real sizes.

import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { fitLettering } from './fit-lettering';
import { openFont } from './letter';
import { keyOfLettering, PLAIN_LETTERING, type Lettering } from './lettering';

const open = (alphabet: string) =>
  openFont(readFileSync(`node_modules/@fontsource/oswald/files/oswald-${alphabet}-700-normal.woff2`));
const FONTS = [open('latin'), open('latin-ext')];
const LETTERING: Lettering = { ...PLAIN_LETTERING, capHeightMm: 30, widestMm: 200, squeezeTo: 0.75, tracking: 0 };
const fit = (text: string, part: Partial<Lettering> = {}, smaller = false) => {
  const answer = fitLettering(text, FONTS, { ...LETTERING, ...part }, smaller);
  if (!answer.ok) throw new Error(JSON.stringify(answer.problem));
  return answer.value.fit;
};
const problem = (text: string, part: Partial<Lettering> = {}) => {
  const answer = fitLettering(text, FONTS, { ...LETTERING, ...part });
  return answer.ok ? null : answer.problem;
};

describe('a text in its place', () => {
  it('has the capitals of the whole team, squeezed or not', () => {
    const short = fit('TARN');
    const long = fit('BARROWCLOUGHS', { widestMm: 220 });
    expect([short.squeezed, short.capHeightMm, long.capHeightMm]).toEqual([1, 30, 30]);
    // Flat letters are as high as the capitals, squeezed ones too; round ones stand out a little.
    expect(short.heightMm).toBeCloseTo(30, 0);
    expect(Math.abs(long.heightMm - short.heightMm)).toBeLessThan(1.2);
    expect(long.squeezed).toBeLessThan(1);
    expect(long.widthMm).toBeCloseTo(220, 6);
  });

  it('is squeezed just as far as it must be, and refused beyond what its item allows', () => {
    const whole = fit('BARROWCLOUGH', { widestMm: 2000 }).widthMm;
    const at = (share: number) => ({ widestMm: whole * share });
    expect(fit('BARROWCLOUGH', at(1.001)).squeezed).toBe(1);
    expect(fit('BARROWCLOUGH', at(0.8)).squeezed).toBeCloseTo(0.8, 6);
    expect(fit('BARROWCLOUGH', at(0.7501)).squeezed).toBeCloseTo(0.7501, 6);
    expect(problem('BARROWCLOUGH', at(0.74))).toMatchObject({
      kind: 'too-wide',
      widthMm: expect.closeTo(whole, 6) as number,
    });
    expect(problem('BARROWCLOUGH', { ...at(0.99), squeezeTo: 1 })).toMatchObject({ kind: 'too-wide' });
  });

  it('fits in the smaller letters that the refusal names, and in no larger ones', () => {
    const wide = problem('BARROWCLOUGH-FEATHERSTONE');
    if (wide?.kind !== 'too-wide') throw new Error('it fits');
    const small = fit('BARROWCLOUGH-FEATHERSTONE', {}, true);
    expect(small.capHeightMm).toBe(wide.capHeightMm);
    expect(small.widthMm).toBeLessThanOrEqual(200 + 1e-9);
    expect(small.squeezed).toBeGreaterThanOrEqual(0.75);
    expect(problem('BARROWCLOUGH-FEATHERSTONE', { capHeightMm: wide.capHeightMm + 0.3 })).toMatchObject({
      kind: 'too-wide',
    });
  });

  it('is broken at the space that leaves the narrower lines, where two are allowed', () => {
    const one = problem('VAN DER BARROWCLOUGH', { widestMm: 260 });
    expect(one?.kind).toBe('too-wide');
    const two = fit('VAN DER BARROWCLOUGH', { widestMm: 260, mostLines: 2 });
    expect(two.lines).toBe(2);
    expect(two.widthMm).toBeCloseTo(fit('BARROWCLOUGH', { widestMm: 260 }).widthMm, 6);
  });

  it('is written in capitals where the item says so, with letters of the neighbours too', () => {
    expect(fit('tarn').widthMm).toBeCloseTo(fit('TARN').widthMm, 6);
    expect(fit('Łukasz Škoda').widthMm).toBeGreaterThan(fit('Lukasz').widthMm);
    expect(problem('Łukasz 😀')).toEqual({ kind: 'no-glyphs', characters: '😀' });
    expect(problem('אבג')).toMatchObject({ kind: 'no-glyphs' });
    expect(problem('   ')).toEqual({ kind: 'no-text' });
  });

  it('is a pair of layers where inner letters stand back', () => {
    const answer = fitLettering('7', FONTS, { ...LETTERING, insetMm: 1 });
    expect(answer.ok && answer.value.artwork.layers.length).toBe(2);
  });
});

it('texts that look the same share a key; names, samples and gaps don’t show', () => {
  const key = (text: string, part: Partial<Lettering> = {}, smaller = false) =>
    keyOfLettering(text, { ...LETTERING, ...part }, smaller);
  expect(key('TARN', { label: 'Name', sample: 'X', gapMm: 3, kind: 'text' })).toBe(key('TARN'));
  const others = [
    key('TERN'),
    key('TARN', {}, true),
    key('TARN', { capHeightMm: 31 }),
    key('TARN', { typeface: 'anton' }),
  ];
  expect(new Set([key('TARN'), ...others]).size).toBe(5);
});
