import { endpoint, readId } from '../../../../server/endpoint';
import { takeBackPayment } from '../../../../server/orders/pay-order';

export const POST = endpoint(({ shop, api }) => takeBackPayment(shop, readId(api, 'This payment')));
