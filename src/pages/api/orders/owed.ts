import { loadOwed } from '../../../server/customers/load-customers';
import { endpoint } from '../../../server/endpoint';

export const GET = endpoint(({ shop, api }) => loadOwed(shop, api.url.searchParams));
