import { explainHours } from '../../../server/books/load-hours';
import { endpoint } from '../../../server/endpoint';

export const GET = endpoint(({ shop, api }) => explainHours(shop, api.url.searchParams));
