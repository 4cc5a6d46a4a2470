// A document whose text is never spelled otherwise than it was written: what the narrow face has no letter for is set
// in a wide one, and what neither has is told by a question mark.

import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { create, type Font } from 'fontkit';
import PDFDocument from 'pdfkit';
import { programRoot } from '../context';

type Face = 'text' | 'strong';
type Files = { readonly narrow: string; readonly wide: string };

const inPackages = (...path: readonly string[]): string => join(programRoot(), 'node_modules', ...path);
const narrowFile = (weight: 400 | 600): string =>
  inPackages('@fontsource', 'archivo-narrow', 'files', `archivo-narrow-latin-${weight}-normal.woff`);
const wideFile = (name: string): string => inPackages('dejavu-fonts-ttf', 'ttf', `DejaVuSansCondensed${name}.ttf`);

const filesOf = (face: Face): Files =>
  face === 'text'
    ? { narrow: narrowFile(400), wide: wideFile('') }
    : { narrow: narrowFile(600), wide: wideFile('-Bold') };

/** Opened once for each thread that prints. */
const opened = new Map<string, Font>();
function openOnce(file: string): Font {
  const known = opened.get(file);
  if (known) return known;
  const font = create(readFileSync(file)) as Font;
  opened.set(file, font);
  return font;
}

const hasLetter = (file: string, letter: string): boolean =>
  /\s/.test(letter) || openOnce(file).hasGlyphForCodePoint(letter.codePointAt(0)!);
const hasAll = (file: string, text: string): boolean => [...text].every((letter) => hasLetter(file, letter));

/** Letters of the scripts that run from right to left. */
const RIGHT_TO_LEFT = /[\u0590-\u08ff\ufb1d-\ufdff\ufe70-\ufefc]/;

export class ShopPaper extends PDFDocument {
  /** Declared only: the library sets a font before a value here would count. */
  declare private face: Face | null;

  override font(src: PDFKit.Mixins.PDFFontSource, ...more: never[]): this {
    this.face = src === 'text' || src === 'strong' ? src : this.face;
    return super.font(src, ...more);
  }

  override text(text: string, ...more: never[]): this {
    return this.spell(text, (spelled) => super.text(spelled, ...this.runOn(spelled, more)));
  }

  override widthOfString(text: string, options?: PDFKit.Mixins.TextOptions): number {
    return this.spell(text, (spelled) => super.widthOfString(spelled, options));
  }

  override heightOfString(text: string, options?: PDFKit.Mixins.TextOptions): number {
    return this.spell(text, (spelled) => super.heightOfString(spelled, options));
  }

  registerFaces(): this {
    for (const face of ['text', 'strong'] as const) {
      const { narrow, wide } = filesOf(face);
      this.registerFont(face, narrow);
      this.registerFont(`${face} wide`, wide);
    }
    return this;
  }

  /** In the face that has all its letters; afterwards the one that was set counts again. */
  private spell<Answer>(text: string, draw: (spelled: string) => Answer): Answer {
    const { face } = this;
    const composed = text.normalize('NFC');
    if (!face || hasAll(filesOf(face).narrow, composed)) return draw(composed);
    super.font(`${face} wide`);
    // What the library asks of itself meanwhile is about this face.
    this.face = null;
    const answer = draw([...composed].map((letter) => (hasLetter(filesOf(face).wide, letter) ? letter : '?')).join(''));
    this.face = face;
    super.font(face);
    return answer;
  }

  /** Words that run from right to left are set as one, or they would stand in the wrong order. */
  private runOn(text: string, more: readonly unknown[]): never[] {
    if (!RIGHT_TO_LEFT.test(text)) return more as never[];
    const last = more.at(-1);
    const options = typeof last === 'object' ? last : {};
    const place = more.filter((one) => typeof one === 'number');
    return [...place, { ...options, features: [] }] as never[];
  }
}
