import { nameMatch } from '../../../core/input';
import { endpoint, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { matchName } from '../../../server/feeds/take-feed';

export const POST = endpoint(async ({ shop, api }) =>
  matchName(shop, parseInput(nameMatch, await readJson(api.request))),
);
