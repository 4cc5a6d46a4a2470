// The file of an artwork as it came.

import { findOriginal } from '../../data/artwork-store';
import type { ShopContext } from '../context';
import { notFound } from '../errors';

/** As a download: it is never shown, since nobody knows what is in it. @throws ShopError not-found */
export function downloadOriginal(shop: ShopContext, artworkId: number): Response {
  const found = findOriginal(shop.db, artworkId);
  if (!found) throw notFound('This artwork');
  return new Response(new Uint8Array(found.original), {
    headers: {
      'Content-Type': 'application/octet-stream',
      'Content-Disposition': `attachment; filename*=UTF-8''${encodeURIComponent(found.fileName)}`,
    },
  });
}
