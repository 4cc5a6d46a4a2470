import { orderChange, versionInput } from '../../../../core/input';
import { endpoint, readId, readJson } from '../../../../server/endpoint';
import { parseInput } from '../../../../server/errors';
import { changeOrder } from '../../../../server/orders/save-order';
import { loadOrderView } from '../../../../server/orders/load-order-view';

const WHAT = 'This order';
export const GET = endpoint(({ shop, api }) => loadOrderView(shop, readId(api, WHAT)));
export const PUT = endpoint(async ({ shop, api }) => {
  const body = await readJson(api.request);
  return changeOrder(shop, readId(api, WHAT), parseInput(orderChange, body), parseInput(versionInput, body).version);
});
