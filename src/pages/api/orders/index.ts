import { orderInput } from '../../../core/input';
import { endpoint, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { placeOrder } from '../../../server/orders/save-order';
import { loadOrderList } from '../../../server/orders/load-orders';

export const GET = endpoint(({ shop }) => loadOrderList(shop));
export const POST = endpoint(async ({ shop, api }) =>
  placeOrder(shop, parseInput(orderInput, await readJson(api.request))),
);
