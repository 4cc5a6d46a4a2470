import { orderInput } from '../../../core/input';
import { endpoint, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { placeOrder } from '../../../server/keep-order';
import { loadOrderList } from '../../../server/views/orders';

export const GET = endpoint(({ shop }) => loadOrderList(shop));
export const POST = endpoint(async ({ shop, api }) =>
  placeOrder(shop, parseInput(orderInput, await readJson(api.request))),
);
