import { orderInput } from '../../../core/input';
import { createEndpoint } from '../../../server/create-once';
import { endpoint } from '../../../server/endpoint';
import { takeOrder } from '../../../server/orders/take-order';
import { loadOrderList } from '../../../server/orders/load-orders';

export const GET = endpoint(({ shop }) => loadOrderList(shop));
export const POST = createEndpoint(orderInput, takeOrder);
