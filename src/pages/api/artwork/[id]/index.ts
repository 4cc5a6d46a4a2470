import { artworkChange, versionInput } from '../../../../core/input';
import { endpoint, readId, readJson } from '../../../../server/endpoint';
import { parseInput } from '../../../../server/errors';
import { archiveArtwork, changeArtwork } from '../../../../server/artwork/save-artwork';
import { loadArtworkView } from '../../../../server/items/load-items';
import { packItemsUsing } from '../../../../server/items/pack-items';

const WHAT = 'This artwork';
export const GET = endpoint(({ shop, api }) => loadArtworkView(shop, readId(api, WHAT)));
export const PUT = endpoint(async ({ shop, api }) => {
  const body = await readJson(api.request);
  const id = readId(api, WHAT);
  await changeArtwork(shop, id, parseInput(artworkChange, body), parseInput(versionInput, body).version);
  packItemsUsing(shop, { artworkId: id });
  return loadArtworkView(shop, id);
});
export const DELETE = endpoint(({ shop, api }) => archiveArtwork(shop, readId(api, WHAT), true));
export const POST = endpoint(({ shop, api }) => archiveArtwork(shop, readId(api, WHAT), false));
