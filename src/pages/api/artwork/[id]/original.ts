import { findOriginal } from '../../../../data/artwork-store';
import { endpoint, readId } from '../../../../server/endpoint';
import { notFound } from '../../../../server/errors';

/** The file as it was dropped, as a download: it is never shown, since nobody knows what is in it. */
export const GET = endpoint(({ shop, api }) => {
  const found = findOriginal(shop.db, readId(api, 'This artwork'));
  if (!found) throw notFound('This artwork');
  return new Response(new Uint8Array(found.original), {
    headers: {
      'Content-Type': 'application/octet-stream',
      'Content-Disposition': `attachment; filename*=UTF-8''${encodeURIComponent(found.fileName)}`,
    },
  });
});
