// What a customer is shown of an order: as it was when the proof was made, whatever changed after.

import { groupDesigns, groupTextsByPlace, listSharedDrawings, type ProofContent } from '../../core/orders/index';
import { findArtworkVersions } from '../../data/artwork-store';
import { findProofByToken, type StoredProof } from '../../data/proof-store';
import type { ProofPageView, StackedTexts } from '../../views/read-back';
import { pictureHref } from '../artwork/picture-file';
import { getShop, type ShopContext } from '../context';
import { notFound } from '../errors';
import { requireStandingOrder } from './save-order';

/** @throws ShopError not-found for an address that no proof has */
export function loadProofPage(shop: ShopContext, token: string): ProofPageView {
  const proof = findProofByToken(shop.db, token);
  if (!proof) throw notFound('This proof');
  return toProofPage(shop, proof);
}

function toProofPage(shop: ShopContext, proof: StoredProof): ProofPageView {
  const { order } = requireStandingOrder(shop, proof.orderId);
  const { name, locale, timeZone } = getShop(shop);
  const { number, token, atMs, approvedAtMs, approvedBy, content } = proof;
  return {
    shopName: name,
    title: order.title,
    customerName: order.customer.name,
    number,
    token,
    atMs,
    approvedAtMs,
    approvedBy,
    locale,
    timeZone,
    designs: toDesigns(shop, content),
  };
}

type Line = ProofContent['lines'][number];
type Drawing = Line['drawings'][number];

/** Only where several stand at one place: one by itself is shown large. */
const stackTexts = (line: Line, hrefOf: (drawing: Drawing) => string): readonly StackedTexts[] =>
  groupTextsByPlace(line)
    .filter((drawings) => drawings.length > 1)
    .map((drawings) => {
      const widest = Math.max(...drawings.map(({ widthMm }) => widthMm));
      return {
        place: drawings[0]!.place,
        ground: line.ground,
        texts: drawings.map((drawing) => ({
          href: hrefOf(drawing),
          widthShare: drawing.widthMm / widest,
          gapShare: (drawing.gapMm ?? 0) / widest,
        })),
      };
    });

function toDesigns(shop: ShopContext, content: ProofContent): ProofPageView['designs'] {
  const ids = content.lines.flatMap(({ drawings }) => drawings.map(({ artworkId }) => artworkId));
  const versions = new Map(findArtworkVersions(shop.db, [...new Set(ids)]).map(({ id, version }) => [id, version]));
  const versionOf = ({ artworkId }: Drawing) => ({ id: artworkId, version: versions.get(artworkId) ?? 1 });
  const hrefOf = (drawing: Drawing, { ground }: Line) =>
    pictureHref(versionOf(drawing), { colours: drawing.colours, ground });
  return groupDesigns(content).map((own) => ({
    itemName: own[0]!.itemName,
    colourName: own[0]!.colourName,
    pictures: listSharedDrawings(own[0]!).map((drawing) => ({
      href: hrefOf(drawing, own[0]!),
      place: drawing.place,
      widthMm: drawing.widthMm,
    })),
    labels: [...new Set(own.flatMap(({ texts }) => texts.map(({ label }) => label)))],
    pieces: own.map((line) => ({
      sizeName: line.sizeName,
      quantity: line.quantity,
      together: stackTexts(line, (drawing) => pictureHref(versionOf(drawing), { colours: drawing.colours })),
      texts: line.texts.map((text) => {
        const drawing = line.drawings.find(({ label }) => label === text.label);
        return { ...text, href: drawing ? hrefOf(drawing, line) : null };
      }),
    })),
  }));
}
