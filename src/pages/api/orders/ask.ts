import { askOrderInput } from '../../../core/input';
import { endpoint, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { askOrder } from '../../../server/orders/take-order';

export const POST = endpoint(async ({ shop, api }) =>
  askOrder(shop, parseInput(askOrderInput, await readJson(api.request))),
);
