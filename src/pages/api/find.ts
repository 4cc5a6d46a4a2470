import { endpoint } from '../../server/endpoint';
import { findThings } from '../../server/find-things';

export const GET = endpoint(({ shop, api }) => ({ things: findThings(shop, api.url.searchParams.get('q') ?? '') }));
