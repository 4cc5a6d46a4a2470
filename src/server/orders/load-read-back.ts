// The texts of an order beside the customer's own words, with the pictures of the outlines that will be cut.

import { compareLetters } from '../../core/orders/index';
import { groupBy } from '../../core/units/index';
import { findArtworkVersions } from '../../data/artwork-store';
import { nameItems } from '../../data/item-store';
import { findRoster } from '../../data/roster-store';
import type { StoredLine } from '../../data/order-store';
import type { ReadBackView } from '../../views/read-back';
import { pictureHref } from '../artwork/picture-file';
import type { ShopContext } from '../context';
import { requireOrder } from './save-order';

/** @throws ShopError not-found */
export function loadReadBack(shop: ShopContext, id: number): ReadBackView {
  const { order, parts } = requireOrder(shop, id);
  const lines = order.lines.filter(({ texts }) => texts.length > 0);
  const names = nameItems(
    shop.db,
    lines.map((line) => line.itemId),
  );
  const hrefOf = makeHrefs(shop, lines);
  const sourceOf = makeSources(shop, lines);
  const numbers = groupBy(parts, (part) => part.lineId);
  return {
    orderId: id,
    title: order.title,
    customerName: order.customer.name,
    version: order.version,
    lines: lines.map((line) => ({
      lineId: line.id,
      numbers: [...new Set((numbers.get(line.id) ?? []).map((part) => part.pieceNumber))],
      itemName: names.get(line.itemId) ?? 'item',
      sizeName: line.sizeName,
      colourName: line.colourName,
      note: line.note,
      texts: line.texts.map(({ label, text, given }) => ({
        label,
        given,
        text,
        runs: compareLetters(given, text),
        href: hrefOf(line, label),
      })),
      isRead: line.readBackAtMs !== null,
      source: sourceOf(line),
    })),
  };
}

/** The picture of a line's text, by its label; null where it is not on the piece. */
function makeHrefs(
  shop: ShopContext,
  lines: readonly Pick<StoredLine, 'made'>[],
): (line: Pick<StoredLine, 'made'>, label: string) => string | null {
  const ids = lines.flatMap(({ made }) => made?.placements.map(({ artworkId }) => artworkId) ?? []);
  const versions = new Map(findArtworkVersions(shop.db, [...new Set(ids)]).map(({ id, version }) => [id, version]));
  return ({ made }, label) => {
    const placement = made?.placements.find(({ lettering }) => lettering?.label === label);
    return placement ? pictureHref({ id: placement.artworkId, version: versions.get(placement.artworkId) ?? 1 }) : null;
  };
}

/** The row of the customer's list that a line came from, word for word. */
function makeSources(shop: ShopContext, lines: readonly StoredLine[]): (line: StoredLine) => string | null {
  const lists = new Map(
    [...new Set(lines.flatMap(({ rosterId }) => rosterId ?? []))].map((rosterId) => [
      rosterId,
      (findRoster(shop.db, rosterId)?.source ?? '').split(/\r\n|\r|\n/),
    ]),
  );
  return ({ rosterId, rosterRow }) => lists.get(rosterId ?? 0)?.[(rosterRow ?? 0) - 1] ?? null;
}
