import { loadHours, readHoursSpan } from '../../../server/books/load-hours';
import { endpoint } from '../../../server/endpoint';

export const GET = endpoint(({ shop, api }) => loadHours(shop, readHoursSpan(api.url.searchParams)));
