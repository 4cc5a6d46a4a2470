import { describe, expect, it } from 'vitest';
import { measureArtwork, readSvg, type Artwork, type LeftOutKind } from './index';

const svg = (body: string, attributes = 'viewBox="0 0 100 100" width="100mm" height="100mm"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${attributes}>${body}</svg>`;

function read(text: string): Artwork {
  const result = readSvg(text);
  if (!result.ok) throw new Error(JSON.stringify(result.problem));
  return result.value;
}
function measure(text: string, widthMm = 100) {
  const result = measureArtwork(read(text), { widthMm });
  if (!result.ok) throw new Error(JSON.stringify(result.problem));
  return result.value;
}
const problemOf = (text: string) => {
  const result = readSvg(text);
  return result.ok ? null : result.problem;
};
const leftOut = (text: string): Partial<Record<LeftOutKind, number>> =>
  Object.fromEntries(read(text).leftOut.map((entry) => [entry.kind, entry.count]));

describe('measurement against closed forms', () => {
  it('measures a circle within 0.1 %', () => {
    const [layer] = measure(svg('<circle cx="50" cy="50" r="50"/>')).layers;
    expect(layer!.netMm2 / (Math.PI * 2500)).toBeCloseTo(1, 3);
    expect(layer!.cutLengthMm / (Math.PI * 100)).toBeCloseTo(1, 4);
    expect([layer!.pieces, layer!.cavities, layer!.contours]).toEqual([1, 0, 1]);
  });

  it('measures a ring drawn as one even-odd path: one piece, one cavity', () => {
    const ring = 'M0 50a50 50 0 1 0 100 0a50 50 0 1 0-100 0zM25 50a25 25 0 1 0 50 0a25 25 0 1 0-50 0z';
    const [layer] = measure(svg(`<path fill-rule="evenodd" d="${ring}"/>`)).layers;
    expect(layer!.netMm2 / (Math.PI * (2500 - 625))).toBeCloseTo(1, 3);
    expect(layer!.cutLengthMm / (Math.PI * 150)).toBeCloseTo(1, 4);
    expect([layer!.pieces, layer!.cavities]).toEqual([1, 1]);
  });

  it('measures a rounded rectangle: w·h − (4 − π)·r², 2(w + h) − (8 − 2π)·r', () => {
    const [layer] = measure(svg('<rect x="0" y="0" width="100" height="60" rx="12"/>')).layers;
    expect(layer!.netMm2 / (6000 - (4 - Math.PI) * 144)).toBeCloseTo(1, 3);
    expect(layer!.cutLengthMm / (320 - (8 - 2 * Math.PI) * 12)).toBeCloseTo(1, 4);
    expect(layer!.sharpCorners).toBe(0);
  });

  it('measures a five-pointed star and finds its ten corners', () => {
    const points = Array.from({ length: 10 }, (_, i) => {
      const radius = i % 2 ? 20 : 50;
      return [radius * Math.sin((i * Math.PI) / 5), -radius * Math.cos((i * Math.PI) / 5)];
    });
    const width = 2 * 50 * Math.sin((2 * Math.PI) / 5);
    const [layer] = measure(svg(`<polygon points="${points.flat().join(' ')}"/>`), width).layers;
    expect(layer!.netMm2).toBeCloseTo(5 * 50 * 20 * Math.sin(Math.PI / 5), 0);
    expect(layer!.sharpCorners).toBe(10);
  });

  it('keeps 2 mm dots true as well', () => {
    const [layer] = measure(svg('<circle cx="1" cy="1" r="1"/><rect x="98" width="2" height="2"/>')).layers;
    expect(layer!.netMm2 / (Math.PI + 4)).toBeCloseTo(1, 3);
  });

  it('counts overlapping shapes of one colour once in area, each in the knife path', () => {
    const [layer] = measure(svg('<rect width="60" height="10"/><rect x="40" width="60" height="10"/>')).layers;
    expect(layer!.netMm2).toBeCloseTo(1000, 3);
    expect(layer!.cutLengthMm).toBeCloseTo(280, 3);
    expect(layer!.outlineLengthMm).toBeCloseTo(220, 3);
    expect(layer!.pieces).toBe(1);
  });

  it('does not cancel shapes that turn the other way round', () => {
    const [layer] = measure(svg('<path d="M0 0H60V10H0z"/><path d="M100 0H40V10H100z"/>')).layers;
    expect(layer!.netMm2).toBeCloseTo(1000, 3);
  });
});

describe('sizes', () => {
  it.each([
    ['mm', 'width="80mm" height="40mm" viewBox="0 0 80 40"'],
    ['cm', 'width="8cm" height="4cm" viewBox="0 0 800 400"'],
    ['in', `width="${80 / 25.4}in" height="${40 / 25.4}in" viewBox="0 0 80 40"`],
    ['pt', `width="${(80 / 25.4) * 72}pt" height="${(40 / 25.4) * 72}pt" viewBox="0 0 8 4"`],
  ])('is the same measurement whatever the unit: %s', (_, attributes) => {
    const scale = Number(/viewBox="0 0 ([\d.]+)/.exec(attributes)![1]) / 80;
    const { layers, heightMm } = measure(
      svg(`<ellipse cx="${40 * scale}" cy="${20 * scale}" rx="${40 * scale}" ry="${20 * scale}"/>`, attributes),
      80,
    );
    expect(heightMm).toBeCloseTo(40, 2);
    expect(layers[0]!.netMm2 / (Math.PI * 800)).toBeCloseTo(1, 3);
  });

  it('says when a size had to be assumed', () => {
    expect(read(svg('<rect width="5" height="5"/>', 'viewBox="0 0 10 10" width="100%"')).size).toBe('assumed');
    expect(read(svg('<rect width="5" height="5"/>')).size).toBe('stated');
  });

  it('brings curves to the asked width, not their control points', () => {
    const measured = measure(svg('<path d="M0 0C0 100 100 100 100 0z"/>'), 100);
    expect(measured.widthMm).toBeCloseTo(100, 2);
    expect(measured.heightMm).toBeCloseTo(75, 2);
  });

  it('refuses a width out of range', () => {
    expect(measureArtwork(read(svg('<rect width="5" height="5"/>')), { widthMm: 2 })).toMatchObject({
      ok: false,
      problem: { kind: 'width-out-of-range', leastMm: 3 },
    });
  });
});

describe('drawings as people have them', () => {
  it('follows nested transforms', () => {
    const nested =
      '<g transform="translate(10 10)"><g transform="rotate(90) scale(2)"><g transform="matrix(1 0 0 -1 0 0)"><rect id="r" width="10" height="5"/></g></g></g>';
    const [layer] = measure(svg(`${nested}<rect x="0" y="0" width="1" height="1"/>`), 20).layers;
    expect(layer!.netMm2).toBeCloseTo(201, 1);
  });

  it('separates by resolved colour: names, hex, rgb, hsl, classes, style, inheritance, currentColor', () => {
    const text = svg(`<style>.a{fill:red} g > .b{fill:#F00} #c{fill:rgb(255,0,0)!important}</style>
      <g fill="blue"><rect class="a" width="10" height="10"/><rect class="b" x="20" width="10" height="10"/><rect id="c" style="fill:green" x="40" width="10" height="10"/>
      <rect style="fill:hsl(0 100% 50%)" x="60" width="10" height="10"/><rect x="80" width="10" height="10"/><rect x="90" width="10" height="10" fill="currentColor" color="#00f"/></g>`);
    expect(measure(text).layers.map((layer) => [layer.colour, layer.pieces])).toEqual([
      ['#ff0000', 4],
      ['#0000ff', 1],
    ]);
  });

  it('leaves out what paints nothing', () => {
    const hidden =
      '<rect display="none" width="9" height="9"/><rect visibility="hidden" width="9" height="9"/><rect fill="none" width="9" height="9"/><rect opacity="0" width="9" height="9"/><rect fill-opacity="0" width="9" height="9"/><rect fill="rgba(0,0,0,0)" width="9" height="9"/><g style="display:none"><rect width="9" height="9"/></g>';
    expect(measure(svg(`${hidden}<rect width="100" height="10"/>`)).layers).toHaveLength(1);
    expect(problemOf(svg(hidden))?.kind).toBe('nothing-to-cut');
  });

  it('repeats by use and symbol, and stops at a circle of uses', () => {
    const text = svg(
      '<defs><symbol id="s" viewBox="0 0 10 10"><rect width="10" height="10"/></symbol><g id="loop"><use href="#loop"/></g></defs><use xlink:href="#s" width="20" height="20"/><use href="#s" x="80" width="20" height="20"/><use href="#loop"/>',
    );
    const measured = measure(text);
    expect(measured.layers[0]!.netMm2).toBeCloseTo(800, 2);
    expect(leftOut(text)['unknown-shape']).toBe(1);
  });

  it('applies clip paths', () => {
    const text = svg(
      '<clipPath id="k"><rect width="50" height="100"/></clipPath><rect clip-path="url(#k)" width="100" height="20"/>',
    );
    const [layer] = measure(text, 50).layers;
    expect(layer!.netMm2).toBeCloseTo(1000, 2);
    expect(layer!.cutLengthMm).toBeCloseTo(140, 2);
  });

  it('keeps preserveAspectRatio: meet, slice and none', () => {
    const box = (aspect: string) =>
      measure(
        svg(
          '<svg width="40" height="20" viewBox="0 0 10 10" preserveAspectRatio="' +
            aspect +
            '"><rect width="10" height="10"/></svg><rect y="90" width="100" height="10"/>',
        ),
      ).layers[0]!;
    expect(box('xMidYMid meet').netMm2).toBeCloseTo(1400, 1);
    expect(box('none').netMm2).toBeCloseTo(1800, 1);
    expect(box('xMidYMid slice').netMm2).toBeCloseTo(1800, 1);
  });

  it('reads arcs whose flags run together, BOM, CDATA and the short entities of drawing programs', () => {
    const text = `\uFEFF<?xml version="1.0"?><!DOCTYPE svg [<!ENTITY ns "http://www.w3.org/2000/svg">]><svg xmlns="&ns;" viewBox="0 0 100 100"><style><![CDATA[.x{fill:#123456}]]></style><path class="x" d="M0 50a50 50 0 01100 0a50 50 0 01-100 0z"/></svg>`;
    const [layer] = measure(text).layers;
    expect(layer!.colour).toBe('#123456');
    expect(layer!.netMm2 / (Math.PI * 2500)).toBeCloseTo(1, 3);
  });

  it('lists what cannot be cut by kind and name', () => {
    const text = svg(
      '<rect width="10" height="10" stroke="red"/><text id="t">Hello <tspan>you</tspan></text><image href="data:image/png;base64,AA=="/><image href="https://elsewhere.example/a.png"/><rect filter="url(#f)" width="5" height="5"/><script>alert(1)</script><rect onclick="x()" width="3" height="3"/>',
    );
    expect(leftOut(text)).toEqual({ stroke: 1, text: 1, image: 1, 'outside-link': 1, filter: 1, script: 2 });
    expect(read(text).leftOut.find((entry) => entry.kind === 'text')!.names).toEqual(['Hello you']);
  });

  it('takes a gradient as one layer of its first colour and says so', () => {
    const artwork = read(
      svg(
        '<linearGradient id="g"><stop stop-color="#ff8800"/><stop offset="1" stop-color="blue"/></linearGradient><rect fill="url(#g)" width="10" height="10"/>',
      ),
    );
    expect([artwork.layers[0]!.colour, artwork.gradients]).toEqual(['#ff8800', 1]);
  });
});

describe('files that are refused', () => {
  const cases: readonly (readonly [string, string, string])[] = [
    ['empty', '   ', 'empty-file'],
    ['plain text', 'hello', 'not-svg'],
    ['a PNG', '\u0089PNG\r\n\u001a\n', 'not-svg'],
    ['a web page', '<!doctype html><html></html>', 'not-svg'],
    ['another XML', '<note><to>you</to></note>', 'not-svg'],
    ['truncated', '<svg xmlns="http://www.w3.org/2000/svg"><rect width="5"', 'broken-file'],
    ['unclosed', '<svg xmlns="http://www.w3.org/2000/svg"><g><rect/></svg>', 'broken-file'],
    [
      'an external entity',
      '<!DOCTYPE svg [<!ENTITY x SYSTEM "file:///etc/passwd">]><svg xmlns="http://www.w3.org/2000/svg"><text>&x;</text></svg>',
      'forbidden-entity',
    ],
    ['nested entities', '<!DOCTYPE svg [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]><svg/>', 'forbidden-entity'],
    ['an unknown entity', '<svg xmlns="http://www.w3.org/2000/svg"><text>&nope;</text></svg>', 'broken-file'],
    [
      'very deep nesting',
      `<svg xmlns="http://www.w3.org/2000/svg">${'<g>'.repeat(300)}${'</g>'.repeat(300)}</svg>`,
      'too-deep',
    ],
    [
      'an explosion of uses',
      svg(
        `<defs><g id="u0"><rect width="1" height="1"/></g>${Array.from({ length: 12 }, (_, i) => `<g id="u${i + 1}">${`<use href="#u${i}"/>`.repeat(10)}</g>`).join('')}</defs><use href="#u12"/>`,
      ),
      'too-many-elements',
    ],
    ['only text', svg('<text>live</text>'), 'nothing-to-cut'],
    ['nothing at all', svg(''), 'nothing-to-cut'],
  ];
  it.each(cases)('%s', (_, text, kind) => {
    expect(problemOf(text)?.kind).toBe(kind);
  });

  it('only strokes: read, but nothing to cut until they are outlines', () => {
    const artwork = read(svg('<path fill="none" stroke="black" stroke-width="2" d="M0 0H40"/>'));
    expect(measureArtwork(artwork, { widthMm: 40 })).toMatchObject({ ok: false, problem: { kind: 'nothing-to-cut' } });
    const outlined = measureArtwork(artwork, { widthMm: 40 }, { strokes: true });
    expect(outlined).toMatchObject({ ok: true, value: { layers: [{ colour: '#000000', pieces: 1 }] } });
    expect(outlined.ok && outlined.value.layers[0]!.netMm2).toBeCloseTo(80, 3);
  });

  it('tells where a broken file breaks', () => {
    expect(problemOf('<svg xmlns="http://www.w3.org/2000/svg">\n<g></h></svg>')).toMatchObject({
      kind: 'broken-file',
      line: 2,
    });
  });

  it('refuses more segments than it measures well, with the figure', () => {
    const line = `M0 0${'l1 2 1 -2'.repeat(200_001)}z`;
    const result = measureArtwork(read(svg(`<path d="${line}"/>`)), { widthMm: 1000 });
    expect(result).toMatchObject({ ok: false, problem: { kind: 'too-many-segments', limit: 400_000 } });
  });
});
