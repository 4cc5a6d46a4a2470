import { describe, expect, it } from 'vitest';
import { flattenContour } from '../geometry';
import { parseColour } from './colour';
import { parsePathData } from './path-contours';
import { parseStyleAttribute, parseStyleSheet, resolveDeclarations } from './style-sheet';
import { fitViewBox, parseNumbers, parseSvgLength } from './svg-lengths';
import { parseTransform } from './svg-transform';
import { parseXml, type XmlElement } from './xml-tree';

describe('lengths and numbers', () => {
  it.each([
    ['10', 10],
    ['25.4mm', 96],
    ['2.54cm', 96],
    ['1in', 96],
    ['72pt', 96],
    ['6pc', 96],
    ['50%', 100],
    ['1e2px', 100],
    ['4 q', 96 / 25.4],
    ['abc', null],
    ['', null],
    ['3furlong', null],
  ])('%s', (text, px) => {
    const length = parseSvgLength(text, 200);
    if (px === null) expect(length).toBeNull();
    else expect(length).toBeCloseTo(px, 6);
  });

  it('reads run-together numbers', () => {
    expect(parseNumbers('1-2.5.5e1,-3')).toEqual([1, -2.5, 5, -3]);
  });
});

describe('transforms', () => {
  it('applies them from right to left', () => {
    expect(parseTransform('translate(10,5) scale(2)')).toEqual({ a: 2, b: 0, c: 0, d: 2, e: 10, f: 5 });
    expect(parseTransform('rotate(180 5 5)')).toMatchObject({
      a: expect.closeTo(-1),
      e: expect.closeTo(10),
      f: expect.closeTo(10),
    });
    expect(parseTransform('skewX(45)')!.c).toBeCloseTo(1);
    expect(parseTransform('matrix(1 2 3 4 5 6)')).toEqual({ a: 1, b: 2, c: 3, d: 4, e: 5, f: 6 });
  });

  it.each(['translate(', 'spin(9)', 'matrix(1 2 3)', 'rotate()'])('gives up on %s as a whole', (text) => {
    expect(parseTransform(text)).toBeNull();
  });

  it('fits a viewBox by its alignment', () => {
    const viewport = { width: 200, height: 100 };
    expect(fitViewBox([0, 0, 10, 10], viewport, undefined)).toMatchObject({ a: 10, d: 10, e: 50, f: 0 });
    expect(fitViewBox([0, 0, 10, 10], viewport, 'xMaxYMin meet')).toMatchObject({ a: 10, e: 100 });
    expect(fitViewBox([0, 0, 10, 10], viewport, 'xMinYMid slice')).toMatchObject({ a: 20, e: 0, f: -50 });
    expect(fitViewBox([5, 5, 10, 10], viewport, 'none')).toMatchObject({ a: 20, d: 10, e: -100, f: -50 });
  });
});

describe('path data', () => {
  const ends = (data: string) => parsePathData(data).contours.map((contour) => contour.segments.at(-1)!.to);
  it('follows relative, shorthand and smooth commands', () => {
    expect(ends('m10 10h5v5H0z')).toEqual([{ x: 0, y: 15 }]);
    expect(ends('M0 0q5 10 10 0t10 0')).toEqual([{ x: 20, y: 0 }]);
    expect(ends('M0 0c0 5 5 5 5 0s5-5 5 0')).toEqual([{ x: 10, y: 0 }]);
  });

  it('goes on from the start after a close', () => {
    const { contours } = parsePathData('M5 5h10v10zl-2-2v1');
    expect(contours[1]!.start).toEqual({ x: 5, y: 5 });
  });

  it('keeps what stands before a mistake', () => {
    const { contours, complete } = parsePathData('M0 0H10V10Z M20 20 H3O');
    expect(complete).toBe(false);
    expect(contours[0]!.closed).toBe(true);
  });

  it('turns an arc without radius into a line, scales one that is too small', () => {
    expect(parsePathData('M0 0A0 5 0 0 1 10 0').contours[0]!.segments[0]!.kind).toBe('line');
    const line = flattenContour(parsePathData('M0 0A1 1 0 0 1 10 0').contours[0]!);
    expect(Math.max(...line.map((point) => Math.abs(point.y)))).toBeCloseTo(5, 2);
  });
});

describe('colours', () => {
  it.each([
    ['red', '#ff0000'],
    ['#ABC', '#aabbcc'],
    ['#11223344', '#112233'],
    ['rgb(1, 2, 3)', '#010203'],
    ['rgb(100% 0% 0% / 50%)', '#ff0000'],
    ['hsl(120, 100%, 50%)', '#00ff00'],
    ['none', 'nothing'],
    ['transparent', 'nothing'],
    ['#0000', 'nothing'],
    ['rebeccapurple', '#663399'],
  ])('%s is %s', (text, colour) => {
    expect(parseColour(text)).toBe(colour);
  });
  it('knows what is none', () => {
    expect(parseColour('mostly red')).toBeNull();
  });
});

describe('style sheets', () => {
  const root = parseXml('<svg class="top"><g id="in"><rect class="a b" data-k="v"/></g></svg>');
  const rect: XmlElement = root.ok ? root.value.children[0]!.children[0]! : (undefined as never);
  const fill = (css: string) => resolveDeclarations(rect, [parseStyleSheet(css)]).get('fill');

  it.each([
    ['rect{fill:one} .a{fill:two}', 'two'],
    ['.a.b{fill:one} .b{fill:two}', 'one'],
    ['#in rect{fill:one} .a.b{fill:two}', 'one'],
    ['svg>rect{fill:no} g>rect{fill:one}', 'one'],
    ['[data-k="v"]{fill:one} rect{fill:two}', 'one'],
    ['rect{fill:one!important} #in .a{fill:two}', 'one'],
    ['.c{fill:no}', undefined],
    ['rect:hover{fill:no}', undefined],
    [':root rect{fill:one}', 'one'],
  ])('%s', (css, value) => {
    expect(fill(css)).toBe(value);
  });

  it('counts what it does not read', () => {
    expect(parseStyleSheet('@media print{rect{fill:red}} rect:hover{fill:red}').unread).toHaveLength(2);
  });

  it('reads a style attribute', () => {
    expect(parseStyleAttribute('fill: red; stroke:#000 !important')).toEqual([
      { property: 'fill', value: 'red', important: false },
      { property: 'stroke', value: '#000', important: true },
    ]);
  });
});
