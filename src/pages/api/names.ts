import { endpoint } from '../../server/endpoint';
import { findNames } from '../../server/shop/find-things';

export const GET = endpoint(({ shop, api }) =>
  findNames(
    shop,
    api.url.searchParams.get('kind') === 'artwork' ? 'artwork' : 'vinyl',
    api.url.searchParams.get('q') ?? '',
  ),
);
