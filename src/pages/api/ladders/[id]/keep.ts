import { ladderKeepInput } from '../../../../core/input/index';
import { endpoint, readId, readJson } from '../../../../server/endpoint';
import { parseInput } from '../../../../server/errors';
import { keepLadder } from '../../../../server/trials/ladders';

export const POST = endpoint(async ({ shop, api }) =>
  keepLadder(shop, readId(api, 'This ladder'), parseInput(ladderKeepInput, await readJson(api.request))),
);
