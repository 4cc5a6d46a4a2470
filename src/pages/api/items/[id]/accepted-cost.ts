import { endpoint, readId } from '../../../../server/endpoint';
import { acceptItemCost } from '../../../../server/items/save-item';

export const POST = endpoint(({ shop, api }) => {
  acceptItemCost(shop, readId(api, 'This item'));
  return { done: true };
});
