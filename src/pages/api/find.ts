import { endpoint } from '../../server/endpoint';
import { findThings } from '../../server/shop/find-things';

export const GET = endpoint(({ shop, api }) => ({ things: findThings(shop, api.url.searchParams.get('q') ?? '') }));
