import { readBackInput } from '../../../../core/input';
import { endpoint, readId, readJson } from '../../../../server/endpoint';
import { parseInput } from '../../../../server/errors';
import { readBack } from '../../../../server/orders/read-back';

export const POST = endpoint(async ({ shop, api }) => {
  readBack(shop, readId(api, 'This order'), parseInput(readBackInput, await readJson(api.request)));
});
