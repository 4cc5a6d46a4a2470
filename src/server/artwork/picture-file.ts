// The picture of an artwork as a file that browsers keep: its address changes with the drawing.

import { MEASUREMENT_EDITION, printPicture } from '../../core/artwork/index';
import { findPicture } from '../../data/artwork-store';
import type { ShopContext } from '../context';
import { notFound } from '../errors';

/** The address of the picture; another one whenever the drawing is another. */
export const pictureHref = ({ id, version }: { readonly id: number; readonly version: number }): string =>
  `/api/artwork/${id}/picture?v=${version}-${MEASUREMENT_EDITION}`;

const KEPT_FOR = 'private, max-age=31536000, immutable';

/** @throws ShopError not-found */
export function answerPicture(shop: ShopContext, id: number, request: Request): Response {
  const found = findPicture(shop.db, id);
  if (!found) throw notFound('This artwork');
  const tag = `"${id}-${found.version}-${MEASUREMENT_EDITION}"`;
  const headers = { ETag: tag, 'Cache-Control': KEPT_FOR, 'Content-Type': 'image/svg+xml' };
  if (request.headers.get('if-none-match') === tag) return new Response(null, { status: 304, headers });
  return new Response(printPicture(found.picture), { headers });
}
