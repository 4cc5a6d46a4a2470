// Keeping, changing and taking off artworks. The server measures the original itself; no figure is taken from a page.

import { createHash } from 'node:crypto';
import { createOnce } from '../create-once';
import { added, changed, type Saved } from '../saved';
import type { InferType } from 'yup';
import { inTransaction } from '../../data/database';
import { getWornLayers, type Licence, type PrepStep } from '../../core/artwork/index';
import type { artworkChange } from '../../core/input/index';
import {
  findArtwork,
  findOriginal,
  insertArtwork,
  setArtworkArchived,
  updateArtwork,
  type CheckedFile,
} from '../../data/artwork-store';
import { countLayersInUse } from '../../data/item-store';
import { findVinyl } from '../../data/shelf-store';
import { getDisplayColourName } from '../../wording/colours';
import type { MeasuredFile } from '../../views/artwork';
import type { ShopContext } from '../context';
import { notFound, ShopError, stale } from '../errors';
import { listMaterials } from './layer-materials';
import { measureFile } from './measure-file';

export type NewArtwork = {
  readonly bytes: Uint8Array;
  readonly fileName: string;
  readonly name: string;
  readonly steps: readonly PrepStep[];
  readonly layerNames: readonly string[];
  readonly layerVinylIds: readonly (number | null)[];
  readonly licence: Licence;
};

/** What comes beside a file: `facts` holds it as JSON; a script may give name, fileName and widthMm alone. */
export function readFacts(query: URLSearchParams): unknown {
  const text = query.get('facts');
  const widthMm = query.get('widthMm');
  const plain = {
    name: query.get('name'),
    fileName: query.get('fileName'),
    licence: 'unknown',
    layerNames: [],
    layerVinylIds: [],
    steps: widthMm === null ? [] : [{ kind: 'size', widthMm: Number(widthMm), on: true }],
  };
  return text === null ? plain : { ...plain, ...readFactsOf(query) };
}

/** The JSON that stands beside a file that is sent. @throws ShopError when it is none. */
export function readFactsOf(query: URLSearchParams): object {
  try {
    return JSON.parse(query.get('facts') ?? '{}') as object;
  } catch (error) {
    if (error instanceof SyntaxError) throw new ShopError('invalid', { reason: 'facts-not-json' }, 'facts');
    throw error;
  }
}

/** One name for each layer: the given ones, and the colour's own where there is none. */
function nameLayers(measured: MeasuredFile, names: readonly string[]): readonly string[] {
  return measured.measurement.layers.map(
    (layer, index) =>
      names[index] ??
      (layer.key === layer.colour
        ? getDisplayColourName(layer.colour)
        : layer.key.replace(layer.colour, getDisplayColourName(layer.colour))),
  );
}

function assignVinyls(
  shop: ShopContext,
  measured: MeasuredFile,
  ids: readonly (number | null)[],
): readonly (number | null)[] {
  return measured.measurement.layers.map((_, index) => {
    const id = ids[index] ?? null;
    if (id !== null && !findVinyl(shop.db, id))
      throw new ShopError('invalid', { reason: 'vinyl-archived' }, `layerVinylIds[${index}]`);
    return id;
  });
}

/** `key` of the request: sent again, it saves nothing twice. */
export const saveArtwork = async (shop: ShopContext, file: NewArtwork, key: string | null = null): Promise<Saved> =>
  saveMeasured(
    shop,
    file,
    await measureFile(file.bytes, { steps: file.steps }, listMaterials(shop, file.layerVinylIds)),
    key,
  );

/** What the server measured of the file itself. */
export function saveMeasured(
  shop: ShopContext,
  file: NewArtwork,
  measured: CheckedFile,
  key: string | null = null,
): Saved {
  const fields = {
    ...measured,
    name: file.name,
    fileName: file.fileName,
    steps: file.steps,
    licence: file.licence,
    original: Buffer.from(file.bytes),
    createdAtMs: shop.now(),
    layerNames: nameLayers(measured, file.layerNames),
    layerVinylIds: assignVinyls(shop, measured, file.layerVinylIds),
  };
  const { bytes, ...facts } = file;
  const asked = `${JSON.stringify(facts)} ${createHash('sha256').update(bytes).digest('hex')}`;
  return createOnce(shop, { key, asked }, () => added(insertArtwork(shop.db, fields)));
}

export async function changeArtwork(
  shop: ShopContext,
  id: number,
  change: InferType<typeof artworkChange>,
  version: number,
): Promise<Saved> {
  const known = findArtwork(shop.db, id);
  const original = findOriginal(shop.db, id);
  if (!known || !original) throw notFound('This artwork');
  const measured = await measureFile(
    original.original,
    { steps: change.steps },
    listMaterials(shop, change.layerVinylIds),
  );
  const fields = {
    ...measured,
    name: change.name,
    steps: change.steps,
    licence: change.licence,
    layerNames: nameLayers(measured, change.layerNames),
    layerVinylIds: assignVinyls(shop, measured, change.layerVinylIds),
  };
  const saved = inTransaction(shop.db, () => {
    const users = countLayersInUse(shop.db, id);
    const worn = getWornLayers(measured.measurement).length;
    if (users !== null && users !== worn)
      throw new ShopError('conflict', { reason: 'layers-in-use', used: users, worn }, 'steps');
    return updateArtwork(shop.db, id, fields, version);
  });
  if (!saved) throw stale('This artwork');
  return changed(id, version);
}

export function archiveArtwork(shop: ShopContext, id: number, archived: boolean): void {
  if (!setArtworkArchived(shop.db, id, archived ? shop.now() : null)) throw notFound('This artwork');
}
