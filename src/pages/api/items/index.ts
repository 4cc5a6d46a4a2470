import { itemInput } from '../../../core/input';
import { endpoint, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { addItem } from '../../../server/items/save-item';
import { packSoon } from '../../../server/items/pack-items';
import { loadItemList } from '../../../server/items/load-items';

export const GET = endpoint(({ shop }) => loadItemList(shop));
export const POST = endpoint(async ({ shop, api }) => {
  const added = addItem(shop, parseInput(itemInput, await readJson(api.request)));
  packSoon(shop, added.id);
  return added;
});
