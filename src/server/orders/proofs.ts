// Proofs: what a customer is shown, kept as it was; approved by whom and when; and what has changed since.

import { randomBytes } from 'node:crypto';
import { compareProof, type ProofContent } from '../../core/orders/index';
import { inTransaction } from '../../data/database';
import { findArtworkVersions } from '../../data/artwork-store';
import { nameItems } from '../../data/item-store';
import { findBlanks, findVinyls } from '../../data/shelf-store';
import { PAPER_COLOURS, UNCHOSEN } from '../../theme/tokens';
import { addOrderEvent } from '../../data/order-event-store';
import { approveProof, findLastProof, insertProof } from '../../data/proof-store';
import type { ProofView } from '../../views/orders';
import { describeProofChange } from '../../wording/orders';
import type { ShopContext } from '../context';
import { ShopError } from '../errors';
import { moveOrder, refuseOver } from './move-order';
import type { ReadOrder } from './read-orders';
import { requireOrder } from './save-order';

/** The order as it will be made now. */
function readProofContent(shop: ShopContext, { order }: ReadOrder): ProofContent {
  const names = nameItems(
    shop.db,
    order.lines.map((line) => line.itemId),
  );
  const placements = order.lines.flatMap((line) => line.made?.placements ?? []);
  const versions = new Map(
    findArtworkVersions(shop.db, [...new Set(placements.map(({ artworkId }) => artworkId))]).map(({ id, version }) => [
      id,
      version,
    ]),
  );
  const vinyls = new Map(
    findVinyls(shop.db, [...new Set(placements.flatMap(({ vinylIds }) => vinylIds))]).map((vinyl) => [vinyl.id, vinyl]),
  );
  const blanks = new Map(
    findBlanks(shop.db, [...new Set(order.lines.flatMap(({ made }) => made?.blankId ?? []))]).map((blank) => [
      blank.id,
      blank,
    ]),
  );
  const groundOf = ({ made, colourName }: ReadOrder['order']['lines'][number]) =>
    blanks.get(made?.blankId ?? 0)?.colours.find(({ name }) => name === colourName)?.hex ?? PAPER_COLOURS.white;
  return {
    lines: order.lines.map((line) => ({
      ground: groundOf(line),
      lineId: line.id,
      itemName: names.get(line.itemId) ?? 'item',
      quantity: line.quantity,
      sizeName: line.sizeName,
      colourName: line.colourName,
      texts: line.texts.map(({ label, text }) => ({ label, text })),
      drawings: (line.made?.placements ?? []).map(
        ({ artworkId, place, widthMm, lettering, text, vinylIds }, at, all) => ({
          ...(lettering && all.slice(0, at).some((above) => above.lettering && above.place === place)
            ? { gapMm: lettering.gapMm }
            : {}),
          colours: vinylIds.map((id) => vinyls.get(id)?.colourHex ?? UNCHOSEN.grey),
          artworkId,
          place,
          widthMm,
          label: text === undefined ? null : (lettering?.label ?? null),
          version: versions.get(artworkId) ?? 0,
        }),
      ),
    })),
  };
}

const TOKEN_BYTES = 18;

/** A new proof of the order as it stands. */
export function makeProof(shop: ShopContext, id: number): { readonly number: number; readonly token: string } {
  return inTransaction(shop.db, () => {
    const entry = requireOrder(shop, id);
    refuseOver(entry);
    const { number, token } = insertProof(shop.db, {
      orderId: id,
      content: readProofContent(shop, entry),
      token: randomBytes(TOKEN_BYTES).toString('base64url'),
      atMs: shop.now(),
    });
    addOrderEvent(shop.db, id, 'noted', shop.now(), { detail: `proof ${number} made` });
    return { number, token };
  });
}

/**
 * The customer approves the last proof; with it an order that was talked about is agreed.
 *
 * @throws ShopError where there is none, or the order has changed since
 */
export function approveLastProof(shop: ShopContext, id: number, by: string): void {
  inTransaction(shop.db, () => {
    const entry = requireOrder(shop, id);
    refuseOver(entry);
    const proof = findLastProof(shop.db, id);
    if (!proof) throw new ShopError('conflict', { reason: 'proof-none' });
    if (compareProof(proof.content, readProofContent(shop, entry)).length > 0)
      throw new ShopError('conflict', { reason: 'proof-outdated' });
    const atMs = shop.now();
    if (!approveProof(shop.db, proof.id, by, atMs)) throw new ShopError('conflict', { reason: 'proof-approved' });
    addOrderEvent(shop.db, id, 'noted', atMs, { detail: `proof ${proof.number} approved by ${by}` });
    if (entry.stage === 'wish' || entry.stage === 'quoted')
      moveOrder(shop, id, { move: 'approve', detail: `by proof ${proof.number}`, owedGivenUp: false });
  });
}

export function loadProofView(shop: ShopContext, entry: ReadOrder): ProofView | null {
  const proof = findLastProof(shop.db, entry.order.id);
  if (!proof) return null;
  const { number, token, atMs, approvedAtMs, approvedBy } = proof;
  const changes = compareProof(proof.content, readProofContent(shop, entry)).map(describeProofChange);
  return { number, token, atMs, approvedAtMs, approvedBy, changes };
}
