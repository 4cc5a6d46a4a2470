import { endpoint, readId } from '../../../../server/endpoint';
import { loadOrderParts } from '../../../../server/orders/load-order-parts';

export const GET = endpoint(({ shop, api }) => loadOrderParts(shop, readId(api, 'This order')));
