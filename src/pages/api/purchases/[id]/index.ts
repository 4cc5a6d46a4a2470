import { receiveInput, versionInput } from '../../../../core/input';
import { receivePurchase } from '../../../../server/buying/purchases';
import { endpoint, readId, readJson } from '../../../../server/endpoint';
import { parseInput } from '../../../../server/errors';

export const PUT = endpoint(async ({ shop, api }) => {
  const body = await readJson(api.request);
  return receivePurchase(
    shop,
    readId(api, 'This purchase'),
    parseInput(receiveInput, body),
    parseInput(versionInput, body).version,
  );
});
