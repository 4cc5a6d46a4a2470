import { wearInput } from '../../../../../core/input';
import { endpoint, readId, readJson } from '../../../../../server/endpoint';
import { parseInput } from '../../../../../server/errors';
import { bookWear } from '../../../../../server/stock/save-supplies';

export const POST = endpoint(async ({ shop, api }) =>
  bookWear(shop, readId(api, 'This supply'), parseInput(wearInput, await readJson(api.request))),
);
