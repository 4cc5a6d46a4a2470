import { askOrderInput } from '../../../core/input';
import { endpoint, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { findTextProblems } from '../../../server/orders/line-texts';
import { askOrder } from '../../../server/orders/take-order';

export const POST = endpoint(async ({ shop, api }) => {
  const input = parseInput(askOrderInput, await readJson(api.request));
  return askOrder(shop, input, await findTextProblems(shop, input.lines));
});
