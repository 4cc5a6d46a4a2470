import { FILE_LIMIT_BYTES } from '../../../core/artwork';
import { newArtworkInput } from '../../../core/input';
import { readRequestKey } from '../../../server/create-once';
import { endpoint, readBody } from '../../../server/endpoint';
import { readFacts } from '../../../server/artwork/save-artwork';
import { parseInput } from '../../../server/errors';
import { saveArtwork } from '../../../server/artwork/save-artwork';
import { loadArtworkList } from '../../../server/artwork/load-artwork-list';

export const GET = endpoint(({ shop, api }) => loadArtworkList(shop, api.url.searchParams));
export const POST = endpoint(async ({ shop, api }) => {
  const fields = parseInput(newArtworkInput, readFacts(api.url.searchParams));
  return saveArtwork(
    shop,
    { ...fields, bytes: await readBody(api.request, FILE_LIMIT_BYTES) },
    readRequestKey(api.request),
  );
});
