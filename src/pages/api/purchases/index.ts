import { purchaseInput } from '../../../core/input';
import { loadPurchasesView, placePurchases } from '../../../server/buying/purchases';
import { endpoint, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';

export const GET = endpoint(({ shop }) => loadPurchasesView(shop));
export const POST = endpoint(async ({ shop, api }) =>
  placePurchases(shop, parseInput(purchaseInput, await readJson(api.request))),
);
