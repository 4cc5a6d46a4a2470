import { itemInput } from '../../../core/input';
import { createEndpoint } from '../../../server/create-once';
import { endpoint } from '../../../server/endpoint';
import { addItem } from '../../../server/items/save-item';
import { packSoon } from '../../../server/items/pack-items';
import { loadItemList } from '../../../server/items/load-items';

export const GET = endpoint(({ shop }) => loadItemList(shop));
export const POST = createEndpoint(itemInput, addItem, (shop, { id }) => packSoon(shop, id));
