import { basketInput } from '../../core/input';
import { planBasket } from '../../server/buying/plan-basket';
import { endpoint, readJson } from '../../server/endpoint';
import { parseInput } from '../../server/errors';

export const POST = endpoint(async ({ shop, api }) =>
  planBasket(shop, parseInput(basketInput, await readJson(api.request))),
);
