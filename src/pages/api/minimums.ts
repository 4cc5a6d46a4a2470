import { minimumInput } from '../../core/input';
import { endpoint, readJson } from '../../server/endpoint';
import { parseInput } from '../../server/errors';
import { changeMinimum } from '../../server/stock/save-minimum';

export const PUT = endpoint(async ({ shop, api }) =>
  changeMinimum(shop, parseInput(minimumInput, await readJson(api.request))),
);
