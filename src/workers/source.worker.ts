// Makes drawings from words and from pictures. Apart from the artwork worker, since fonts and tracer weigh more than
// all the rest.

import { expose } from 'comlink';
import { imageSize } from 'image-size';
import {
  letter,
  openFont,
  settleLettering,
  writeLettering,
  type LetterFont,
  type LetterOptions,
  type LetterProblem,
} from '../core/artwork/lettering/letter';
import {
  traceImage,
  TRACE_PIXEL_LIMIT,
  type TraceOptions,
  type TraceProblem,
} from '../core/artwork/tracing/trace-image';
import { outlineLetters } from '../core/artwork/lettering/outline-letters';
import { type Polyline } from '../core/geometry';
import { fail, succeed, type Result } from '../core/units';

export type SetText = ReturnType<typeof writeLettering>;
export type PictureProblem = TraceProblem | { readonly kind: 'not-a-picture' };

/** Edges get no truer from more pixels than this on the longer side. */
const TRACED_SIDE_PX = 1000;
/** A picture takes four bytes a pixel once it is opened, whatever its file takes. */
const OPENED_PIXEL_LIMIT = 80_000_000;

const fonts = new Map<string, LetterFont>();

/** As its head says, without opening it; 0 where the head says nothing. */
async function countPixels(picture: Blob): Promise<number> {
  try {
    const { width, height } = imageSize(new Uint8Array(await picture.arrayBuffer()));
    return width * height;
  } catch {
    return 0;
  }
}

const sourceWorker = {
  /** Each text as the SVG file that is kept of it. `fontBytes` may be left out once a font was sent. */
  letter(
    texts: readonly string[],
    fontKey: string,
    fontBytes: Uint8Array | null,
    options: LetterOptions,
  ): readonly Result<SetText, LetterProblem>[] {
    if (fontBytes) fonts.set(fontKey, openFont(fontBytes));
    const font = fonts.get(fontKey);
    if (!font) throw new Error(`Expected: the font ${fontKey} was sent before`);
    return texts.map((text) => {
      const artwork = letter(text, font, options);
      return artwork.ok ? succeed(writeLettering(settleLettering(artwork.value), text.replace(/\s+/g, ' '))) : artwork;
    });
  },

  /** Each text as closed outlines in mm from its own corner, and its size; letters that the font lacks are left out. */
  outline(
    texts: readonly string[],
    fontKey: string,
    fontBytes: Uint8Array | null,
    capHeightMm: number,
  ): readonly (readonly Polyline[])[] {
    if (fontBytes) fonts.set(fontKey, openFont(fontBytes));
    const font = fonts.get(fontKey);
    if (!font) throw new Error(`Expected: the font ${fontKey} was sent before`);
    return outlineLetters(texts, font, capHeightMm);
  },

  /** A PNG or JPEG traced to an SVG file; larger ones are scaled down first. */
  async trace(picture: Blob, options: TraceOptions): Promise<Result<string, PictureProblem>> {
    const pixels = await countPixels(picture);
    if (pixels > OPENED_PIXEL_LIMIT) return fail({ kind: 'picture-too-large', pixels, limit: OPENED_PIXEL_LIMIT });
    const bitmap = await createImageBitmap(picture).catch((error: unknown) => {
      if (error instanceof DOMException) return null;
      throw error;
    });
    if (!bitmap) return fail({ kind: 'not-a-picture' });
    const scale = Math.min(
      1,
      TRACED_SIDE_PX / Math.max(bitmap.width, bitmap.height),
      Math.sqrt(TRACE_PIXEL_LIMIT / (bitmap.width * bitmap.height)),
    );
    const canvas = new OffscreenCanvas(
      Math.max(1, Math.round(bitmap.width * scale)),
      Math.max(1, Math.round(bitmap.height * scale)),
    );
    const context = canvas.getContext('2d')!;
    context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    return traceImage(context.getImageData(0, 0, canvas.width, canvas.height), options);
  },
};

export type SourceWorker = typeof sourceWorker;
expose(sourceWorker);
