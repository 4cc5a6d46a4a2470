// Broken and hostile files: each is refused in a clear sentence or read without harm, and nothing in it is NaN.

import { describe, expect, it } from 'vitest';
import { measureArtwork, readSvg, type MeasureProblem, type ReadProblem } from '../src/core/artwork';
import { describeArtworkProblem } from '../src/wording/problems';

const NS = 'xmlns="http://www.w3.org/2000/svg"';
const svg = (body: string, attributes = 'viewBox="0 0 100 100"') => `<svg ${NS} ${attributes}>${body}</svg>`;
const RECT = '<rect width="50" height="40"/>';
type Outcome = { readonly problem: ReadProblem | MeasureProblem | null; readonly figures: string };

function tryFile(text: string): Outcome {
  const read = readSvg(text);
  if (!read.ok) return { problem: read.problem, figures: '' };
  const measured = measureArtwork(read.value, { widthMm: 100 });
  return measured.ok
    ? {
        problem: null,
        figures: JSON.stringify(measured.value, (_, value: unknown) =>
          typeof value === 'number' && !Number.isFinite(value) ? 'NOT-A-NUMBER' : value,
        ),
      }
    : { problem: measured.problem, figures: '' };
}

const REFUSED: readonly (readonly [string, string, RegExp])[] = [
  ['empty', '', /empty/],
  ['white space', ' \n\t ', /empty/],
  ['plain text', 'hello', /not an SVG/],
  ['a PNG', '\u0089PNG\r\n\u001a\n\u0000\u0000', /not an SVG/],
  ['a PDF', '%PDF-1.7 1 0 obj', /not an SVG/],
  ['JSON', '{"type":"svg"}', /not an SVG/],
  ['a web page', '<!DOCTYPE html><html><body><svg/></body></html>', /not an SVG/],
  ['another XML', '<note><svg/></note>', /not an SVG/],
  ['cut off in a tag', `<svg ${NS}><rect wid`, /breaks off/],
  ['cut off in a path', `<svg ${NS}><path d="M0 0L10`, /breaks off/],
  ['cut off in a comment', `<svg ${NS}><!-- to be`, /breaks off/],
  ['an unclosed group', `<svg ${NS}><g>${RECT}</svg>`, /damaged at line 1/],
  ['two roots', `${svg(RECT)}${svg(RECT)}`, /damaged/],
  ['an attribute twice', svg('<rect width="5" width="6" height="7"/>'), /damaged/],
  ['an attribute without quotes', svg('<rect width=5 height="7"/>'), /damaged/],
  ['a bare ampersand', svg('<title>A & B</title>'), /damaged/],
  ['an unknown entity', svg('<title>&nbsp;</title>'), /damaged/],
  ['control characters', svg('<title>\u0001\u0002</title>'), /damaged/],
  [
    'an entity from a file',
    `<!DOCTYPE svg [<!ENTITY x SYSTEM "file:///etc/hostname">]>${svg('<text>&x;</text>')}`,
    /never fetched/,
  ],
  [
    'an entity from the net',
    `<!DOCTYPE svg [<!ENTITY x PUBLIC "-//X" "https://elsewhere.example/x">]>${svg('<text>&x;</text>')}`,
    /never fetched/,
  ],
  ['a parameter entity', `<!DOCTYPE svg [<!ENTITY % p "<!ENTITY x 'y'>"> %p;]>${svg(RECT)}`, /never fetched/],
  [
    'a billion laughs',
    `<!DOCTYPE svg [<!ENTITY a "ha"><!ENTITY b "&a;&a;&a;"><!ENTITY c "&b;&b;&b;">]>${svg('<text>&c;</text>')}`,
    /never fetched/,
  ],
  [
    'a very long entity',
    `<!DOCTYPE svg [<!ENTITY a "${'x'.repeat(5000)}">]>${svg('<text>&a;</text>')}`,
    /never fetched/,
  ],
  ['groups three hundred deep', svg(`${'<g>'.repeat(300)}${RECT}${'</g>'.repeat(300)}`), /nested more than/],
  [
    'uses that multiply',
    svg(
      `<defs><g id="a"><rect width="1" height="1"/></g>${'bcdefghijk'
        .split('')
        .map((id, index) => `<g id="${id}">${`<use href="#${'abcdefghijk'[index]}"/>`.repeat(12)}</g>`)
        .join('')}</defs><use href="#k"/>`,
    ),
    /more than 200,000 elements/,
  ],
  ['nothing in it', svg(''), /no filled shapes/],
  ['only definitions', svg(`<defs>${RECT}</defs>`), /no filled shapes/],
  [
    'only what is hidden',
    svg('<rect width="9" height="9" display="none"/><rect width="9" height="9" fill="none"/>'),
    /no filled shapes/,
  ],
  ['only live text', svg('<text>Hello</text>'), /live text/],
  ['only a picture', svg('<image href="data:image/png;base64,AAAA"/>'), /embedded picture/],
  ['only a picture from elsewhere', svg('<image href="https://elsewhere.example/a.png"/>'), /link to another file/],
  ['only strokes', svg('<path fill="none" stroke="red" d="M0 0L9 9"/>'), /drawn as a stroke/],
  ['only a pattern', svg('<defs><pattern id="p"/></defs><rect width="9" height="9" fill="url(#p)"/>'), /pattern fill/],
  [
    'shapes of no size',
    svg('<rect width="0" height="9"/><circle r="0"/><path d="M5 5"/><polygon points="1,1"/>'),
    /no filled shapes|Nothing in it/,
  ],
  ['a flat line', svg('<path d="M0 0H90Z"/>'), /no filled shapes|Nothing in it/],
  [
    'everything clipped away',
    svg(
      `<defs><clipPath id="c"><rect x="90" y="90" width="1" height="1"/></clipPath></defs><g clip-path="url(#c)">${RECT}</g>`,
    ),
    /no filled shapes|Nothing in it/,
  ],
  [
    'more segments than are measured',
    svg(`<path d="M0 0${'l1 2 1 -2'.repeat(200_001)}z"/>`),
    /400,002 short lines|up to 400,000/,
  ],
];

const READ: readonly (readonly [string, string])[] = [
  ['a script', svg(`<script>while(true){}</script>${RECT}`)],
  ['handlers', svg(`<g onload="alert(1)">${RECT}</g>`)],
  ['a foreign object', svg(`<foreignObject><div xmlns="http://www.w3.org/1999/xhtml">x</div></foreignObject>${RECT}`)],
  [
    'style sheets from elsewhere',
    `<?xml-stylesheet href="https://elsewhere.example/a.css"?>${svg(`<style>@import url(https://elsewhere.example/a.css); rect{fill:red}</style>${RECT}`)}`,
  ],
  ['a broken style sheet', svg(`<style>rect { fill: ; } }} @media { rect{</style>${RECT}`)],
  ['a use of itself', svg(`<g id="a"><use href="#a"/>${RECT}</g>`)],
  ['uses in a circle', svg(`<g id="a"><use href="#b"/></g><g id="b"><use href="#a"/>${RECT}</g>`)],
  [
    'a clip path of itself',
    svg(
      `<clipPath id="c" clip-path="url(#c)"><rect width="60" height="60"/></clipPath><g clip-path="url(#c)">${RECT}</g>`,
    ),
  ],
  ['a gradient of itself', svg(`<linearGradient id="g" href="#g"/><rect width="9" height="9" fill="url(#g) red"/>`)],
  ['a damaged path', svg(`<path d="M0 0H50V50Z M60 60 L nonsense"/>`)],
  ['huge numbers', svg(`<path d="M0 0L1e308 1e308L-1e308 5Z"/>${RECT}`)],
  ['not-a-numbers', svg(`<rect x="NaN" y="Infinity" width="50" height="40" transform="rotate(NaN)"/>${RECT}`)],
  ['a flattening matrix', svg(`<g transform="matrix(1 0 0 0 0 0)">${RECT}</g>${RECT}`)],
  ['an empty viewBox', svg(RECT, 'viewBox="0 0 0 0"')],
  ['a negative size', svg(RECT, 'width="-5mm" height="-9" viewBox="0 0 100 100"')],
  ['a percent size', svg(RECT, 'width="100%" height="100%"')],
  ['a microscopic drawing', svg('<rect width="1e-7" height="1e-7"/>')],
  ['a drawing a kilometre off', svg('<rect x="3000000" width="50" height="50"/>')],
  ['a point touched a thousand times', svg(`<path d="${'M50 50L60 50L55 60Z'.repeat(1000)}"/>`)],
  ['a line back and forth', svg('<path d="M0 0H50H0H50V1H0Z"/>')],
  ['a star that crosses itself', svg('<polygon points="50,0 20,95 98,35 2,35 80,95"/>')],
  ['odd points', svg('<polygon points="0,0 50,0 50,50 7"/>')],
  ['a byte order mark and CDATA', `\uFEFF${svg(`<style><![CDATA[rect{fill:#00f}]]></style>${RECT}`)}`],
  [
    'prefixed names',
    `<s:svg xmlns:s="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><s:rect width="5" height="4"/></s:svg>`,
  ],
  ['a long class list', svg(`<rect class="${'a '.repeat(20_000)}" width="5" height="5"/>`)],
  [
    'ten thousand rules',
    svg(`<style>${Array.from({ length: 10_000 }, (_, index) => `.c${index}{fill:#000}`).join('')}</style>${RECT}`),
  ],
];

describe('files that are refused, in a sentence that names the cause and the next step', () => {
  it.each(REFUSED)('%s', (_, text, words) => {
    const { problem } = tryFile(text);
    expect(problem, 'it was read').not.toBeNull();
    const sentence = describeArtworkProblem(problem!);
    expect(sentence).toMatch(words);
    expect(sentence).toMatch(/\. [A-Z]/);
    expect(sentence).not.toMatch(/undefined(?! entity)|NaN|\[object/);
  });
});

describe('files that are read without harm', () => {
  it.each(READ)('%s', (_, text) => {
    const { problem, figures } = tryFile(text);
    expect(problem).toBeNull();
    expect(figures).not.toContain('NOT-A-NUMBER');
    expect(figures).toContain('netMm2');
  });
});

it('there are more than forty', () => expect(REFUSED.length + READ.length).toBeGreaterThanOrEqual(60));
