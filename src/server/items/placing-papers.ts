// What is given out of a placing: the guide at full size, and layers bent for a tapered wall.

import { decodeText } from '../../core/artwork/index';
import { listAllPlacements } from '../../core/costing/index';
import { placeArtwork, planBendOf, type PlacedArtwork } from '../../core/placing/index';
import type { FormatSettings } from '../../core/units/index';
import { findArtwork, findOriginal } from '../../data/artwork-store';
import { findItem } from '../../data/item-store';
import type { ArtworkOnBlank, PlacingView } from '../../views/placing';
import { getShop, type ShopContext } from '../context';
import { notFound } from '../errors';
import { printInThread } from '../heavy/print-in-thread';
import { pdfResponse } from '../paper/paper';
import { loadPlacing } from './load-placing';

type Wanted = { readonly view: PlacingView; readonly artwork: ArtworkOnBlank; readonly sizeName: string };

/** Which artwork on which size; the first on the usual one where nothing is said. @throws ShopError not-found */
function readWanted(shop: ShopContext, itemId: number, query: URLSearchParams): Wanted {
  const view = loadPlacing(shop, itemId);
  const artwork = view.artworks.find(({ index }) => index === Number(query.get('artwork') ?? 0));
  if (!artwork) throw notFound('This artwork');
  const wanted = query.get('size');
  const sizeName = view.blank.sizes.find(({ name }) => name === wanted)?.name ?? view.sizeName;
  return { view, artwork, sizeName };
}

const widthOn = ({ widths, widthMm }: ArtworkOnBlank, sizeName: string): number => widths[sizeName] ?? widthMm;

function place({ view, artwork, sizeName }: Wanted): PlacedArtwork {
  const widthMm = widthOn(artwork, sizeName);
  return placeArtwork(view.blank, sizeName, { ...artwork, widthMm, heightMm: widthMm * artwork.aspect });
}

/** Over as many pages as it takes, with the middle line and where it is measured from. */
export async function printGuide(
  shop: ShopContext,
  itemId: number,
  query: URLSearchParams,
  system: FormatSettings['system'],
): Promise<Response> {
  const wanted = readWanted(shop, itemId, query);
  const { view, artwork, sizeName } = wanted;
  const { locale, currency, timeZone } = getShop(shop);
  const title = `${view.itemName}, ${sizeName}: ${artwork.artworkName}`;
  const bytes = await printInThread(
    'printPlacingGuide',
    { title, picture: artwork.picture, colours: artwork.colours, placed: place(wanted) },
    { locale, currency, timeZone, system },
  );
  return pdfResponse(bytes, `${title} guide.pdf`);
}

/** One layer, as it is cut, bent for the wall it goes on. @throws ShopError not-found where the wall is straight */
export async function writeBent(shop: ShopContext, itemId: number, query: URLSearchParams): Promise<Response> {
  const wanted = readWanted(shop, itemId, query);
  const { artwork, sizeName, view } = wanted;
  const bend = planBendOf(place(wanted));
  const layerIndex = Number(query.get('layer') ?? 0);
  const layer = artwork.layers[layerIndex];
  const source = findDrawing(shop, itemId, artwork.index);
  if (!bend || !layer || !source) throw notFound('This layer on a tapered wall');
  const name = `${view.itemName}, ${layer.name}`;
  const svg = await printInThread(
    'writeBentLayer',
    source.drawing,
    {
      steps: source.steps,
      savedWidthMm: source.savedWidthMm,
      widthMm: widthOn(artwork, sizeName),
      layerIndex,
      mirrored: layer.mirrored,
      name,
    },
    bend,
  );
  if (svg === null) throw notFound('This layer');
  return new Response(svg, {
    headers: {
      'Content-Type': 'image/svg+xml',
      'Content-Disposition': `attachment; filename*=UTF-8''${encodeURIComponent(`${name}, bent.svg`)}`,
    },
  });
}

function findDrawing(shop: ShopContext, itemId: number, index: number) {
  const item = findItem(shop.db, itemId);
  const placement = item && listAllPlacements(item)[index];
  const artwork = placement && findArtwork(shop.db, placement.artworkId);
  const found = artwork && findOriginal(shop.db, artwork.id);
  return artwork && found
    ? { drawing: decodeText(found.original), steps: artwork.steps, savedWidthMm: artwork.measurement.widthMm }
    : null;
}
