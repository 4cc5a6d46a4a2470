// Where the artworks of an item, or of a line as it was ordered, lie on their blank.

import { listAllPlacements, type Made, type Placement } from '../../core/costing/index';
import { decideHandedness } from '../../core/materials/index';
import { findPicture } from '../../data/artwork-store';
import { findItem } from '../../data/item-store';
import { UNCHOSEN } from '../../theme/tokens';
import type { ArtworkOnBlank, PlacingView } from '../../views/placing';
import { requireMadeLine } from '../bench/load-station';
import { getShop, type ShopContext } from '../context';
import { notFound } from '../errors';
import { loadMaterials, type Materials } from './materials';

/** @throws ShopError not-found */
export function loadPlacing(shop: ShopContext, itemId: number): PlacingView {
  const item = findItem(shop.db, itemId);
  if (!item) throw notFound('This item');
  const materials = loadMaterials(shop, { plans: [item] });
  const labelOf = (index: number) => item.details.options[index - item.placements.length]?.label ?? null;
  return {
    ...describeBlank(shop, item, materials),
    itemId,
    itemName: item.name,
    version: item.version,
    artworks: listAllPlacements(item).flatMap((placement, index) =>
      describeArtwork(shop, { placement, optionLabel: labelOf(index), index }, materials),
    ),
  };
}

/** As it was ordered. @throws ShopError not-found */
export function loadLinePlacing(shop: ShopContext, lineId: number): PlacingView {
  const { line, materials } = requireMadeLine(shop, lineId);
  const { item, made } = line;
  return {
    ...describeBlank(shop, made, materials),
    itemId: item.id,
    itemName: item.name,
    version: item.version,
    artworks: made.placements.flatMap((placement, index) =>
      describeArtwork(shop, { placement: { ...placement, widths: {} }, optionLabel: null, index }, materials),
    ),
  };
}

function describeBlank(
  shop: ShopContext,
  { blankId, sizeName, colourName }: Pick<Made, 'blankId' | 'sizeName' | 'colourName'>,
  { blanks }: Materials,
): Pick<PlacingView, 'sizeName' | 'blank' | 'blankColour' | 'platenWidthMm'> {
  const blank = blanks.get(blankId);
  if (!blank) throw notFound('Its blank');
  const { id, name, sizes, areas, shape, colours, heating } = blank;
  return {
    sizeName,
    blank: { id, name, sizes, areas, ...(shape ? { shape } : {}) },
    blankColour: colours.find((colour) => colour.name === colourName)?.hex ?? UNCHOSEN.white,
    platenWidthMm: heating === 'flat' ? getShop(shop).figures.platenWidthMm : null,
  };
}

type Described = { readonly placement: Placement; readonly optionLabel: string | null; readonly index: number };

/** None where its drawing is gone. */
function describeArtwork(
  shop: ShopContext,
  { placement, optionLabel, index }: Described,
  materials: Materials,
): readonly ArtworkOnBlank[] {
  const { artworkId, place, placing, widthMm, widths, lettering, seenThrough } = placement;
  const artwork = materials.artworks.get(artworkId);
  const picture = findPicture(shop.db, artworkId)?.picture;
  if (!artwork || !picture) return [];
  const { figures } = getShop(shop);
  const vinyls = placement.vinylIds.map((id) => materials.vinyls.get(id));
  const marginMm = 2 * (figures.cutterEdgeMm + figures.weedMarginMm);
  const usable = vinyls.flatMap((vinyl) => (vinyl ? [vinyl.rollWidthMm - marginMm] : []));
  return [
    {
      index,
      optionLabel,
      artworkName: artwork.name,
      place,
      placing: placing ?? null,
      widthMm,
      widths,
      aspect: artwork.measurement.heightMm / artwork.measurement.widthMm,
      isText: Boolean(lettering),
      picture,
      colours: vinyls.map((vinyl) => vinyl?.colourHex ?? UNCHOSEN.grey),
      layers: vinyls.map((vinyl, at) => ({
        name: artwork.layerNames[at] ?? `layer ${at + 1}`,
        mirrored: vinyl ? decideHandedness(vinyl, { seenThrough }).mirrored : false,
      })),
      vinylWidthMm: usable.length > 0 ? Math.min(...usable) : null,
    },
  ];
}
