import { FILE_LIMIT_BYTES } from '../../../core/artwork';
import { artworkKept } from '../../../core/input';
import { endpoint, readBody } from '../../../server/endpoint';
import { readFacts } from '../../../server/artwork/save-artwork';
import { parseInput } from '../../../server/errors';
import { keepArtwork } from '../../../server/artwork/save-artwork';
import { loadArtworkList } from '../../../server/items/load-items';

export const GET = endpoint(({ shop }) => loadArtworkList(shop));
export const POST = endpoint(async ({ shop, api }) => {
  const fields = parseInput(artworkKept, readFacts(api.url.searchParams));
  return keepArtwork(shop, { ...fields, bytes: await readBody(api.request, FILE_LIMIT_BYTES) });
});
