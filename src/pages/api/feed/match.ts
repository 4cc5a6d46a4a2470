import { articleMatch } from '../../../core/input';
import { endpoint, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { matchArticle } from '../../../server/feeds/take-feed';

export const POST = endpoint(async ({ shop, api }) =>
  matchArticle(shop, parseInput(articleMatch, await readJson(api.request))),
);
