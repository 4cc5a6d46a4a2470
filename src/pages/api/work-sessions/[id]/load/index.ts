import { endpoint, readId } from '../../../../../server/endpoint';
import { planLoad } from '../../../../../server/cutting/load-plan';
import { requireSavedId, viewLoad } from '../../../../../server/cutting/view-load';

export const GET = endpoint(async ({ shop, api }) => {
  const id = readId(api, 'This timer');
  return viewLoad(shop, id, await planLoad(shop, requireSavedId(shop, id)));
});
