import { blankInput } from '../../../../core/input';
import { endpoint, readJson } from '../../../../server/endpoint';
import { parseInput } from '../../../../server/errors';
import { addBlank } from '../../../../server/stock/save-shelf';

export const POST = endpoint(async ({ shop, api }) =>
  addBlank(shop, parseInput(blankInput, await readJson(api.request))),
);
