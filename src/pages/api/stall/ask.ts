import { stallAsk } from '../../../core/input';
import { endpoint, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { askStall } from '../../../server/stall/stall-piece';

export const POST = endpoint(async ({ shop, api }) =>
  askStall(shop, parseInput(stallAsk, await readJson(api.request))),
);
