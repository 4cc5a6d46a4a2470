// Reads a drawing once and prepares it as often as its steps change; writes its files. All away from the page.

import { expose, transfer } from 'comlink';
import { strToU8, zipSync } from 'fflate';
import {
  checkPrepared,
  countSegments,
  drawRough,
  makeCutLayer,
  prepareRead,
  measureOwnWidth,
  proposeFirstSteps,
  readDrawing,
  writeDxf,
  writeHpgl,
  writeSvg,
  type Artwork,
  type ArtworkPicture,
  type CutLayer,
  type HpglOptions,
  type LayerMaterials,
  type MeasureProblem,
  type PrepStep,
  type ReadProblem,
} from '../core/artwork';
import { fail, succeed, type Result } from '../core/units';
import type { PreparedFile } from '../views/artwork';

export type CutFormat = 'svg' | 'dxf' | 'hpgl';
export type FileWish = {
  readonly baseName: string;
  readonly formats: readonly CutFormat[];
  readonly knife: HpglOptions;
  readonly layers: readonly { readonly key: string; readonly name: string; readonly mirrored: boolean }[];
};
export type FirstLook = {
  readonly steps: readonly PrepStep[];
  readonly picture: ArtworkPicture | null;
  /** As the file states it; null where it states none. */
  readonly ownWidthMm: number | null;
};
/** One file, or a zip of several. */
export type WrittenFile = { readonly fileName: string; readonly bytes: Uint8Array<ArrayBuffer> };

/** Drawings of no more segments than this are measured before a picture of them would have been shown. */
const QUICK_SEGMENTS = 4000;
let last: { readonly text: string; readonly artwork: Artwork } | null = null;

function read(text: string): Result<Artwork, ReadProblem> {
  if (last?.text === text) return succeed(last.artwork);
  const artwork = readDrawing(text);
  if (artwork.ok) last = { text, artwork: artwork.value };
  return artwork;
}

const WRITERS: Readonly<Record<CutFormat, (layer: CutLayer, colour: string, knife: HpglOptions) => string>> = {
  svg: (layer, colour) => writeSvg(layer, { colour }),
  dxf: (layer) => writeDxf(layer),
  hpgl: (layer, _, knife) => writeHpgl(layer, knife),
};
const plainName = (text: string): string =>
  text
    .trim()
    .replace(/[\\/:*?"<>|\u0000-\u001f]+/g, '-')
    .slice(0, 80) || 'drawing';

const artworkWorker = {
  /** Does nothing: a worker that was asked once has its program loaded. */
  wake(): void {},

  /**
   * A first look at a drawing: the steps it needs before anything is chosen, and a picture of one that takes a while to
   * measure.
   */
  open(text: string): Result<FirstLook, ReadProblem> {
    const artwork = read(text);
    return artwork.ok
      ? succeed({
          steps: proposeFirstSteps(artwork.value),
          ownWidthMm: measureOwnWidth(artwork.value, { strokes: artwork.value.layers.length === 0 }),
          picture: countSegments(artwork.value) > QUICK_SEGMENTS ? drawRough(artwork.value) : null,
        })
      : artwork;
  },

  prepare(
    text: string,
    steps: readonly PrepStep[],
    materials: LayerMaterials,
  ): Result<PreparedFile, ReadProblem | MeasureProblem> {
    const artwork = read(text);
    if (!artwork.ok) return artwork;
    const prepared = prepareRead(artwork.value, steps);
    if (!prepared.ok) return prepared;
    return succeed({ ...prepared.value.facts, ...checkPrepared(prepared.value, materials) });
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
      return wish.formats.map((format) => ({
        fileName: `${plainName(`${wish.baseName} ${name}${mirrored ? ' mirrored' : ''}`)}.${format === 'hpgl' ? 'plt' : format}`,
        bytes: strToU8(WRITERS[format](cut, layer.colour, wish.knife)),
      }));
    });
    const [only] = files;
    if (!only) return fail({ kind: 'nothing-to-cut', leftOut: artwork.value.leftOut });
    const file =
      files.length === 1
        ? only
        : {
            fileName: `${plainName(wish.baseName)}.zip`,
            bytes: zipSync(Object.fromEntries(files.map((entry) => [entry.fileName, entry.bytes]))),
          };
    const own = { fileName: file.fileName, bytes: new Uint8Array(file.bytes) };
    return transfer(succeed(own), [own.bytes.buffer]);
  },
};

export type ArtworkWorker = typeof artworkWorker;
expose(artworkWorker);
