import { endpoint } from '../../../server/endpoint';
import { listOrderable } from '../../../server/orders/load-new-order';

export const GET = endpoint(({ shop }) => ({ items: listOrderable(shop) }));
