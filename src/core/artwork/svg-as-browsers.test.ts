import { describe, expect, it } from 'vitest';
import { measureArtwork, readSvg } from './index';
import { measureOwnWidth } from './resolve-artwork';
import { readTransform } from './svg-transform';

const PAGE = 'xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100" width="100mm" height="100mm"';
const svg = (body: string, attributes = '') => `<svg ${PAGE} ${attributes}>${body}</svg>`;
function read(text: string) {
  const artwork = readSvg(text);
  if (!artwork.ok) throw new Error(artwork.problem.kind);
  return artwork.value;
}
const colours = (text: string) => read(text).layers.map((layer) => layer.colour);
/** The one rectangle as drawn: [left, top, right, bottom] in mm. */
function boxOf(text: string): readonly number[] {
  const points = read(text).layers.flatMap((layer) =>
    layer.shapes.flatMap((shape) =>
      shape.contours.flatMap((contour) => [contour.start, ...contour.segments.map((segment) => segment.to)]),
    ),
  );
  const xs = points.map((point) => point.x);
  const ys = points.map((point) => point.y);
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)].map((mm) => Math.round(mm * 1000) / 1000);
}
const rect = (style: string) => svg(`<rect x="10" y="20" width="20" height="10" style="${style}"/>`);

// Boxes as a browser gives them by getBoundingClientRect, in units of the viewBox.
describe('transforms in styles', () => {
  it.each([
    ['transform: translate(10px, 5px)', [20, 25, 40, 35]],
    ['transform: translate(10px)', [20, 20, 40, 30]],
    ['transform: translateY(5px)', [10, 25, 30, 35]],
    ['transform: rotate(90deg)', [-30, 10, -20, 30]],
    ['transform: rotate(0.25turn)', [-30, 10, -20, 30]],
    ['transform: rotate(100grad)', [-30, 10, -20, 30]],
    ['transform: rotate(1.5707963rad)', [-30, 10, -20, 30]],
    ['transform: scale(2, 50%)', [20, 10, 60, 15]],
    ['transform: scaleX(2)', [20, 20, 60, 30]],
    ['transform: rotate(90deg); transform-origin: 20px 25px', [15, 15, 25, 35]],
    ['transform: rotate(180deg); transform-origin: 50% 50%', [70, 70, 90, 80]],
    ['transform: rotate(180deg); transform-origin: center', [70, 70, 90, 80]],
    ['transform: scale(2); transform-origin: right bottom', [-80, -60, -40, -40]],
    ['transform: scale(2); transform-origin: bottom right', [-80, -60, -40, -40]],
    ['transform: none', [10, 20, 30, 30]],
    ['transform: initial', [10, 20, 30, 30]],
  ])('%s', (style, box) => expect(boxOf(rect(style))).toEqual(box));

  it('in a style sheet, and as an attribute with its origin', () => {
    const sheet = '<style>rect { transform: translate(1mm, 0) }</style>';
    expect(boxOf(svg(`${sheet}<rect x="10" y="20" width="20" height="10"/>`))[0]).toBeCloseTo(10 + 96 / 25.4, 3);
    expect(
      boxOf(svg('<rect x="10" y="20" width="20" height="10" transform="rotate(90)" transform-origin="20 25"/>')),
    ).toEqual([15, 15, 25, 35]);
  });

  it('that can’t be read put nothing in a wrong place: they are told', () => {
    for (const style of ['transform: rotate3d(1,1,1,45deg)', 'transform: translate(50%)', 'transform: rotate(1apple)'])
      expect(read(rect(style)).leftOut.map((entry) => entry.kind)).toEqual(['bad-path']);
    const viewport = { width: 100, height: 100 };
    const ownBox = new Map([
      ['transform', 'rotate(90deg)'],
      ['transform-origin', 'center'],
      ['transform-box', 'fill-box'],
    ]);
    expect(readTransform(ownBox, viewport)).toBeNull();
  });
});

describe('what is drawn at all', () => {
  it('nothing of another program’s namespace, by prefix or by its own default', () => {
    const other = 'xmlns:draw="http://draw.example/ns"';
    expect(() => colours(svg('<draw:rect width="10" height="10"/>', other))).toThrow('nothing-to-cut');
    expect(colours(svg('<g><draw:path d="M0 0h9v9z"/><rect width="5" height="5" fill="#ff0000"/></g>', other))).toEqual(
      ['#ff0000'],
    );
    const page = '<div xmlns="http://www.w3.org/1999/xhtml"><rect width="9" height="9"/></div>';
    expect(colours(svg(`${page}<rect width="5" height="5" fill="#00ff00"/>`))).toEqual(['#00ff00']);
  });

  it('SVG by its prefix, and files that name no namespace', () => {
    expect(
      colours(
        '<s:svg xmlns:s="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><s:rect width="9" height="9" fill="#0000ff"/></s:svg>',
      ),
    ).toEqual(['#0000ff']);
    expect(colours('<svg viewBox="0 0 9 9"><rect width="9" height="9" fill="#0000ff"/></svg>')).toEqual(['#0000ff']);
  });

  it('the first of a switch whose conditions hold', () => {
    const red = '<rect width="9" height="9" fill="#ff0000"/>';
    const rest = '<rect width="9" height="9" fill="#00ff00"/><rect width="9" height="9" fill="#0000ff"/>';
    expect(colours(svg(`<switch>${red}${rest}</switch>`))).toEqual(['#ff0000']);
    expect(colours(svg(`<switch><g requiredExtensions="x">${red}</g>${rest}</switch>`))).toEqual(['#00ff00']);
    expect(colours(svg(`<switch><g systemLanguage="de, fr">${red}</g>${rest}</switch>`))).toEqual(['#00ff00']);
    expect(colours(svg(`<switch><g systemLanguage="de, en-US">${red}</g>${rest}</switch>`))).toEqual(['#ff0000']);
    expect(colours(svg(`<g requiredExtensions="x">${red}</g>${rest}`))).toEqual(['#00ff00', '#0000ff']);
  });
});

describe('paint', () => {
  const inside = (fill: string, outer = 'fill="#ff0000" color="#00ff00"') =>
    colours(svg(`<g ${outer}><rect width="9" height="9" fill="${fill}"/></g>`));
  it.each([
    ['inherit', ['#ff0000']],
    ['INHERIT', ['#ff0000']],
    ['unset', ['#ff0000']],
    ['initial', ['#000000']],
    ['currentColor', ['#00ff00']],
    ['CURRENTCOLOR', ['#00ff00']],
    ['no-such-colour', ['#ff0000']],
    ['', ['#ff0000']],
  ])('fill %j', (fill, expected) => expect(inside(fill)).toEqual(expected));

  it('keywords of the other properties in any case', () => {
    const ring = 'M0 0h90v90h-90zM20 20h50v50h-50z';
    const net = (rule: string) => {
      const measured = measureArtwork(read(svg(`<path d="${ring}" fill-rule="${rule}"/>`)), { widthMm: 90 });
      return measured.ok && Math.round(measured.value.layers[0]!.netMm2);
    };
    expect([net('EVENODD'), net('evenodd'), net('nonzero')]).toEqual([5600, 5600, 8100]);
    const hidden = '<g visibility="hidden"><rect width="9" height="9" fill="#ff0000" visibility="INITIAL"/></g>';
    expect(colours(svg(hidden))).toEqual(['#ff0000']);
  });
});

describe('clip paths', () => {
  const clip = (inside: string, units = '') => `<clipPath id="k" ${units}>${inside}</clipPath>`;
  const OWN = 'clipPathUnits="objectBoundingBox"';
  const areaOf = (body: string): number => {
    const artwork = read(svg(body));
    const widthMm = measureOwnWidth(artwork)!;
    const measured = measureArtwork(artwork, { widthMm });
    if (!measured.ok) throw new Error(measured.problem.kind);
    return Math.round(measured.value.layers.reduce((sum, layer) => sum + layer.netMm2, 0) * 100) / 100;
  };

  it('in units of the box of what is clipped: a shape, a group, a copy of one', () => {
    const half = clip('<rect width="0.5" height="1"/>', OWN);
    expect(areaOf(`${half}<rect x="20" y="10" width="40" height="20" clip-path="url(#k)"/>`)).toBe(400);
    const group = '<rect width="10" height="10"/><rect x="30" y="30" width="10" height="10"/>';
    expect(areaOf(`${half}<g clip-path="url(#k)">${group}</g>`)).toBe(100);
    expect(areaOf(`${half}<g transform="translate(20 5) scale(2)" clip-path="url(#k)">${group}</g>`)).toBe(400);
    const disc = clip('<circle cx=".5" cy=".5" r=".5"/>', OWN);
    expect(areaOf(`${disc}<rect x="10" y="10" width="60" height="40" clip-path="url(#k)"/>`)).toBeCloseTo(
      Math.PI * 30 * 20,
      0,
    );
    expect(
      areaOf(`<defs><rect id="r" width="40" height="20"/></defs>${half}<use href="#r" x="9" clip-path="url(#k)"/>`),
    ).toBe(400);
  });

  it('are the union of their shapes, each by its own rule', () => {
    const two = clip('<rect width="30" height="20"/><rect x="20" width="30" height="20"/>');
    expect(areaOf(`${two}<rect width="90" height="90" clip-path="url(#k)"/>`)).toBe(1000);
    const ring = 'M0 0h40v40h-40z M10 10h20v20h-20z';
    expect(areaOf(`${clip(`<path d="${ring}"/>`)}<rect width="90" height="90" clip-path="url(#k)"/>`)).toBe(1600);
    const odd = clip(`<path d="${ring}" clip-rule="evenodd"/><rect x="15" y="15" width="10" height="10"/>`);
    expect(areaOf(`${odd}<rect width="90" height="90" clip-path="url(#k)"/>`)).toBe(1300);
  });
});

it('geometry in styles counts as it does in attributes, and wins over them', () => {
  expect(boxOf(svg('<rect width="5" height="5" style="x: 10px; y: 20px; width: 20px; height: 10px"/>'))).toEqual([
    10, 20, 30, 30,
  ]);
  // A circle begins at its right.
  expect(boxOf(svg('<style>circle { cx: 50px; cy: 40px; r: 10% }</style><circle r="1"/>'))[0]).toBeCloseTo(60, 2);
  expect(boxOf(svg(`<path d="M0 0h1v1z" style="d: path('M10 10h20v30h-20z')"/>`))).toEqual([10, 10, 30, 40]);
});
