import { supplierInput, versionInput } from '../../../../core/input';
import { archiveSupplier, changeSupplier } from '../../../../server/buying/keep-offers';
import { endpoint, readId, readJson } from '../../../../server/endpoint';
import { parseInput } from '../../../../server/errors';

const WHAT = 'This supplier';
export const PUT = endpoint(async ({ shop, api }) => {
  const body = await readJson(api.request);
  return changeSupplier(shop, readId(api, WHAT), parseInput(supplierInput, body), parseInput(versionInput, body).version);
});
export const DELETE = endpoint(({ shop, api }) => archiveSupplier(shop, readId(api, WHAT), true));
export const POST = endpoint(({ shop, api }) => archiveSupplier(shop, readId(api, WHAT), false));
