import { vinylInput } from '../../../../core/input';
import { endpoint, readJson } from '../../../../server/endpoint';
import { parseInput } from '../../../../server/errors';
import { addVinyl } from '../../../../server/stock/save-shelf';

export const POST = endpoint(async ({ shop, api }) =>
  addVinyl(shop, parseInput(vinylInput, await readJson(api.request))),
);
