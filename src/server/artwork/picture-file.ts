// The picture of an artwork as a file that browsers keep: its address changes with the drawing.

import { OLDEST_EDITION_SHOWN, printPicture, type PictureDress } from '../../core/artwork/index';
import { findPicture } from '../../data/artwork-store';
import type { ShopContext } from '../context';
import { notFound } from '../errors';

/** The address of the picture; another one whenever the drawing is another, or is shown in other colours. */
export function pictureHref(
  { id, version }: { readonly id: number; readonly version: number },
  { colours = [], ground }: PictureDress = {},
): string {
  const bare = (hex: string) => hex.replace('#', '');
  const inColours = colours.length > 0 ? `&c=${colours.map(bare).join('-')}` : '';
  return `/api/artwork/${id}/picture?v=${version}-${OLDEST_EDITION_SHOWN}${inColours}${ground ? `&on=${bare(ground)}` : ''}`;
}

/** What an address asks for; anything but colours is as if it had not been asked. */
function readDress(params: URLSearchParams): PictureDress {
  const isColour = (text: string) => /^[0-9a-f]{6}$/i.test(text);
  const colours = (params.get('c') ?? '').split('-').filter(isColour);
  const ground = params.get('on') ?? '';
  return { colours: colours.map((hex) => `#${hex}`), ...(isColour(ground) ? { ground: `#${ground}` } : {}) };
}

const KEPT_FOR = 'private, max-age=31536000, immutable';

/** @throws ShopError not-found */
export function answerPicture(shop: ShopContext, id: number, request: Request): Response {
  const found = findPicture(shop.db, id);
  if (!found) throw notFound('This artwork');
  const { searchParams } = new URL(request.url);
  const dress = readDress(searchParams);
  const tag = `"${id}-${found.version}-${OLDEST_EDITION_SHOWN}-${dress.colours?.join('')}${dress.ground ?? ''}"`;
  const headers = { ETag: tag, 'Cache-Control': KEPT_FOR, 'Content-Type': 'image/svg+xml' };
  if (request.headers.get('if-none-match') === tag) return new Response(null, { status: 304, headers });
  return new Response(printPicture(found.picture, dress), { headers });
}
