import { endpoint, readId } from '../../../../../server/endpoint';
import { writeBent } from '../../../../../server/items/placing-papers';

export const GET = endpoint(({ shop, api }) => writeBent(shop, readId(api, 'This item'), api.url.searchParams));
