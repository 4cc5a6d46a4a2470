import { endpoint } from '../../server/endpoint';
import { loadStation, readStation } from '../../server/bench/load-station';

export const GET = endpoint(({ shop, api }) => loadStation(shop, readStation(api.url.searchParams)));
