import { endpoint, readId } from '../../../../../server/endpoint';
import { planLoad } from '../../../../../server/cutting/load-plan';
import { requireSavedId, viewState } from '../../../../../server/cutting/view-load';

export const GET = endpoint(async ({ shop, api }) => {
  const id = readId(api, 'This timer');
  return viewState(shop, id, await planLoad(shop, requireSavedId(shop, id)));
});
