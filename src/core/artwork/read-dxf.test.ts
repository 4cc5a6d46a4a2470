import { describe, expect, it } from 'vitest';
import { makeCutLayer, measureArtwork, prepareLayers, readDrawing, readSvg, writeDxf, type Artwork } from './index';
import { readDxf } from './read-dxf';

/** A DXF of these entities, each a list of group codes and values. */
const dxf = (entities: readonly (readonly (string | number)[])[], header: readonly (string | number)[] = []): string =>
  [
    0,
    'SECTION',
    2,
    'HEADER',
    ...header,
    0,
    'ENDSEC',
    0,
    'SECTION',
    2,
    'ENTITIES',
    ...entities.flat(),
    0,
    'ENDSEC',
    0,
    'EOF',
  ].join('\n');
const line = (x1: number, y1: number, x2: number, y2: number, colour = 1) => [
  0,
  'LINE',
  8,
  'A',
  62,
  colour,
  10,
  x1,
  20,
  y1,
  11,
  x2,
  21,
  y2,
];
function read(text: string): Artwork {
  const artwork = readDrawing(text);
  if (!artwork.ok) throw new Error(JSON.stringify(artwork.problem));
  return artwork.value;
}
function measure(artwork: Artwork, widthMm: number) {
  const measured = measureArtwork(artwork, { widthMm });
  if (!measured.ok) throw new Error(measured.problem.kind);
  return measured.value;
}

describe('readDxf', () => {
  it('joins single lines end to end, whichever way they run', () => {
    const artwork = read(dxf([line(0, 0, 60, 0), line(60, 40, 60, 0), line(0, 40, 60, 40), line(0, 40, 0, 0)]));
    const { layers } = measure(artwork, 60);
    expect(artwork.layers.map((layer) => layer.colour)).toEqual(['#ff0000']);
    expect([layers[0]!.netMm2, layers[0]!.cutLengthMm].map((value) => Math.round(value * 10) / 10)).toEqual([
      2400, 200,
    ]);
  });

  it('reads circles, arcs closed by a line, and rings by the even-odd rule', () => {
    const half = measure(
      read(dxf([[0, 'ARC', 8, 'A', 62, 5, 10, 0, 20, 0, 40, 30, 50, 0, 51, 180], line(-30, 0, 30, 0, 5)])),
      60,
    );
    expect(half.layers[0]!.netMm2 / (Math.PI * 450)).toBeCloseTo(1, 3);
    const ring = measure(
      read(
        dxf([
          [0, 'CIRCLE', 8, 'A', 10, 5, 20, 5, 40, 20],
          [0, 'CIRCLE', 8, 'A', 10, 5, 20, 5, 40, 15],
        ]),
      ),
      40,
    );
    expect(ring.layers[0]).toMatchObject({ pieces: 1, cavities: 1 });
    expect(ring.layers[0]!.netMm2 / (Math.PI * 175)).toBeCloseTo(1, 2);
  });

  it('follows bulges of polylines: a slot with two half circles', () => {
    const slot = [
      0,
      'LWPOLYLINE',
      8,
      'A',
      90,
      4,
      70,
      1,
      10,
      0,
      20,
      0,
      10,
      50,
      20,
      0,
      42,
      1,
      10,
      50,
      20,
      20,
      10,
      0,
      20,
      20,
      42,
      1,
    ];
    const { layers, widthMm } = measure(read(dxf([slot])), 70);
    expect(widthMm).toBeCloseTo(70, 2);
    expect(layers[0]!.netMm2 / (1000 + Math.PI * 100)).toBeCloseTo(1, 3);
    expect(layers[0]!.cutLengthMm / (100 + Math.PI * 20)).toBeCloseTo(1, 3);
  });

  it('knows inches from millimetres and separates by colour', () => {
    const inches = readDxf(
      dxf(
        [
          [0, 'CIRCLE', 8, 'A', 62, 1, 10, 0, 20, 0, 40, 1],
          [0, 'CIRCLE', 8, 'A', 62, 3, 10, 4, 20, 0, 40, 1],
        ],
        [9, '$INSUNITS', 70, 1],
      ),
    );
    if (!inches.ok) throw new Error(inches.problem.kind);
    expect(inches.value.layers).toHaveLength(2);
    expect(Math.max(...inches.value.layers[0]!.shapes[0]!.contours.map((contour) => contour.start.x))).toBeCloseTo(
      25.4,
      6,
    );
  });

  it('turns the picture right way up: y of a DXF points up', () => {
    const artwork = read(dxf([line(0, 0, 40, 0), line(40, 0, 0, 30), line(0, 30, 0, 0)]));
    const resolved = prepareLayers(artwork, [{ kind: 'size', widthMm: 40, on: true }]);
    if (!resolved.ok) throw new Error(resolved.problem.kind);
    // The right angle lies at the bottom left on screen.
    const corners = resolved.value.layers[0]!.pieces[0]!.outer.map(
      (point) => `${Math.round(point.x)}/${Math.round(point.y)}`,
    );
    expect(new Set(corners)).toEqual(new Set(['0/30', '40/30', '0/0']));
  });

  it('lists what closes nothing, and text', () => {
    const artwork = read(
      dxf([
        [0, 'CIRCLE', 8, 'A', 10, 0, 20, 0, 40, 5],
        line(100, 0, 130, 0),
        [0, 'TEXT', 8, 'A', 10, 0, 20, 0, 40, 3, 1, 'Hallo'],
      ]),
    );
    expect(artwork.leftOut).toEqual([
      { kind: 'text', count: 1, names: ['Hallo'] },
      { kind: 'bad-path', count: 1, names: ['line that closes nothing'] },
    ]);
  });

  it('reads back what Chiral writes, to the same measure', () => {
    const svg = readSvg(
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 80"><path fill-rule="evenodd" d="M0 0H100V80H0zM30 40a15 15 0 1 0 30 0a15 15 0 1 0 -30 0z"/></svg>',
    );
    if (!svg.ok) throw new Error(svg.problem.kind);
    const prepared = prepareLayers(svg.value, [{ kind: 'size', widthMm: 90, on: true }]);
    if (!prepared.ok) throw new Error(prepared.problem.kind);
    const again = measure(
      read(writeDxf(makeCutLayer(prepared.value, prepared.value.layers[0]!, { name: 'plate', mirrored: false }))),
      90,
    );
    const was = measure(svg.value, 90);
    expect(again.layers[0]!.netMm2 / was.layers[0]!.netMm2).toBeCloseTo(1, 3);
    expect([again.layers[0]!.pieces, again.layers[0]!.cavities]).toEqual([1, 1]);
  });

  it.each([
    ['cut off', '0\nSECTION\n2\nENTITIES\n0\nLINE\n8'],
    ['without entities', '0\nSECTION\n2\nHEADER\n0\nENDSEC\n0\nEOF'],
    ['of lines that never close', dxf([line(0, 0, 50, 0), line(0, 10, 50, 10)])],
  ])('refuses a file %s in words', (_, text) => {
    const result = readDrawing(text);
    expect(result.ok).toBe(false);
    expect(!result.ok && result.problem.kind).toMatch(/broken-file|nothing-to-cut/);
  });
});

describe('a DXF that promises more than it holds', () => {
  const polyline = (count: number, points: readonly (readonly [number, number])[]) => [
    0,
    'LWPOLYLINE',
    8,
    'A',
    90,
    count,
    70,
    1,
    ...points.flatMap(([x, y]) => [10, x, 20, y]),
  ];
  const triangle = [
    [0, 0],
    [10, 0],
    [0, 10],
  ] as const;

  it('is refused by its counts, before room is made for them', () => {
    const lie = readDxf(dxf([polyline(80_000_000, triangle)]));
    expect(lie).toMatchObject({
      ok: false,
      problem: { kind: 'broken-file', detail: 'a line of 80000000 points is promised, and 5 have room' },
    });
    expect(readDxf(dxf([polyline(3, triangle)])).ok).toBe(true);
    expect(readDxf(dxf([polyline(3, triangle)]).replaceAll('\n', '\r\n')).ok).toBe(true);
  });

  it('is refused where blocks insert blocks that insert blocks', () => {
    const insert = (name: string) => [0, 'INSERT', 8, 'A', 2, name, 10, 0, 20, 0];
    const block = (name: string, inner: readonly (string | number)[]) => [
      0,
      'BLOCK',
      8,
      'A',
      2,
      name,
      10,
      0,
      20,
      0,
      ...inner,
      0,
      'ENDBLK',
      8,
      'A',
    ];
    const many = (name: string) => Array.from({ length: 12 }, () => insert(name)).flat();
    const blocks = Array.from({ length: 12 }, (_, at) =>
      block(`b${at}`, at === 11 ? line(0, 0, 1, 1) : many(`b${at + 1}`)),
    );
    const text = [0, 'SECTION', 2, 'BLOCKS', ...blocks.flat(), 0, 'ENDSEC', dxf([insert('b0')])].join('\n');
    expect(readDxf(text)).toMatchObject({ ok: false, problem: { kind: 'too-many-elements' } });
  });

  it('an arc goes once round at most, whatever its angles', () => {
    const arc = (from: number, until: number) => [0, 'ARC', 8, 'A', 10, 0, 20, 0, 40, 10, 50, from, 51, until];
    const circle = readDxf(dxf([arc(0, 720)]));
    expect(circle.ok && circle.value.layers[0]!.shapes[0]!.contours).toHaveLength(1);
    // A half and its other half close to one disc.
    const halves = readDxf(dxf([arc(0, 180 + 3600), arc(180 - 7200, 0)]));
    const measured = halves.ok ? measureArtwork(halves.value, { widthMm: 20 }) : null;
    expect(measured?.ok && measured.value.layers[0]!.netMm2).toBeCloseTo(Math.PI * 100, 0);
  });
});
