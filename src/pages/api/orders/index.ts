import { orderInput } from '../../../core/input';
import { createEndpoint } from '../../../server/create-once';
import { endpoint } from '../../../server/endpoint';
import { prepareTexts } from '../../../server/orders/line-texts';
import { takeOrder } from '../../../server/orders/take-order';
import { loadOrderList, readOrderQuery } from '../../../server/orders/load-order-list';

export const GET = endpoint(({ shop, api }) => loadOrderList(shop, readOrderQuery(api.url.searchParams)));
export const POST = createEndpoint(orderInput, takeOrder, undefined, (shop, { lines }) => prepareTexts(shop, lines));
