// Reads a drawing once and prepares it as often as its steps change; writes its files; sets text. All away from the page.

import { expose, transfer } from 'comlink';
import { strToU8, zipSync } from 'fflate';
import { findDots, inspectArtwork, makeCutLayer, prepareRead, proposeFirstSteps, readSvg, writeDxf, writeHpgl, writeSvg, type Artwork, type CutLayer, type LayerMaterials, type MeasureProblem, type PrepStep, type ReadProblem } from '../core/artwork';
import { letter, openFont, writeLettering, type LetterFont, type LetterOptions, type LetterProblem } from '../core/artwork/lettering/letter';
import { traceImage, TRACE_PIXEL_LIMIT, type TraceOptions, type TraceProblem } from '../core/artwork/tracing/trace-image';
import { fail, succeed, type Result } from '../core/units';
import type { PreparedFile } from '../views/views';

export type CutFormat = 'svg' | 'dxf' | 'hpgl';
export type FileWish = { readonly baseName: string; readonly formats: readonly CutFormat[]; readonly layers: readonly { readonly key: string; readonly name: string; readonly mirrored: boolean }[] };
/** One file, or a zip of several. */
export type WrittenFile = { readonly fileName: string; readonly bytes: Uint8Array<ArrayBuffer> };

export type SetText = ReturnType<typeof writeLettering>;

/** Edges get no truer from more pixels than this on the longer side. */
const TRACED_SIDE_PX = 1000;

let last: { readonly text: string; readonly artwork: Artwork } | null = null;
const fonts = new Map<string, LetterFont>();

function read(text: string): Result<Artwork, ReadProblem> {
  if (last?.text === text) return succeed(last.artwork);
  const artwork = readSvg(text);
  if (artwork.ok) last = { text, artwork: artwork.value };
  return artwork;
}

const WRITERS: Readonly<Record<CutFormat, (layer: CutLayer, colour: string) => string>> = { svg: (layer, colour) => writeSvg(layer, { colour }), dxf: (layer) => writeDxf(layer), hpgl: (layer) => writeHpgl(layer) };
const plainName = (text: string): string => text.trim().replace(/[\\/:*?"<>|\u0000-\u001f]+/g, '-').slice(0, 80) || 'drawing';

const artworkWorker = {
  /** The steps a drawing needs before anything is chosen. */
  propose(text: string): Result<readonly PrepStep[], ReadProblem> {
    const artwork = read(text);
    return artwork.ok ? succeed(proposeFirstSteps(artwork.value)) : artwork;
  },

  prepare(text: string, steps: readonly PrepStep[], materials: LayerMaterials): Result<PreparedFile, ReadProblem | MeasureProblem> {
    const artwork = read(text);
    if (!artwork.ok) return artwork;
    const prepared = prepareRead(artwork.value, steps);
    if (!prepared.ok) return prepared;
    const { resolved, facts } = prepared.value;
    const dots = Object.fromEntries(resolved.layers.map((layer) => [layer.key, findDots(layer.pieces).map(({ diameterMm, count }) => ({ diameterMm, count }))]));
    return succeed({ ...facts, findings: inspectArtwork(resolved, facts.measurement, materials), dots });
  },

  write(text: string, steps: readonly PrepStep[], wish: FileWish): Result<WrittenFile, ReadProblem | MeasureProblem> {
    const artwork = read(text);
    if (!artwork.ok) return artwork;
    const prepared = prepareRead(artwork.value, steps);
    if (!prepared.ok) return prepared;
    const { resolved } = prepared.value;
    const files = wish.layers.flatMap(({ key, name, mirrored }) => {
      const layer = resolved.layers.find((candidate) => candidate.key === key);
      if (!layer) return [];
      const cut = makeCutLayer(resolved, layer, { name, mirrored });
      return wish.formats.map((format) => ({ fileName: `${plainName(`${wish.baseName} ${name}${mirrored ? ' mirrored' : ''}`)}.${format === 'hpgl' ? 'plt' : format}`, bytes: strToU8(WRITERS[format](cut, layer.colour)) }));
    });
    const [only] = files;
    if (!only) return fail({ kind: 'nothing-to-cut', leftOut: artwork.value.leftOut });
    const file = files.length === 1 ? only : { fileName: `${plainName(wish.baseName)}.zip`, bytes: zipSync(Object.fromEntries(files.map((entry) => [entry.fileName, entry.bytes]))) };
    const own = { fileName: file.fileName, bytes: new Uint8Array(file.bytes) };
    return transfer(succeed(own), [own.bytes.buffer]);
  },

  /** A PNG or JPEG traced to an SVG file; larger ones are scaled down first. */
  async trace(picture: Blob, options: TraceOptions): Promise<Result<string, TraceProblem | { readonly kind: 'not-a-picture' }>> {
    const bitmap = await createImageBitmap(picture).catch((error: unknown) => {
      if (error instanceof DOMException) return null;
      throw error;
    });
    if (!bitmap) return fail({ kind: 'not-a-picture' });
    const scale = Math.min(1, TRACED_SIDE_PX / Math.max(bitmap.width, bitmap.height), Math.sqrt(TRACE_PIXEL_LIMIT / (bitmap.width * bitmap.height)));
    const canvas = new OffscreenCanvas(Math.max(1, Math.round(bitmap.width * scale)), Math.max(1, Math.round(bitmap.height * scale)));
    const context = canvas.getContext('2d')!;
    context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    return traceImage(context.getImageData(0, 0, canvas.width, canvas.height), options);
  },

  /** Text as the SVG file that is kept of it. `fontBytes` may be left out once a font was sent. */
  letter(text: string, fontKey: string, fontBytes: Uint8Array | null, options: LetterOptions): Result<SetText, LetterProblem> {
    if (fontBytes) fonts.set(fontKey, openFont(fontBytes));
    const font = fonts.get(fontKey);
    if (!font) throw new Error(`Expected: the font ${fontKey} was sent before`);
    const artwork = letter(text, font, options);
    return artwork.ok ? succeed(writeLettering(artwork.value, text.replace(/\s+/g, ' '))) : artwork;
  },
};

export type ArtworkWorker = typeof artworkWorker;
expose(artworkWorker);
