import { basketInput } from '../../core/input';
import { planInThread } from '../../server/buying/plan-in-thread';
import { endpoint, readJson } from '../../server/endpoint';
import { parseInput } from '../../server/errors';

export const POST = endpoint(async ({ shop, api }) =>
  planInThread(shop, parseInput(basketInput, await readJson(api.request))),
);
