import { paymentInput } from '../../../../core/input';
import { createOnce, readRequestKey } from '../../../../server/create-once';
import { endpoint, readId, readJson } from '../../../../server/endpoint';
import { parseInput } from '../../../../server/errors';
import { addPayment } from '../../../../server/orders/pay-order';

export const POST = endpoint(async ({ shop, api }) => {
  const id = readId(api, 'This order');
  const body = await readJson(api.request);
  const input = parseInput(paymentInput, body);
  const request = { key: readRequestKey(api.request), asked: `${api.url.pathname} ${JSON.stringify(body)}` };
  return createOnce(shop, request, () => addPayment(shop, id, input));
});
