import { endpoint, readId } from '../../../../server/endpoint';
import { ShopError } from '../../../../server/errors';
import { isOrderMove, moveOrder } from '../../../../server/orders/save-order';
import { loadOrderView } from '../../../../server/orders/load-orders';

export const POST = endpoint(({ shop, api }) => {
  const id = readId(api, 'This order');
  const move = api.params['move'] ?? '';
  if (!isOrderMove(move)) throw new ShopError('not-found', { reason: 'no-such-move' });
  moveOrder(shop, id, move);
  return loadOrderView(shop, id);
});
