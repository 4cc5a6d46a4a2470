import { itemInput, versionInput } from '../../../core/input';
import { endpoint, readId, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { archiveItem, changeItem } from '../../../server/keep-item';
import { loadItemEditor } from '../../../server/views/items';

const WHAT = 'This item';
export const GET = endpoint(({ shop, api }) => loadItemEditor(shop, readId(api, WHAT), null).item);
export const PUT = endpoint(async ({ shop, api }) => {
  const body = await readJson(api.request);
  return changeItem(shop, readId(api, WHAT), parseInput(itemInput, body), parseInput(versionInput, body).version);
});
export const DELETE = endpoint(({ shop, api }) => archiveItem(shop, readId(api, WHAT), true));
export const POST = endpoint(({ shop, api }) => archiveItem(shop, readId(api, WHAT), false));
