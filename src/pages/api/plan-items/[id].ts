import { endpoint, readId } from '../../../server/endpoint';
import { loadPlanItem } from '../../../server/shop/save-start-plan';

export const GET = endpoint(({ shop, api }) => loadPlanItem(shop, readId(api, 'This item')));
