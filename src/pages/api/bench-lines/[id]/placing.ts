import { endpoint, readId } from '../../../../server/endpoint';
import { loadLinePlacing } from '../../../../server/items/load-placing';

export const GET = endpoint(({ shop, api }) => loadLinePlacing(shop, readId(api, 'This line')));
