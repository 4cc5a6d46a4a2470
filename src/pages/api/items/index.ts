import { itemInput } from '../../../core/input';
import { createEndpoint } from '../../../server/create-once';
import { endpoint } from '../../../server/endpoint';
import { addItem } from '../../../server/items/save-item';
import { packSoon } from '../../../server/items/pack-items';
import { knowCostsFor } from '../../../server/items/know-costs';
import { loadItemList, readItemQuery } from '../../../server/items/load-item-list';

export const GET = endpoint(async ({ shop, api }) => {
  const query = readItemQuery(api.url.searchParams);
  await knowCostsFor(shop, query);
  return loadItemList(shop, query);
});
export const POST = createEndpoint(itemInput, addItem, (shop, { id }) => packSoon(shop, id));
