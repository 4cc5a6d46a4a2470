import { endpoint, readId } from '../../../../server/endpoint';
import { costToday } from '../../../../server/orders/cost-today';

export const GET = endpoint(({ shop, api }) => costToday(shop, readId(api, 'This order')));
