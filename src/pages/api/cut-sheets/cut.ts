import { cutLoadInput } from '../../../core/input';
import { cutLoad } from '../../../server/cut-sheets/cut-load';
import { endpoint, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';

export const POST = endpoint(async ({ shop, api }) =>
  cutLoad(shop, parseInput(cutLoadInput, await readJson(api.request))),
);
