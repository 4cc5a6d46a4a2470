// What threads can do of the demo shop before there is a file for it.

import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { PLAIN_LETTERING, type LayerMaterial } from '../../core/artwork/index';
import { vinylInput } from '../../core/input/index';
import { DEFAULT_SHOP_FIGURES, getLayerMaterial, getOrdinaryDetails } from '../../core/materials/index';
import type { CheckedFile } from '../../data/artwork-store';
import { measureFile } from '../artwork/measure-file';
import type { NewArtwork } from '../artwork/save-artwork';
import { programRoot } from '../context';
import { parseInput } from '../errors';
import type { TextWish } from '../heavy/letter-thread';
import { keyOfWish, letterInThread, type LetterLot } from '../lettering/letter-texts';
import type { DemoFile, DemoPlacement } from './demo-file';

/** The demo’s plain files, with what threads are at: its drawings, and the texts that its items show. */
export type Begun = {
  readonly folder: string;
  readonly file: DemoFile;
  readonly drawings: readonly DrawingBegun[];
  readonly letterLot: LetterLot;
};
type DrawingBegun = {
  readonly drawing: DemoFile['artworks'][number];
  readonly given: Pick<NewArtwork, 'bytes' | 'fileName' | 'steps'>;
  readonly measured: Promise<CheckedFile>;
};
/** Reads the files, and has threads begin with what takes long: the shop’s file is made meanwhile. */
export function beginDemo(): Begun {
  const folder = join(programRoot(), 'src', 'data', 'demo');
  const file = JSON.parse(readFileSync(join(folder, 'shop.json'), 'utf8')) as DemoFile;
  const samples = file.items
    .flatMap((item) => [item, ...(item.more ?? []), ...(item.options ?? [])])
    .flatMap(({ lettering }) => (lettering ? [wishSample(lettering)] : []));
  const materialOf = makeMaterials(file);
  return {
    folder,
    file,
    drawings: file.artworks.map((one) => beginDrawing(folder, one, materialOf)),
    letterLot: letterAhead(samples),
  };
}

/** By name of a vinyl: what it allows in this shop. */
function makeMaterials({ vinyls, figures }: DemoFile): (vinyl: string | null) => LayerMaterial | null {
  const inputs = new Map(
    vinyls.map((vinyl) => {
      const input = parseInput(vinylInput, vinyl);
      return [input.name, input];
    }),
  );
  return (name) => {
    const input = inputs.get(name ?? '');
    if (!input) return null;
    const { kind, details, ...vinyl } = input;
    const whole = { ...vinyl, kind, details: { ...getOrdinaryDetails(kind), ...details } };
    return getLayerMaterial(whole, { ...DEFAULT_SHOP_FIGURES, ...figures });
  };
}

function beginDrawing(
  folder: string,
  drawing: DemoFile['artworks'][number],
  materialOf: (vinyl: string | null) => LayerMaterial | null,
): DrawingBegun {
  const bytes = readFileSync(join(folder, 'drawings', drawing.file));
  const steps = [{ kind: 'size', widthMm: drawing.widthMm, on: true }] as const;
  return {
    drawing,
    given: { bytes, fileName: drawing.file, steps },
    measured: measureFile(bytes, { steps }, drawing.vinyls.map(materialOf)),
  };
}

/** Gives what it began with at once. */
function letterAhead(wishes: readonly TextWish[]): LetterLot {
  const begun = letterInThread(wishes);
  const places = new Map(wishes.map((wish, place) => [keyOfWish(wish), place]));
  return async (asked) => {
    const set = await begun;
    return asked.map((wish) => set[places.get(keyOfWish(wish))!]!);
  };
}

/** An item's text is calculated with its sample. */
export function wishSample(lettering: NonNullable<DemoPlacement['lettering']>): TextWish {
  return { text: lettering.sample, lettering: { ...PLAIN_LETTERING, ...lettering }, smaller: false };
}
