import { itemInput } from '../../../core/input';
import { createEndpoint } from '../../../server/create-once';
import { endpoint } from '../../../server/endpoint';
import { addItem } from '../../../server/items/save-item';
import { packSoon } from '../../../server/items/pack-items';
import { loadItemList, readItemQuery } from '../../../server/items/load-item-list';

export const GET = endpoint(({ shop, api }) => loadItemList(shop, readItemQuery(api.url.searchParams)));
export const POST = createEndpoint(itemInput, addItem, (shop, { id }) => packSoon(shop, id));
