import { supplyInput, versionInput } from '../../../../../core/input';
import { endpoint, readId, readJson } from '../../../../../server/endpoint';
import { parseInput } from '../../../../../server/errors';
import { archiveSupply, changeSupply } from '../../../../../server/stock/keep-supplies';

const WHAT = 'This supply';
export const PUT = endpoint(async ({ shop, api }) => {
  const body = await readJson(api.request);
  return changeSupply(shop, readId(api, WHAT), parseInput(supplyInput, body), parseInput(versionInput, body).version);
});
export const DELETE = endpoint(({ shop, api }) => archiveSupply(shop, readId(api, WHAT), true));
export const POST = endpoint(({ shop, api }) => archiveSupply(shop, readId(api, WHAT), false));
