import { ordersMove } from '../../../core/input';
import { endpoint, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { moveOrders } from '../../../server/orders/move-orders';

export const POST = endpoint(async ({ shop, api }) =>
  moveOrders(shop, parseInput(ordersMove, await readJson(api.request))),
);
