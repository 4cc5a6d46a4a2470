import { endpoint, readId } from '../../../../server/endpoint';
import { noteItem } from '../../../../server/items/save-item';

export const POST = endpoint(({ shop, api }) => {
  noteItem(shop, readId(api, 'This item'));
  return { done: true };
});
