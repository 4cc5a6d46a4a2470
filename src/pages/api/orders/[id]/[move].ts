import { moveInput } from '../../../../core/input';
import { endpoint, readId, readJsonIfAny } from '../../../../server/endpoint';
import { parseInput, ShopError } from '../../../../server/errors';
import { loadOrderView } from '../../../../server/orders/load-order-view';
import { isOrderMove, moveOrder, undoMove } from '../../../../server/orders/move-order';

export const POST = endpoint(async ({ shop, api }) => {
  const id = readId(api, 'This order');
  const move = api.params['move'] ?? '';
  const input = parseInput(moveInput, await readJsonIfAny(api.request));
  if (move === 'undo') undoMove(shop, id);
  else if (isOrderMove(move)) moveOrder(shop, id, { move, ...input });
  else throw new ShopError('not-found', { reason: 'no-such-move' });
  return loadOrderView(shop, id);
});
