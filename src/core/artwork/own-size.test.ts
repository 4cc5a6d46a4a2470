import { describe, expect, it } from 'vitest';
import { measureOwnWidth, prepareFile, readDrawing } from './index';

const svg = (body: string, attributes: string) => `<svg xmlns="http://www.w3.org/2000/svg" ${attributes}>${body}</svg>`;
const disc = '<circle cx="50" cy="50" r="40" fill="#123456"/>';
const ownWidth = (text: string) => {
  const artwork = readDrawing(text);
  if (!artwork.ok) throw new Error(artwork.problem.kind);
  return measureOwnWidth(artwork.value, { strokes: artwork.value.layers.length === 0 });
};
/** At the width it opens at, with nothing asked. */
const opened = (text: string) => {
  const prepared = prepareFile(text, null, null);
  return prepared.ok ? prepared.value.facts.measurement.widthMm : null;
};

describe('a drawing that states its size opens at it', () => {
  it.each([
    // The page is 100 mm, and what is painted on it four fifths of that.
    ['100mm', 80],
    ['10cm', 80],
    ['4in', 0.8 * 4 * 25.4],
    ['360pt', 0.8 * 5 * 25.4],
  ])('a page %s wide', (width, expected) => {
    const text = svg(disc, `viewBox="0 0 100 100" width="${width}" height="${width}"`);
    expect(ownWidth(text)).toBeCloseTo(expected, 1);
    expect(opened(text)).toBeCloseTo(expected, 1);
  });

  it('what a clip cuts away does not count, and strokes do', () => {
    const clip = '<clipPath id="c"><rect width="50" height="100"/></clipPath>';
    const size = 'viewBox="0 0 100 100" width="100mm" height="100mm"';
    expect(ownWidth(svg(`${clip}<g clip-path="url(#c)">${disc}</g>`, size))).toBeCloseTo(40, 1);
    expect(ownWidth(svg('<path d="M20 50H80" fill="none" stroke="#000" stroke-width="10"/>', size))).toBeCloseTo(60, 1);
  });

  it('a DXF is in millimetres or in what it says', () => {
    const square = '0\nSECTION\n2\nENTITIES\n0\nCIRCLE\n8\nA\n10\n0\n20\n0\n40\n30\n0\nENDSEC\n0\nEOF';
    expect(ownWidth(square)).toBeCloseTo(60, 1);
    const inches = `0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n1\n0\nENDSEC\n${square}`;
    expect(ownWidth(inches)).toBeCloseTo(60 * 25.4, 0);
  });
});

describe('a drawing that states none opens at 200 mm', () => {
  it.each([
    ['pixels', 'width="24" height="24" viewBox="0 0 24 24"'],
    ['pixels with their unit', 'width="24px" height="24px" viewBox="0 0 24 24"'],
    ['a share of the page', 'width="100%" viewBox="0 0 24 24"'],
    ['nothing', 'viewBox="0 0 24 24"'],
  ])('%s', (_, size) => {
    const text = svg('<rect width="24" height="12"/>', size);
    expect(ownWidth(text)).toBeNull();
    expect(opened(text)).toBeCloseTo(200, 2);
  });

  it('or one that no piece can have', () => {
    const text = svg('<rect width="1" height="1"/>', 'width="1mm" height="1mm" viewBox="0 0 1 1"');
    expect(ownWidth(text)).toBeNull();
    expect(opened(text)).toBeCloseTo(200, 2);
  });
});
