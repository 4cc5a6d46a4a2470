import { endpoint, readId } from '../../../../../server/endpoint';
import { printGuide } from '../../../../../server/items/placing-papers';
import { getSystem } from '../../../../../server/page';

export const GET = endpoint(({ shop, api }) =>
  printGuide(shop, readId(api, 'This item'), api.url.searchParams, getSystem(api)),
);
