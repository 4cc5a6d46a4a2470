import { supplierInput } from '../../../core/input';
import { addSupplier } from '../../../server/buying/save-supplier';
import { loadOffersView } from '../../../server/buying/offer-index';
import { endpoint, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';

export const GET = endpoint(({ shop }) => loadOffersView(shop));
export const POST = endpoint(async ({ shop, api }) =>
  addSupplier(shop, parseInput(supplierInput, await readJson(api.request))),
);
